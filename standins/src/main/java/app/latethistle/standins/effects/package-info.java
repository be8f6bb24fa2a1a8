/**
 * The sound-effect maker: a stand-in for services that make sounds from words. Every sound is
 * computed from a recipe and a seed: noise through filters, things that ring when they are struck,
 * many small ones at random moments. {@link app.latethistle.standins.effects.Recipes} are what it
 * can make, {@link app.latethistle.standins.effects.EffectMaker} chooses one by words.
 */
package app.latethistle.standins.effects;
