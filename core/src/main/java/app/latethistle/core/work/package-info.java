/**
 * Work that is done on all of the machine's cores.
 *
 * <pre>{@code
 * List<Long> sizes = AllCores.of(files, file -> file.length());   // in the files' order
 * }</pre>
 */
package app.latethistle.core.work;
