package app.latethistle.core.subject;

import app.latethistle.core.Refused;
import app.latethistle.core.grade.ColourPicture;
import app.latethistle.core.repair.Clip;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Cuts a subject out of every picture of a clip. From each guide it is followed both ways; between
 * two guides what came from the one becomes what came from the other, the nearer the more.
 */
public final class SubjectCut {
  /** The longer side of the pictures that are parted. */
  public static final int SMALL = 320;

  /** Reading, following and writing take about so much of the whole each. */
  private static final double READ = 0.1;

  private static final double FOLLOWED = 0.7;

  private final List<ColourPicture> pictures;
  private final List<Guide> guides;
  private final Clip.Progress progress;
  private final int frames;
  private int followed;

  private SubjectCut(List<ColourPicture> pictures, List<Guide> guides, Clip.Progress progress) {
    this.pictures = pictures;
    this.guides = guides;
    this.progress = progress;
    frames = pictures.size();
  }

  /**
   * Cuts it out.
   *
   * @param guides one or more
   * @param taker takes in order pictures whose luma says how opaque the subject is, 16 to 235
   * @throws IllegalArgumentException if a guide lies outside the clip or the first says nowhere
   *     where the subject is
   */
  public static void cut(Clip clip, List<Guide> guides, Clip.Taker taker, Clip.Progress progress)
      throws IOException {
    List<ColourPicture> small = new ArrayList<>();
    clip.each(
        (number, frame) -> {
          small.add(ColourPicture.of(frame).atMost(SMALL));
          progress.at(READ * number / (number + 100.0));
        });
    List<float[]> depths = new SubjectCut(small, ordered(guides, small.size()), progress).follow();
    int width = small.get(0).width();
    int height = small.get(0).height();
    SoftEdge edge = new SoftEdge(clip.width(), clip.height());
    clip.each(
        (number, frame) -> {
          taker.take(number, edge.of(frame, depths.get(number), width, height));
          progress.at(FOLLOWED + (1 - FOLLOWED) * (number + 1) / depths.size());
        });
  }

  private static List<Guide> ordered(List<Guide> guides, int frames) {
    List<Guide> ordered = guides.stream().sorted(Comparator.comparingLong(Guide::frame)).toList();
    for (Guide guide : ordered) {
      if (guide.frame() >= frames) {
        throw new Refused(
            "There is no picture " + (guide.frame() + 1) + " in it; it has " + frames + " frames.");
      }
    }
    return ordered;
  }

  /** How deep each pixel of each picture lies in the subject. */
  private List<float[]> follow() {
    List<float[]> depths = new ArrayList<>();
    Silhouette start = FirstOutline.of(pictures.get(at(0)), guides.get(0));
    back(start, at(0), 0).forEach(s -> depths.add(s.depth()));
    for (int g = 0; g < guides.size(); g++) {
      boolean last = g == guides.size() - 1;
      int end = last ? frames : at(g + 1) + 1;
      List<Silhouette> forth = forth(start, at(g), end);
      if (last) {
        forth.forEach(s -> depths.add(s.depth()));
      } else {
        Silhouette arrived = forth.get(forth.size() - 1);
        start = FirstOutline.corrected(pictures.get(at(g + 1)), arrived, guides.get(g + 1));
        List<Silhouette> back = back(start, at(g + 1), at(g) + 1);
        depths.add(forth.get(0).depth());
        for (int k = 0; k < back.size(); k++) {
          double share = (k + 1.0) / (back.size() + 1);
          depths.add(between(forth.get(k + 1).depth(), back.get(k).depth(), share));
        }
      }
    }
    return depths;
  }

  private int at(int guide) {
    return (int) guides.get(guide).frame();
  }

  /** From a picture on, that one first. */
  private List<Silhouette> forth(Silhouette start, int from, int end) {
    List<Silhouette> found = new ArrayList<>(List.of(start));
    NextOutline next = new NextOutline(pictures.get(from), start);
    for (int k = from + 1; k < end; k++) {
      found.add(next.next(pictures.get(k)));
      tell();
    }
    return found;
  }

  /** From before a picture back to another, that one first in time. */
  private List<Silhouette> back(Silhouette start, int from, int first) {
    List<Silhouette> found = new ArrayList<>();
    NextOutline next = new NextOutline(pictures.get(from), start);
    for (int k = from - 1; k >= first; k--) {
      found.add(0, next.next(pictures.get(k)));
      tell();
    }
    return found;
  }

  /** Between the outermost guides pictures are followed from both sides. */
  private void tell() {
    followed++;
    int all = frames - 1 + at(guides.size() - 1) - at(0);
    progress.at(READ + (FOLLOWED - READ) * followed / Math.max(1, all));
  }

  private static float[] between(float[] one, float[] other, double share) {
    float[] mixed = new float[one.length];
    for (int i = 0; i < mixed.length; i++) {
      mixed[i] = (float) (one[i] + share * (other[i] - one[i]));
    }
    return mixed;
  }
}
