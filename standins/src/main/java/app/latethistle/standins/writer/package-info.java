/**
 * The stand-in writer: a small seeded grammar in place of services that write. It makes drafts to
 * go on from, not literature; the page says that it is a stand-in.
 */
package app.latethistle.standins.writer;
