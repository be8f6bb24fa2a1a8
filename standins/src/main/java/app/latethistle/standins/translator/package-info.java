/**
 * The translator: a stand-in for services that translate. {@link
 * app.latethistle.standins.translator.WordForWord} looks each word up in a small dictionary and
 * leaves what it does not know as it is; nobody should publish what it makes.
 */
package app.latethistle.standins.translator;
