package app.latethistle.core.mix;

import app.latethistle.core.film.Run;
import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.voice.Tightening;
import java.io.IOException;
import java.util.List;

/** Which of a medium's samples a part is heard of; counted from the part's first sample. */
public sealed interface Course {
  /** Writes samples from k on, channels in turn, over what is in the target. */
  void read(SoundSource.Sound sound, long k, float[] target, int frames) throws IOException;

  /** Writes all that can change a sample from k on. */
  void writeKey(KeyWriter key, long k);

  /**
   * One after the other.
   *
   * @param in the medium's sample that is heard first
   */
  record Straight(long in) implements Course {
    @Override
    public void read(SoundSource.Sound sound, long k, float[] target, int frames)
        throws IOException {
      sound.read(in + k, target, frames);
    }

    @Override
    public void writeKey(KeyWriter key, long k) {
      key.put("straight").put(in + k);
    }
  }

  /**
   * As its clip runs, higher when quicker.
   *
   * @param run how it runs; its frames are samples here
   * @param in the first of the clip's samples that the run uses
   * @param material the clip's samples
   * @param lead samples that are heard before its picture begins; negative if fewer
   * @param picture samples of the picture
   */
  record Running(Run run, long in, long material, long lead, long picture) implements Course {
    @Override
    public void read(SoundSource.Sound sound, long k, float[] target, int frames)
        throws IOException {
      double least = Double.MAX_VALUE;
      double most = -Double.MAX_VALUE;
      for (int i = 0; i < frames; i++) {
        double at = position(k + i);
        least = Math.min(least, at);
        most = Math.max(most, at);
      }
      long last = Math.min(material, sound.length()) - 1;
      long from = (long) Math.floor(Math.max(0, least));
      long to = Math.min(last, (long) Math.floor(most) + 1);
      int channels = sound.channels();
      float[] near = new float[(int) Math.max(0, to + 1 - from) * channels];
      if (near.length > 0) {
        sound.read(from, near, near.length / channels);
      }
      for (int i = 0; i < frames; i++) {
        double at = position(k + i);
        boolean there = at >= 0 && at < last;
        int before = there ? (int) ((long) at - from) * channels : 0;
        double rest = at - (long) at;
        for (int c = 0; c < channels; c++) {
          target[i * channels + c] =
              there
                  ? (float) (near[before + c] * (1 - rest) + near[before + channels + c] * rest)
                  : 0;
        }
      }
    }

    private double position(long k) {
      return run.position(in, material, k - lead, picture);
    }

    @Override
    public void writeKey(KeyWriter key, long k) {
      key.put("running").put(in).put(material).put(run.over() == 0 ? picture : run.over());
      key.put(run.since() + k - lead).put(run.way()).put(run.from()).put(run.to());
    }
  }

  /**
   * A reading without its rests.
   *
   * @param cuts what is left out, in samples of the reading
   */
  record Tightened(List<SampleRange> cuts) implements Course {
    public Tightened {
      cuts = List.copyOf(cuts);
    }

    @Override
    public void read(SoundSource.Sound sound, long k, float[] target, int frames)
        throws IOException {
      new Tightening(cuts).read(sound::read, sound.length(), sound.channels(), k, target, frames);
    }

    @Override
    public void writeKey(KeyWriter key, long k) {
      key.put("tightened").put(k).put(cuts.size());
      cuts.forEach(cut -> key.put(cut.start()).put(cut.end()));
    }
  }
}
