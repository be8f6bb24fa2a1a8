/**
 * Watching a film without the cutting room: on a phone, or by somebody else.
 *
 * <p>A {@code Screening} is a link with a key. Whoever has it can watch the production's film, its
 * versions and what was rendered of it, and leave notes, which become markers of the film; nothing
 * else. It ends after a week, or when it is withdrawn. {@code Beyond} serves these pages alone at
 * an address beyond the machine, where the application was started so.
 */
package app.latethistle.server.screening;
