package app.latethistle.core.mix;

import app.latethistle.core.film.Run;
import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.sound.Timing;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.voice.Tightening;
import java.io.IOException;
import java.util.List;

/** Which of a medium's samples a part is heard of; counted from the part's first sample. */
public sealed interface Course {
  /** Writes samples from k on, channels in turn, over what is in the target. */
  void read(SoundSource.Sound sound, long k, float[] target, int frames) throws IOException;

  /** The medium's sound as it is read; what has to be worked on whole is, once. */
  default SoundSource.Sound on(SoundSource.Sound sound) {
    return sound;
  }

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

  /**
   * A part of a medium backwards, longer or shorter, higher or lower.
   *
   * @param part the medium's samples
   * @param time how they run
   */
  record Shaped(SampleRange part, Timing time) implements Course {
    @Override
    public SoundSource.Sound on(SoundSource.Sound sound) {
      return new ShapedSound(sound, part, time);
    }

    @Override
    public void read(SoundSource.Sound sound, long k, float[] target, int frames)
        throws IOException {
      sound.read(k, target, frames);
    }

    @Override
    public void writeKey(KeyWriter key, long k) {
      key.put("shaped").put(part.start()).put(part.end()).put(time.reversed() ? 1 : 0);
      key.put(time.stretch()).put(time.pitch()).put(k);
    }
  }

  /**
   * From a sample on to the end of a loop, and then that again and again; the end of each goes over
   * into the start of the next with equal power.
   *
   * @param in the medium's sample that is heard first
   * @param loop the medium's samples that are repeated
   */
  record Looped(long in, SampleRange loop) implements Course {
    /** Samples over which one goes into the next, at most: 50 ms, common practice, no source. */
    private static final long MOST = 2_400;

    @Override
    public void read(SoundSource.Sound sound, long k, float[] target, int frames)
        throws IOException {
      int channels = sound.channels();
      long cross = Math.min(MOST, Math.min(loop.start(), loop.length() / 2));
      float[] piece = new float[frames * channels];
      for (int done = 0; done < frames; ) {
        long at = in + k + done;
        long within = at < loop.end() ? at : loop.start() + (at - loop.start()) % loop.length();
        int count = (int) Math.min(frames - done, loop.end() - within);
        sound.read(within, piece, count);
        System.arraycopy(piece, 0, target, done * channels, count * channels);
        long from = Math.max(within, loop.end() - cross);
        int lap = (int) (within + count - from);
        if (lap > 0) {
          sound.read(from - loop.length(), piece, lap);
          for (int i = 0; i < lap; i++) {
            double share = (from + i - (loop.end() - cross) + 0.5) / cross;
            float old = (float) Math.cos(Math.PI / 2 * share);
            float young = (float) Math.sin(Math.PI / 2 * share);
            int to = (done + count - lap + i) * channels;
            for (int c = 0; c < channels; c++) {
              target[to + c] = old * target[to + c] + young * piece[i * channels + c];
            }
          }
        }
        done += count;
      }
    }

    @Override
    public void writeKey(KeyWriter key, long k) {
      key.put("looped").put(in + k).put(loop.start()).put(loop.end());
    }
  }
}
