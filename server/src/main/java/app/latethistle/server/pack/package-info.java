/**
 * A whole production as one zip, written here and brought in elsewhere.
 *
 * <p>{@code production.json} says what the production is and lists its files; {@code film.json} is
 * its film as a film document, which names the same files; {@code media/} has them. Each package
 * that keeps something of a production says how its {@link app.latethistle.server.pack.PackedPart}
 * is written and read. What was here known by a number of the database is known by another
 * elsewhere: {@link app.latethistle.server.pack.Arrivals} keeps the two apart. What was done and
 * can be taken back stays here, as do requests to services and masters, which can be made again.
 */
package app.latethistle.server.pack;
