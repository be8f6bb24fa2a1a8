package app.latethistle.core.music;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SongAnalysisTest {
  private static final int RATE = 22_050;
  private static final double BEAT = 0.5;

  /** Eight bars of a kind each: a soft low chord with a tick, or loud bright noise over a drum. */
  private static MonoSound song(String kinds) {
    Random noise = new Random(3);
    int perPart = (int) (32 * BEAT * RATE);
    float[] samples = new float[kinds.length() * perPart];
    for (int i = 0; i < samples.length; i++) {
      double t = (double) i / RATE;
      double inBeat = t % BEAT;
      boolean down = t % (4 * BEAT) < BEAT;
      double fall = Math.exp(-inBeat * 12);
      double value;
      if (kinds.charAt(i / perPart) == 'a') {
        double tone = Math.sin(2 * Math.PI * 220 * t) + Math.sin(2 * Math.PI * 277.2 * t);
        value = 0.04 * tone + 0.1 * fall * noise.nextGaussian() * (down ? 1.5 : 1);
      } else {
        double drum = Math.sin(2 * Math.PI * 70 * inBeat) * fall * (down ? 1 : 0.6);
        double tone = Math.sin(2 * Math.PI * 392 * t) + Math.sin(2 * Math.PI * 587.3 * t);
        value = 0.4 * drum + 0.15 * tone + 0.12 * noise.nextGaussian() * (0.3 + fall);
      }
      samples[i] = (float) value;
    }
    return new MonoSound(samples, RATE);
  }

  @Test
  void findsSectionsAndThoseThatComeAgain() {
    SongAnalysis heard = SongAnalysis.of(song("aabaab"));
    List<Section> sections = heard.sections();
    assertThat(sections).extracting(Section::kind).containsExactly('A', 'B', 'A', 'B');
    double part = 32 * BEAT;
    double[] borders = {0, 2 * part, 3 * part, 5 * part};
    for (int i = 0; i < borders.length; i++) {
      assertThat(Samples.toSeconds(sections.get(i).start())).isCloseTo(borders[i], within(0.05));
      if (i > 0) {
        assertThat(sections.get(i).start()).isEqualTo(sections.get(i - 1).end());
        assertThat(heard.grid().isDownbeat(heard.grid().nearest(sections.get(i).start()))).isTrue();
      }
    }
    assertThat(sections.get(0).name()).isEqualTo(Section.Name.OPENING);
    assertThat(sections.get(1).name()).isEqualTo(Section.Name.FULL);
    assertThat(sections.get(0).energy()).isLessThan(sections.get(1).energy());
  }

  @Test
  void tellsWhereItDropsAndBreaks() {
    List<KeyMoment> moments = SongAnalysis.of(song("aabaab")).moments();
    double part = 32 * BEAT;
    assertThat(moments)
        .filteredOn(m -> m.kind() == KeyMoment.Kind.DROP)
        .extracting(m -> Math.round(Samples.toSeconds(m.at()) / part))
        .containsExactly(2L, 5L);
    assertThat(moments)
        .filteredOn(m -> m.kind() == KeyMoment.Kind.BREAK)
        .extracting(m -> Math.round(Samples.toSeconds(m.at()) / part))
        .containsExactly(3L);
    assertThat(moments.get(moments.size() - 1).kind()).isEqualTo(KeyMoment.Kind.ENDING);
  }

  @Test
  void sectionsFollowTheBarsThatWerePutRight() {
    SongAnalysis heard = SongAnalysis.of(song("aabaab"));
    BeatGrid moved =
        new MoveDownbeat(heard.grid().sampleOf(heard.grid().firstDownbeat() + 1))
            .apply(heard.grid());
    for (Section section : heard.sections().subList(1, heard.sections().size())) {
      Section on = section.onBars(moved);
      assertThat(moved.isDownbeat(moved.nearest(on.start()))).isTrue();
      assertThat(Math.abs(on.start() - section.start())).isLessThan(Samples.ofSeconds(2 * BEAT));
    }
  }

  @Test
  void oddSoundsAreNoTrouble() {
    assertThat(SongAnalysis.of(new MonoSound(new float[RATE * 5], RATE)))
        .isEqualTo(SongAnalysis.NOTHING);
    MonoSound whole = song("ab");
    for (double seconds : new double[] {0.2, 1.6, 3, 5}) {
      float[] part = java.util.Arrays.copyOf(whole.samples(), (int) (seconds * RATE));
      SongAnalysis heard = SongAnalysis.of(new MonoSound(part, RATE));
      assertThat(heard.grid().samples()).isSorted();
    }
    float[] clipped = whole.samples().clone();
    for (int i = 0; i < clipped.length; i++) {
      clipped[i] = Math.max(-1, Math.min(1, 40 * clipped[i]));
    }
    assertThat(SongAnalysis.of(new MonoSound(clipped, RATE)).grid().bpm())
        .isCloseTo(120, within(1.0));
  }
}
