package app.latethistle.core.grade;

import boofcv.abst.feature.detdesc.DetectDescribePoint;
import boofcv.factory.feature.detdesc.FactoryDetectDescribe;
import boofcv.struct.feature.TupleDesc_F64;
import boofcv.struct.image.GrayF32;
import java.util.ArrayList;
import java.util.List;
import org.ddogleg.struct.DogArray;

/**
 * Corners and blobs of a picture and what is around each (SURF: Bay, Ess, Tuytelaars and Van Gool
 * 2008, by BoofCV), of its brightness spread evenly, so that what was done to its colours is gone.
 */
final class Landmarks {
  final DogArray<TupleDesc_F64> descriptions;
  final List<double[]> places = new ArrayList<>();

  private Landmarks(DogArray<TupleDesc_F64> descriptions) {
    this.descriptions = descriptions;
  }

  static Landmarks of(ColourPicture picture) {
    DetectDescribePoint<GrayF32, TupleDesc_F64> detector =
        FactoryDetectDescribe.surfStable(null, null, null, GrayF32.class);
    detector.detect(even(picture));
    Landmarks found = new Landmarks(new DogArray<>(detector::createDescription));
    for (int i = 0; i < detector.getNumberOfFeatures(); i++) {
      found.descriptions.grow().setTo(detector.getDescription(i));
      found.places.add(new double[] {detector.getLocation(i).x, detector.getLocation(i).y});
    }
    return found;
  }

  /** Luma by its rank: what exposure and contrast did is gone. */
  private static GrayF32 even(ColourPicture picture) {
    int[] luma = new int[picture.count()];
    int[] below = new int[257];
    for (int i = 0; i < luma.length; i++) {
      luma[i] = (int) Math.round(255 * Signal.of(picture.at(i)).luma());
      below[luma[i] + 1]++;
    }
    for (int i = 0; i < 256; i++) {
      below[i + 1] += below[i];
    }
    GrayF32 gray = new GrayF32(picture.width(), picture.height());
    for (int i = 0; i < luma.length; i++) {
      gray.data[i] = 255f * (below[luma[i]] + below[luma[i] + 1]) / 2 / luma.length;
    }
    return gray;
  }
}
