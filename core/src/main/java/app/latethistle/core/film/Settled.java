package app.latethistle.core.film;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.Set;

/**
 * Where joints and lines come to rest. Lines may start with shots and cuts sit on words, so both
 * are resolved in turn until nothing moves. Lines that hang on themselves are found first, and
 * follow the line before them instead.
 *
 * @param frames the frame of each joint
 * @param voice where the lines are heard
 */
record Settled(List<Long> frames, VoiceClock voice) {

  static Settled of(Film film, Clocks clocks, FrameRate rate, List<Cutting.Problem> problems) {
    Set<String> circling = new HashSet<>(circling(film, clocks.narration()));
    while (true) {
      Narration narration = clocks.narration().following(circling);
      List<Cutting.Problem> found = new ArrayList<>();
      VoiceClock voice = VoiceClock.of(narration, film, List.of(), clocks.grid(), rate);
      List<Long> frames = frames(film, voice, clocks.grid(), rate, found);
      VoiceClock before = null;
      // A chain of lines that start with shots whose cuts sit on words settles a line a round.
      int rounds = narration.lines().size() + 2;
      for (int round = 0; round < rounds && !voice.equals(before); round++) {
        before = voice;
        voice = VoiceClock.of(narration, film, frames, clocks.grid(), rate);
        found.clear();
        frames = frames(film, voice, clocks.grid(), rate, found);
      }
      Set<String> moving = moving(narration, before, voice);
      if (moving.isEmpty() || !circling.addAll(moving)) {
        problems.addAll(found);
        inCircle(film, clocks.narration(), circling, problems);
        return new Settled(frames, voice);
      }
    }
  }

  /**
   * Lines that start with a shot and never come to rest, because a joint before that shot hangs on
   * them and pushes it on.
   */
  private static Set<String> moving(Narration narration, VoiceClock before, VoiceClock after) {
    Set<String> moving = new HashSet<>();
    for (int i = 0; i < after.lines().size(); i++) {
      boolean withShot = narration.lines().get(i).start() instanceof Narration.Start.WithShot;
      if (withShot && !after.lines().get(i).equals(before.lines().get(i))) {
        moving.add(after.lines().get(i).id());
      }
    }
    return moving;
  }

  /**
   * Lines whose start hangs on a word of their own, through shots and through lines they follow.
   */
  private static Set<String> circling(Film film, Narration narration) {
    Map<String, String> hangsOn = new LinkedHashMap<>();
    String above = "";
    for (Narration.Line line : narration.lines()) {
      String on = "";
      if (line.start() instanceof Narration.Start.WithShot with) {
        int place = film.indexOfShot(with.shot());
        on =
            place >= 0 && film.joints().get(place).tie() instanceof Tie.OnWord word
                ? word.line()
                : "";
      } else if (line.start() instanceof Narration.Start.After) {
        on = above;
      }
      hangsOn.put(line.id(), on);
      above = line.id();
    }
    Set<String> circling = new HashSet<>();
    for (Narration.Line line : narration.lines()) {
      Set<String> passed = new HashSet<>();
      String at = line.id();
      while (hangsOn.containsKey(at) && passed.add(at)) {
        at = hangsOn.get(at);
      }
      boolean startsCircle = line.start() instanceof Narration.Start.WithShot;
      if (at.equals(line.id()) && startsCircle) {
        circling.add(line.id());
      }
    }
    return circling;
  }

  /** The cuts that begin the shots with which such lines were to start. */
  private static void inCircle(
      Film film, Narration narration, Set<String> circling, List<Cutting.Problem> problems) {
    for (Narration.Line line : narration.lines()) {
      if (circling.contains(line.id()) && line.start() instanceof Narration.Start.WithShot with) {
        int joint = Math.max(1, film.indexOfShot(with.shot()));
        problems.add(new Cutting.Problem(Cutting.Kind.TIED_IN_CIRCLE, joint - 1, 0));
      }
    }
  }

  private static List<Long> frames(
      Film film, VoiceClock voice, BeatGrid grid, FrameRate rate, List<Cutting.Problem> problems) {
    List<Long> frames = new ArrayList<>();
    for (int j = 0; j < film.joints().size(); j++) {
      if (j == 0) {
        frames.add(0L);
        continue;
      }
      long least = frames.get(j - 1) + 1;
      Tie tie = film.joints().get(j).tie();
      OptionalLong wanted = Cutting.frameOf(tie, film.music(), voice, grid, rate);
      if (wanted.isEmpty()) {
        Cutting.Kind kind =
            tie instanceof Tie.OnWord ? Cutting.Kind.WORD_MISSING : Cutting.Kind.BEAT_MISSING;
        problems.add(new Cutting.Problem(kind, j - 1, 0));
      } else if (wanted.getAsLong() < least) {
        problems.add(
            new Cutting.Problem(Cutting.Kind.TIE_NOT_HONOURED, j - 1, least - wanted.getAsLong()));
      }
      frames.add(Math.max(wanted.orElse(least), least));
    }
    return frames;
  }
}
