package app.latethistle.core.mix;

import app.latethistle.core.signal.Biquad;
import app.latethistle.core.sound.Equaliser;

/** Runs channels through an equaliser's bands. */
final class Equalising {
  private Equalising() {}

  /** Runs channels in place; there was silence before them. */
  static void run(Equaliser equaliser, float[]... channels) {
    for (Equaliser.Band band : equaliser.bands()) {
      filter(band).run(channels);
    }
  }

  private static Biquad filter(Equaliser.Band band) {
    return switch (band.kind()) {
      case LOW_CUT -> Biquad.lowCut(band.hertz(), band.q());
      case HIGH_CUT -> Biquad.highCut(band.hertz(), band.q());
      case LOW_SHELF -> Biquad.lowShelf(band.hertz(), band.gain(), band.q());
      case HIGH_SHELF -> Biquad.highShelf(band.hertz(), band.gain(), band.q());
      case BELL -> Biquad.bell(band.hertz(), band.gain(), band.q());
    };
  }
}
