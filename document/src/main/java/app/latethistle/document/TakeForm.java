package app.latethistle.document;

/**
 * A take that a film shows.
 *
 * @param id what the film calls it
 * @param media its file
 * @param frames its length in frames of the film's rate; counted in the file if it is not said
 * @param sound whether its own sound may be heard; if it is not said, it may if the file has one
 */
public record TakeForm(String id, MediumForm media, Long frames, Boolean sound) {
  TakeForm with(MediumForm other) {
    return new TakeForm(id, other, frames, sound);
  }
}
