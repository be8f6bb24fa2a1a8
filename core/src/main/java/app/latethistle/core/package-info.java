/**
 * The heart of the job, in packages of which each uses only those before it; see ArchitectureTest.
 */
package app.latethistle.core;
