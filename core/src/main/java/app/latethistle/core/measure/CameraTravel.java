package app.latethistle.core.measure;

import java.util.ArrayList;
import java.util.List;

/** How the picture of a camera moved from the first of some frames to each of them. */
public final class CameraTravel {
  private final CameraTrack track = new CameraTrack();
  private final int width;
  private final int height;

  /**
   * @param width of the frames that are looked at, about 320
   */
  public CameraTravel(int width, int height) {
    this.width = width;
    this.height = height;
  }

  /** Takes the next frame: its luma, row by row. */
  public void add(byte[] luma) {
    track.add(Gray.of(width, height, luma));
  }

  /** From the first frame to each; what could not be told counts as no movement. */
  public List<Travel> fromFirst() {
    List<Travel> places = new ArrayList<>(List.of(Travel.NONE));
    for (CameraTrack.Step step : track.steps()) {
      Travel before = places.get(places.size() - 1);
      places.add(step.sure() ? before.then(step.travel()) : before);
    }
    return places;
  }
}
