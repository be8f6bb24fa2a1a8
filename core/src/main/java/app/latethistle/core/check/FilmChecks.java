package app.latethistle.core.check;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.TitlePlace;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.View;
import app.latethistle.core.marks.Marked;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.take.Take;
import app.latethistle.core.type.Faces;
import app.latethistle.core.type.SetText;
import app.latethistle.core.words.TitleKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** What is told of a film without drawing or mixing it. */
public final class FilmChecks {
  /**
   * The film's pixels over the take's from which a picture looks soft. A take of 720 lines in a
   * film of 1080 has 1.5 (common practice, no source).
   */
  private static final double SOFT = 1.6;

  private final Resolved film;
  private final PictureShape picture;
  private final Known known;
  private final List<Finding> all = new ArrayList<>();

  /**
   * What is known beside the film.
   *
   * @param slates takes that are slates
   * @param script the script's words
   * @param faces the letters there are
   * @param wish how long the film is to be, in seconds; 0 for as long as it is
   */
  public record Known(Set<String> slates, Spelling script, Faces faces, double wish) {
    public Known {
      slates = Set.copyOf(slates);
    }
  }

  private FilmChecks(Resolved film, PictureShape picture, Known known) {
    this.film = film;
    this.picture = picture;
    this.known = known;
  }

  /**
   * Looks at a film.
   *
   * @param picture the film's
   */
  public static List<Finding> of(Resolved film, PictureShape picture, Known known) {
    FilmChecks checks = new FilmChecks(film, picture, known);
    checks.length();
    checks.slates();
    checks.marks();
    checks.enlarged();
    checks.cuts();
    checks.titles();
    Shape shape = Shape.of(picture.width(), picture.height());
    checks.all.addAll(new CaptionChecks(film, shape, known.faces).found());
    checks.spelling();
    return checks.all;
  }

  private double aspect() {
    return picture.aspect();
  }

  private void length() {
    double is = film.rate().secondsOf(film.cutting().length());
    boolean near = known.wish <= 0 || Math.abs(is - known.wish) <= 0.1 * known.wish;
    String wish = known.wish <= 0 ? "" : Said.of(", target %.0f s", known.wish);
    all.add(
        Finding.of(Check.LENGTH, near ? Verdict.FINE : Verdict.LOOK, Said.of("%.1f s", is) + wish));
  }

  /** The shots of the cut that show something, with their frames. */
  private List<Placement> shots() {
    return film.film().placements().stream().filter(Placement::hasPicture).toList();
  }

  private void slates() {
    List<Placement> slates = shots().stream().filter(p -> known.slates.contains(p.take())).toList();
    slates.forEach(
        p ->
            all.add(
                Finding.at(
                        film.rangeOf(p.id()), Check.SLATES, Verdict.MUST, "still shows its slate")
                    .about(p.id())));
    fineUnless(slates, Check.SLATES, "no slate is left");
  }

  private void marks() {
    List<Finding> found = MarkChecks.of(new Marked(film, picture), known.faces);
    all.addAll(found);
    fineUnless(found, Check.MARKS, "no mark of a service is seen");
  }

  private void enlarged() {
    int before = all.size();
    for (Placement p : shots()) {
      Take take = film.takes().get(p.take());
      FramingPath path = p.framing().own().path().orElseGet(() -> FramingPath.still(View.WHOLE));
      if (take == null || known.slates.contains(take.id())) {
        continue;
      }
      double most = 0;
      for (int i = 0; i <= 10; i++) {
        most = Math.max(most, path.fills(i / 10.0, take.shape(), picture.width(), aspect()));
      }
      if (most > SOFT) {
        all.add(
            Finding.at(
                    film.rangeOf(p.id()),
                    Check.ENLARGED,
                    Verdict.LOOK,
                    Said.of(
                        "enlarged to %.0f %%: a pixel of its take fills %.1f of the film's",
                        100 * most, most))
                .about(p.id()));
      }
    }
    fineUnless(
        all.subList(before, all.size()),
        Check.ENLARGED,
        Said.of("no shot enlarged over %.0f %%", 100 * SOFT));
  }

