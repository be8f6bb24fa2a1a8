package app.latethistle.core.grade;

import app.latethistle.core.look.Correction;
import java.util.List;

/** What others are brought to: what has to be known of the key shot, worked out once. */
public final class KeyPictures {
  /** The longer side of pictures in which places are sought. */
  private static final int SOUGHT_AT = 360;

  private final ColourPicture picture;
  private final Landmarks landmarks;
  private final Summary summary;
  private final List<Signal> samples;

  private KeyPictures(
      ColourPicture picture, Landmarks landmarks, Summary summary, List<Signal> samples) {
    this.picture = picture;
    this.landmarks = landmarks;
    this.summary = summary;
    this.samples = samples;
  }

  /**
   * Of the key shot as it is to look.
   *
   * @param pictures several frames of it, in order
   * @param correction of it
   */
  public static KeyPictures of(List<ColourPicture> pictures, Correction correction) {
    Grading grading = Grading.of(correction);
    ColourPicture picture = middle(pictures).graded(grading);
    return new KeyPictures(
        picture,
        Landmarks.of(picture),
        Summary.of(pictures, correction),
        Summary.samples(pictures).stream().map(grading::apply).toList());
  }

  /**
   * What brings a shot to it.
   *
   * @param strength 0 to 1: how much of a difference is put down to how the two were made. At .5
   *     what they show explains as much as it does in parts of one scene, at 1 a tenth of that, at
   *     0 ten times. It does not matter where both show the same places.
   */
  public Match match(List<ColourPicture> shot, double strength) {
    return Match.of(this, shot, strength);
  }

  /**
   * What leads the key shot of a group towards it: half of the way in white, blacks and saturation,
   * and not in brightness, for it is meant to differ.
   */
  public Correction lead(List<ColourPicture> shot) {
    return Lead.of(samples, summary, Summary.samples(shot));
  }

  /** The picture of a clip in which places are sought. */
  static ColourPicture middle(List<ColourPicture> pictures) {
    return pictures.get(pictures.size() / 2).atMost(SOUGHT_AT);
  }

  ColourPicture picture() {
    return picture;
  }

  Landmarks landmarks() {
    return landmarks;
  }

  Summary summary() {
    return summary;
  }
}
