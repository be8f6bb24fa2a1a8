package app.latethistle.core.check;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Balance;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.mix.Ducking;
import app.latethistle.core.mix.MixReport;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** What is told of how speech stands over all else. */
public final class MixChecks {
  /** Decibels by which music may be louder by hand than by the rule. */
  private static final double BY_HAND = 1;

  /** Words of a line that are named. */
  private static final int NAMED = 3;

  /** LU the voice is lifted further at a time. */
  private static final double FURTHER = 2;

  private static final double MOST = 30;

  private MixChecks() {}

  /** Of a mix that was measured. */
  public static List<Finding> of(Resolved film, Ducking ducking, MixReport report) {
    List<Finding> all = new ArrayList<>();
    for (Ducking.Low low : ducking.lines()) {
      if (low.byHand() && low.gain() > low.byRule() + BY_HAND) {
        spoken(film, low.id()).ifPresent(line -> all.add(overRule(film, line, low)));
      }
    }
    for (MixReport.Stand stand : report.voice()) {
      boolean told = all.stream().anyMatch(f -> f.item().equals(stand.id()));
      if (!stand.hard().isEmpty() && !told) {
        spoken(film, stand.id()).ifPresent(line -> all.add(hard(film, line, stand)));
      }
    }
    if (all.isEmpty() && !report.voice().isEmpty()) {
      double least = report.voice().stream().mapToDouble(MixReport.Stand::over).min().orElseThrow();
      all.add(
          Finding.of(
              Check.SPEECH,
              Verdict.FINE,
              Double.isInfinite(least)
                  ? "nothing else is heard under speech"
                  : Said.of("speech over all else by %.1f LU and more", least)));
    }
    return all;
  }

  private static Optional<VoiceClock.Spoken> spoken(Resolved film, String line) {
    return film.cutting().voice().lines().stream().filter(l -> l.id().equals(line)).findFirst();
  }

  private static Finding overRule(Resolved film, VoiceClock.Spoken line, Ducking.Low low) {
    Balance now = film.film().balance();
    Map<String, Double> byHand = new LinkedHashMap<>(now.byHand());
    byHand.remove(line.id());
    double over = low.gain() - low.byRule();
    return finding(film, line, Said.of("line %d: music %.1f dB over the rule", line.number(), over))
        .with(
            List.of(
                new Mend(Said.of("Lower by %.1f dB", over), "", balanced(now.withByHand(byHand)))));
  }

  private static Finding hard(Resolved film, VoiceClock.Spoken line, MixReport.Stand stand) {
    Balance now = film.film().balance();
    String words =
        stand.hard().stream()
            .limit(NAMED)
            .map(w -> line.words().get(w).text())
            .collect(Collectors.joining(" "));
    String is = stand.hard().size() == 1 ? "is" : "are";
    double over = Math.min(MOST, now.rule().over() + FURTHER);
    return finding(film, line, Said.of("line %d: ‘%s’ %s hard to hear", line.number(), words, is))
        .with(
            over > now.rule().over()
                ? List.of(
                    new Mend(
                        Said.of("Voice %.0f LU further over music", over - now.rule().over()),
                        "under every line",
                        balanced(now.withRule(now.rule().withOver(over)))))
                : List.of());
  }

  private static Finding finding(Resolved film, VoiceClock.Spoken line, String said) {
    return Finding.at(Finding.frames(line.at(), film.rate()), Check.SPEECH, Verdict.LOOK, said)
        .about(line.id());
  }

  private static SetAspect<Film, Balance> balanced(Balance balance) {
    return SetAspect.of(Aspect.BALANCE, Film.END, balance);
  }
}
