/** The faces that ship with the application, as the build unpacked them, and the list of them. */
package app.latethistle.faces;
