package app.latethistle.server.film;

import app.latethistle.core.caption.Caption;
import app.latethistle.core.caption.FilmCaptioner;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.TitlePlace;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Shape;
import app.latethistle.core.render.FilmWritings;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.type.PublisherRoom;
import app.latethistle.core.type.SetText;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.ShapedBox;
import app.latethistle.server.material.OwnFaces;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the page sees of a film's words. */
@Component
class WordsViews {
  private final TieWords ties;
  private final OwnFaces faces;

  WordsViews(TieWords ties, OwnFaces faces) {
    this.faces = faces;
    this.ties = ties;
  }

  /**
   * Of a film.
   *
   * @param shape in which captions are broken; the film's own if it is not said
   */
  WordsView of(FilmState state, String language, Optional<Shape> shape) {
    Shape in = shape.orElseGet(state::shape);
    List<WordsView.TitleView> titles =
        state.film().titles().stream()
            .map(t -> title(state, t, shape.filter(s -> !s.equals(state.shape()))))
            .sorted(
                Comparator.comparingLong(
                    t -> t.place() == null ? Long.MAX_VALUE : t.place().landing()))
            .toList();
    Film film = state.film();
    List<Broken> all =
        film.inEveryLanguage().stream().map(said -> Broken.of(state, said, in)).toList();
    Broken asked =
        all.stream()
            .filter(b -> b.said.language().equals(language))
            .findFirst()
            .orElseGet(() -> Broken.of(state, film.captionsIn(language), in));
    return new WordsView(
        state.production().revision(),
        state.cutting().length(),
        titles,
        all.stream().map(WordsViews::language).toList(),
        captions(state, asked),
        WordsView.SafeView.of(film.safe().of(in), !film.safe().said().containsKey(in)),
        PublisherRoom.of(in).stream().map(WordsView.Reserved::of).toList());
  }

  private WordsView.TitleView title(FilmState state, FilmTitle t, Optional<Shape> other) {
    TitlePlace place = state.cutting().beside().titles().get(t.id());
    List<Integer> missing =
        SetText.missing(
            t.words(), t.lettering(), t.box().own(), state.production().shape(), faces.all());
    return new WordsView.TitleView(
        t.id(),
        t.words(),
        t.lettering(),
        boxes(state, t.box()),
        t.movement(),
        TieView.of(t.when().lands()),
        place == null ? t.when().frames() : place.end() - place.landing(),
        t.when().until().map(TieView::of).orElse(null),
        t.layer(),
        ties.says(state, t.when().lands()),
        place == null
            ? null
            : new WordsView.StandingPlace(place.start(), place.landing(), place.end()),
        t.words().readingSeconds(),
        place == null ? 0 : place.standsFor(t.movement(), state.production().rate()),
        missing.stream().map(Character::toString).toList(),
        state.film().balance().asked().get(t.id()),
        t.follows().map(f -> FollowedView.of(state, f)).orElse(null),
        new FilmWritings(state.resolved(), other, other.orElseGet(state::shape))
            .along(t).steps().stream()
                .map(step -> new WordsView.Gone(1000 * step.x(), 1000 * step.y()))
                .toList(),
        t.picture().orElse(null));
  }

  private static List<WordsView.WordBox> boxes(FilmState state, ShapedBox box) {
    List<WordsView.WordBox> boxes = new ArrayList<>();
    boxes.add(
        new WordsView.WordBox(
            OtherShape.nameOf(state.shape()), box.own().x(), box.own().y(), box.own().width()));
    box.others()
        .forEach(
            (shape, in) ->
                boxes.add(
                    new WordsView.WordBox(OtherShape.nameOf(shape), in.x(), in.y(), in.width())));
    return boxes;
  }

  /** Captions in a language, broken once. */
  private record Broken(FilmCaptions said, FilmCaptioner captioner, List<Caption> captions) {
    static Broken of(FilmState state, FilmCaptions said, Shape shape) {
      FilmCaptioner captioner = new FilmCaptioner(state.resolved(), said, shape);
      return new Broken(said, captioner, captioner.captions());
    }
  }

  private static WordsView.LanguageView language(Broken in) {
    return new WordsView.LanguageView(
        in.said.language(),
        in.captions.size(),
        (int) in.captions.stream().filter(c -> !c.faults().isEmpty()).count(),
        in.captioner.untold().size());
  }

  private static WordsView.CaptionsView captions(FilmState state, Broken in) {
    FilmCaptions said = in.said;
    FilmCaptioner captioner = in.captioner;
    FrameRate rate = state.production().rate();
    return new WordsView.CaptionsView(
        said.language(),
        captioner.rules().letters(),
        captioner.rules().lines(),
        captioner.rules().perSecond(),
        captioner.rules().mostPerSecond(),
        !said.own().isEmpty(),
        look(state, said.style()),
        in.captions.stream()
            .map(
                c ->
                    new WordsView.CaptionView(
                        c.line(),
                        c.at().start(),
                        c.at().end(),
                        c.lines(),
                        c.perSecond(rate),
                        c.faults().stream().sorted().toList()))
            .toList(),
        state.cutting().voice().lines().stream()
            .filter(VoiceClock.Spoken::isHeard)
            .map(
                line ->
                    new WordsView.CaptionedLine(
                        line.id(),
                        line.number(),
                        line.text(),
                        captioner.text(line),
                        said.texts().containsKey(line.id())))
            .toList(),
        sounds(state, said, captioner.crowded()));
  }

  /** The sounds that land in the film, in its order. */
  private static List<WordsView.CaptionedSound> sounds(
      FilmState state, FilmCaptions said, List<String> crowded) {
    FrameRate rate = state.production().rate();
    return state.film().sounds().stream()
        .filter(s -> state.cutting().beside().sounds().containsKey(s.id()))
        .map(
            s ->
                new WordsView.CaptionedSound(
                    s.id(),
                    s.what().name(),
                    rate.nearestFrame(state.cutting().beside().sounds().get(s.id()).landing()),
                    said.sounds().getOrDefault(s.id(), ""),
                    crowded.contains(s.id())))
        .sorted(Comparator.comparingLong(WordsView.CaptionedSound::frame))
        .toList();
  }

  private static WordsView.CaptionLook look(FilmState state, CaptionStyle style) {
    List<String> burned = new ArrayList<>();
    if (style.burned()) {
      burned.add(OtherShape.nameOf(state.shape()));
    }
    style.elsewhere().forEach(shape -> burned.add(OtherShape.nameOf(shape)));
    return new WordsView.CaptionLook(
        style.kind(),
        style.lettering(),
        boxes(state, style.box()),
        style.speakers(),
        style.marked(),
        burned);
  }
}
