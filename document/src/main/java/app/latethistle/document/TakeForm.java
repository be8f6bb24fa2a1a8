package app.latethistle.document;

import app.latethistle.core.take.Box;
import java.util.List;
import java.util.Map;

/**
 * A take that a film shows.
 *
 * @param id what the film calls it
 * @param media its file
 * @param frames its length in frames of the film's rate; counted in the file if it is not said
 * @param sound whether its own sound may be heard; if it is not said, it may if the file has one
 * @param subject a file whose pictures say how opaque its subject is; not said if none was cut out
 * @param marks what marks take up that are burned into its pictures; not said for none
 */
public record TakeForm(
    String id,
    MediumForm media,
    Long frames,
    Boolean sound,
    MediumForm subject,
    List<MarkForm> marks) {
  /** What a mark takes up, in parts of the picture's width and height. */
  public record MarkForm(double left, double top, double right, double bottom) {
    /** Of a take; null for none. */
    public static List<MarkForm> of(List<Box> marks) {
      return marks.isEmpty()
          ? null
          : marks.stream()
              .map(box -> new MarkForm(box.left(), box.top(), box.right(), box.bottom()))
              .toList();
    }
  }

  /** What its marks take up. */
  public List<Box> boxes() {
    return marks == null
        ? List.of()
        : marks.stream().map(m -> new Box(m.left, m.top, m.right, m.bottom)).toList();
  }

  TakeForm with(Map<MediumForm, MediumForm> names) {
    return new TakeForm(
        id, names.get(media), frames, sound, subject == null ? null : names.get(subject), marks);
  }
}
