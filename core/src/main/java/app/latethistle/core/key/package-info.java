/**
 * Names of what is made from other things: the same for the same, another for anything that would
 * make it another.
 *
 * <pre>{@code
 * String name = new KeyWriter().put("shot").put(48).hash();   // 64 hexadecimal digits
 * }</pre>
 */
package app.latethistle.core.key;
