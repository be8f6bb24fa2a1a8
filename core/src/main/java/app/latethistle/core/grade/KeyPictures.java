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

  private KeyPictures(ColourPicture picture, Landmarks landmarks, Summary summary) {
    this.picture = picture;
    this.landmarks = landmarks;
    this.summary = summary;
  }

  /**
   * Of the key shot as it is to look.
   *
   * @param pictures several frames of it, in order
   */
  public static KeyPictures of(List<ColourPicture> pictures) {
    ColourPicture picture = middle(pictures);
    return new KeyPictures(
        picture,
        Landmarks.of(picture),
        Summary.of(Summary.samples(pictures), Grading.of(Correction.NONE)));
  }

  /** What brings a shot to it. */
  public Match match(List<ColourPicture> shot) {
    return Match.of(this, shot);
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
