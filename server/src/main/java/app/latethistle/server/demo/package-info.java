/** Puts "Night Post" and "Salt Carousel" on an empty shelf. */
package app.latethistle.server.demo;