  private void cuts() {
    int count = Math.max(0, film.film().joints().size() - 2);
    long onBeats =
        film.film().ties().stream()
            .skip(1)
            .limit(count)
            .filter(tie -> tie instanceof Tie.OnBeat)
            .count();
    long onWords =
        film.film().ties().stream()
            .skip(1)
            .limit(count)
            .filter(tie -> tie instanceof Tie.OnWord)
            .count();
    if (count > 0) {
      all.add(
          Finding.of(
              Check.CUTS,
              Verdict.FINE,
              Said.of("%d of %d cuts on a beat, %d on a word", onBeats, count, onWords)));
    }
  }

  private void titles() {
    int before = all.size();
    for (FilmTitle title : film.film().titles()) {
      title(title);
    }
    if (!film.film().titles().isEmpty()) {
      fineUnless(
          all.subList(before, all.size()),
          Check.TITLES,
          film.film().titles().size() == 1
              ? "the title stays long enough"
              : Said.of("all %d titles stay long enough", film.film().titles().size()));
    }
  }

  private void title(FilmTitle title) {
    TitlePlace place = film.cutting().beside().titles().get(title.id());
    String name = title.called();
    if (place == null) {
      all.add(
          Finding.of(Check.TITLES, Verdict.MUST, name + " is tied to what is gone: land it anew")
              .about(title.id()));
      return;
    }
    double stays = place.standsFor(title.movement(), film.rate());
    double needs = title.words().readingSeconds();
    if (stays < needs && title.words().kind() != TitleKind.BADGE) {
      all.add(
          Finding.at(
                  place.range(),
                  Check.TITLES,
                  Verdict.LOOK,
                  Said.of("%s stays %.1f s, %.1f s are needed to read it", name, stays, needs))
              .about(title.id())
              .with(longer(title, needs - stays)));
    }
    String family = title.lettering().face().family();
    if (!known.faces.has(family)) {
      mustBePutRight(
          title, place, "the face “" + family + "” is not here; bring it in or choose another");
    }
    List<Integer> missing =
        SetText.missing(title.words(), title.lettering(), title.box().own(), picture, known.faces);
    if (!missing.isEmpty()) {
      String letters = missing.stream().map(Character::toString).collect(Collectors.joining(" "));
      mustBePutRight(title, place, "its face has no " + letters + "; choose another");
    }
  }

  private void mustBePutRight(FilmTitle title, TitlePlace place, String said) {
    String named = title.called() + ": " + said;
    all.add(Finding.at(place.range(), Check.TITLES, Verdict.MUST, named).about(title.id()));
  }

  private List<Mend> longer(FilmTitle title, double seconds) {
    Standing when = title.when();
    if (when.until().isPresent()) {
      return List.of();
    }
    long more = Math.max(1, film.rate().framesIn(seconds) + 1);
    return List.of(
        new Mend(
            Said.of("Stay %.1f s longer", film.rate().secondsOf(more)),
            "",
            SetAspect.of(
                Aspect.STANDING, title.id(), Standing.of(when.lands(), when.frames() + more))));
  }

  private void spelling() {
    int before = all.size();
    for (FilmTitle title : film.film().titles()) {
      if (title.words().kind() == TitleKind.BADGE) {
        continue;
      }
      for (Spelling.Slip slip : known.script.in(title.words().text())) {
        TitlePlace place = film.cutting().beside().titles().get(title.id());
        Finding finding =
            place == null
                ? Finding.of(Check.SPELLING, Verdict.LOOK, said(slip, title.called()))
                : Finding.at(
                    place.range(), Check.SPELLING, Verdict.LOOK, said(slip, title.called()));
        all.add(finding.about(title.id()));
      }
    }
    FilmCaptions read = film.film().captionsIn(FilmCaptions.READ);
    read.texts()
        .forEach(
            (line, text) ->
                known.script.in(text).stream()
                    .map(slip -> said(slip, "a caption"))
                    .map(said -> Finding.of(Check.SPELLING, Verdict.LOOK, said).about(line))
                    .forEach(all::add));
    fineUnless(
        all.subList(before, all.size()), Check.SPELLING, "words are written as in the script");
  }

  private static String said(Spelling.Slip slip, String where) {
    return where + " has “" + slip.word() + "”, the script “" + slip.meant() + "”";
  }

  private void fineUnless(List<?> found, Check check, String fine) {
    if (found.isEmpty()) {
      all.add(Finding.of(check, Verdict.FINE, fine));
    }
  }
}
