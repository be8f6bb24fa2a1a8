package app.latethistle.core.mix;

import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Run;
import app.latethistle.core.look.Shape;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** What is heard of a film beside song and voice: its clips, and what is laid. */
public final class FilmSounds {
  private static final FrameRange NOWHERE = new FrameRange(0, 0);

  private final Resolved film;
  private final Shape shape;
  private final Set<String> sounding;

  /**
   * @param shape of the film's pictures, in which places are seen that sounds go with
   * @param sounding takes whose clips have a sound of their own
   */
  public FilmSounds(Resolved film, Shape shape, Set<String> sounding) {
    this.film = film;
    this.shape = shape;
    this.sounding = Set.copyOf(sounding);
  }

  /** The parts, those of the cut first, those that are laid last. */
  public List<Part> parts() {
    List<Part> parts = new ArrayList<>();
    for (int i = 0; i < film.film().placements().size(); i++) {
      add(
          parts,
          film.film().placements().get(i),
          film.cutting().rangeOf(i),
          film.cutting().overlaps().get(i).frames(),
          film.cutting().overlaps().get(i + 1).frames());
    }
    for (Overlay overlay : film.film().overlays()) {
      FrameRange range = film.cutting().beside().overlays().get(overlay.name());
      if (range != null) {
        add(parts, overlay.placement(), range, NOWHERE, NOWHERE);
      }
    }
    parts.addAll(new LaidSounds(film, shape, sounding).parts(sound -> true));
    return parts;
  }

  private boolean isHeard(String take) {
    return sounding.contains(take) && film.takes().containsKey(take);
  }

  /**
   * @param before the frames that the shot shares with the one before
   * @param after those it shares with the one after
   */
  private void add(
      List<Part> parts, Placement shot, FrameRange range, FrameRange before, FrameRange after) {
    boolean still = shot.run().way() == Run.Way.HOLD;
    if (shot.heard().on() && isHeard(shot.take()) && !still) {
      parts.add(
          part(
              film.takes().get(shot.take()),
              shot.run(),
              shot.in(),
              range,
              shot.heard(),
              before,
              after));
    }
  }

  /**
   * A sound that crosses with its neighbours where their pictures do, unless it was said how much
   * sooner or later than its picture it is heard.
   */
  private Part part(
      Take take,
      Run run,
      long in,
      FrameRange range,
      ClipSound sound,
      FrameRange before,
      FrameRange after) {
    FrameRate rate = film.rate();
    long at = rate.sampleOf(range.start());
    long picture = rate.sampleOf(range.end()) - at;
    boolean comes = sound.lead() == 0 && !before.isEmpty();
    boolean goes = sound.tail() == 0 && !after.isEmpty();
    long lead = comes ? at - rate.sampleOf(before.start()) : rate.sampleOf(sound.lead());
    long end = goes ? rate.sampleOf(after.end()) : at + picture + rate.sampleOf(sound.tail());
    Run inSamples =
        new Run(
            run.way(),
            run.from(),
            run.to(),
            run.between(),
            rate.sampleOf(run.over()),
            rate.sampleOf(run.since()));
    return new Part(
        Bus.CLIPS,
        take.media(),
        new SampleRange(at - lead, Math.max(at - lead, end)),
        new Course.Running(
            inSamples, rate.sampleOf(in), rate.sampleOf(take.frames()), lead, picture),
        sound.gain(),
        Edges.crossing(comes ? samples(before) : 0, goes ? samples(after) : 0),
        Effect.none());
  }

  private long samples(FrameRange range) {
    return film.rate().sampleOf(range.end()) - film.rate().sampleOf(range.start());
  }
}
