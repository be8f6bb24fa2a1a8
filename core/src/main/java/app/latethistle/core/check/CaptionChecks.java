package app.latethistle.core.check;

import app.latethistle.core.caption.Caption;
import app.latethistle.core.caption.CaptionRules;
import app.latethistle.core.caption.FilmCaptioner;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.Shape;
import app.latethistle.core.type.Faces;
import app.latethistle.core.type.SetText;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.ShapedBox;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * Whether a film's captions keep to their rules, stand where nothing is laid over them, and have
 * their letters.
 */
final class CaptionChecks {
  private final Resolved film;
  private final Shape shape;
  private final Faces faces;
  private final List<Finding> all = new ArrayList<>();

  CaptionChecks(Resolved film, Shape shape, Faces faces) {
    this.film = film;
    this.shape = shape;
    this.faces = faces;
  }

  /** What is wrong with them, or that nothing is; nothing is said where there are none. */
  List<Finding> found() {
    int count = 0;
    CaptionRules rules = CaptionRules.USUAL;
    for (FilmCaptions said : film.film().inEveryLanguage()) {
      FilmCaptioner captioner = new FilmCaptioner(film, said, shape);
      rules = captioner.rules();
      List<Caption> captions = captioner.captions();
      count += captions.size();
      below(said);
      letters(said, captions);
      for (int i = 0; i < captions.size(); i++) {
        Caption caption = captions.get(i);
        if (!caption.faults().isEmpty()) {
          all.add(
              Finding.at(
                      caption.at(),
                      Check.CAPTIONS,
                      Verdict.LOOK,
                      language(said) + " caption " + (i + 1) + " " + faults(caption, rules))
                  .about(caption.line()));
        }
      }
    }
    if (count > 0 && all.isEmpty()) {
      all.add(
          Finding.of(
              Check.CAPTIONS,
              Verdict.FINE,
              Said.of("%d captions, up to %d letters a line", count, rules.letters())));
    }
    return all;
  }

  /** Captions that stand in pictures in a face that is not here, or that has not their letters. */
  private void letters(FilmCaptions said, List<Caption> captions) {
    CaptionStyle style = said.style();
    if (!style.burned() && style.elsewhere().isEmpty()) {
      return;
    }
    String family = style.lettering().face().family();
    if (!faces.has(family)) {
      all.add(
          Finding.of(
              Check.CAPTIONS,
              Verdict.MUST,
              language(said)
                  + " captions: the face “"
                  + family
                  + "” is not here; bring it in or choose another"));
    }
    for (Caption caption : captions) {
      List<Integer> missing =
          SetText.missing(caption.lines(), style.lettering(), style.box().own(), shape, faces);
      if (!missing.isEmpty()) {
        String none = missing.stream().map(Character::toString).collect(Collectors.joining(" "));
        all.add(
            Finding.at(
                    caption.at(),
                    Check.CAPTIONS,
                    Verdict.MUST,
                    language(said) + " captions: no face has " + none)
                .about(caption.line()));
      }
    }
  }

  /** Captions that stand in pictures lower than what is laid over these leaves free. */
  private void below(FilmCaptions said) {
    CaptionStyle style = said.style();
    if (style.burned()) {
      Box box = style.box().own();
      below(said, shape, box, style.box().withOwn(clear(box, shape)));
    }
    for (Shape other : style.elsewhere()) {
      Box box = style.box().in(other);
      below(said, other, box, style.box().with(other, clear(box, other)));
    }
  }

  private void below(FilmCaptions said, Shape in, Box box, ShapedBox raised) {
    if (box.equals(clear(box, in))) {
      return;
    }
    all.add(
        Finding.of(
                Check.CAPTIONS,
                Verdict.LOOK,
                Said.of(
                    "%s captions stand at %.0f %% of %s, below its safe area",
                    language(said), box.y() / 10.0, in))
            .with(
                List.of(
                    new Mend(
                        "Raise them",
                        "",
                        SetAspect.of(
                            Aspect.CAPTION_STYLE, said.id(), said.style().withBox(raised))))));
  }

  private Box clear(Box box, Shape in) {
    return box.at(box.x(), Math.min(box.y(), 1000 - film.film().safe().of(in).bottom()));
  }

  private static String language(FilmCaptions said) {
    return Locale.forLanguageTag(said.language()).getDisplayLanguage(Locale.ENGLISH);
  }

  private String faults(Caption caption, CaptionRules rules) {
    return caption.faults().stream()
        .sorted()
        .map(
            fault ->
                switch (fault) {
                  case TOO_QUICK ->
                      Said.of(
                          "has %.1f letters a second, limit %.0f",
                          caption.perSecond(film.rate()), rules.mostPerSecond());
                  case TOO_SHORT ->
                      Said.of("is gone after %.1f s", film.rate().secondsOf(caption.at().length()));
                  case TOO_LONG ->
                      Said.of("stays for %.1f s", film.rate().secondsOf(caption.at().length()));
                  case LINE_TOO_LONG -> Said.of("has a line over %d letters", rules.letters());
                  case NOT_APART -> "is not apart from the one before";
                  case BESIDE_CUT -> "begins or ends just beside a cut";
                })
        .collect(Collectors.joining(", "));
  }
}
