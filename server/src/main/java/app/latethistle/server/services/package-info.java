/**
 * Services that make pictures, as the person knows them, and what is asked of them. The stand-ins
 * answer in the background; what they make comes in through the same door as any file.
 */
package app.latethistle.server.services;
