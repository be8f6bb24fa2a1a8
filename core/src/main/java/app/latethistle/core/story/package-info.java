/**
 * The story: a script, what it lasts when spoken, the shots it is broken into, what people and
 * places look like, and the prompts composed from all of that.
 *
 * <p>A script is text that a person goes on writing; its structure is read from it again after each
 * change. Shots are values of their own that name a line of the script by its number.
 *
 * <pre>{@code
 * Script script = Script.parse("MAREN: The water came at night.", ScriptFormat.PLAIN);
 * script.lines().get(0).text();                        // "The water came at night."
 * Delivery.of(100).secondsOf(script.lines().get(0));    // 3.0: five words at 100 a minute
 * ShotList shots = ShotProposal.of(script, Delivery.of(100), Set.of("Maren"), 0);
 * }</pre>
 */
package app.latethistle.core.story;
