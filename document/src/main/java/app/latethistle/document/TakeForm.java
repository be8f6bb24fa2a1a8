package app.latethistle.document;

import java.util.Map;

/**
 * A take that a film shows.
 *
 * @param id what the film calls it
 * @param media its file
 * @param frames its length in frames of the film's rate; counted in the file if it is not said
 * @param sound whether its own sound may be heard; if it is not said, it may if the file has one
 * @param subject a file whose pictures say how opaque its subject is; not said if none was cut out
 */
public record TakeForm(
    String id, MediumForm media, Long frames, Boolean sound, MediumForm subject) {
  TakeForm with(Map<MediumForm, MediumForm> names) {
    return new TakeForm(
        id, names.get(media), frames, sound, subject == null ? null : names.get(subject));
  }
}
