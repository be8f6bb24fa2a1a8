package app.latethistle.server.film;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.LineApart;
import app.latethistle.core.film.Remedy;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Lines that are heard over other shots than their own, and the ways out of that in words. */
@Component
class SpokenApart {
  /** Where more lines are apart than this, the film is to be cut again, not mended line by line. */
  private static final int MOST_MENDED = 8;

  private final Voice voice;

  SpokenApart(Voice voice) {
    this.voice = voice;
  }

  /** Each such line as something to look at. */
  List<FilmView.ProblemView> of(FilmState state, List<FilmView.PlacedView> placed) {
    if (state.lines().isEmpty()) {
      return List.of();
    }
    Map<String, String> speakers = state.speakers();
    List<LineApart> all = LineApart.in(state.resolved(), speakers);
    boolean mended = all.size() <= MOST_MENDED;
    return all.stream()
        .map(
            apart ->
                new FilmView.ProblemView(
                    Cutting.Kind.LINE_APART,
                    apart.place(),
                    apart.frames(),
                    "Line "
                        + apart.number()
                        + " is spoken over "
                        + placed.get(apart.over()).label()
                        + ", not over its own shot "
                        + placed.get(apart.place()).label()
                        + (mended ? "" : "; cut again keeps lines with their shots"),
                    mended
                        ? remedies(state, apart, speakers).stream()
                            .map(r -> view(r, apart, placed))
                            .toList()
                        : List.of()))
        .toList();
  }

  /** The ways out for the line that speaks of a shot of the cut; none if it is not apart. */
  List<Remedy> remedies(FilmState state, int place) {
    Map<String, String> speakers = state.speakers();
    return LineApart.in(state.resolved(), speakers).stream()
        .filter(apart -> apart.place() == place)
        .flatMap(apart -> remedies(state, apart, speakers).stream())
        .toList();
  }

  private List<Remedy> remedies(FilmState state, LineApart apart, Map<String, String> speakers) {
    String shot = state.film().placementAt(apart.place()).shot();
    return apart.remedies(
        state.resolved(), speakers, voice.startingWith(apart.line(), apart.number(), shot));
  }

  private static FilmView.RemedyView view(
      Remedy r, LineApart apart, List<FilmView.PlacedView> placed) {
    String own = placed.get(apart.place()).label();
    String before = apart.place() > 0 ? placed.get(apart.place() - 1).label() : "";
    return switch (r.kind()) {
      case WAIT ->
          new FilmView.RemedyView(
              r.kind(),
              "Let it wait",
              "the line starts with " + own + ", " + r.frames() + " f later");
      case CUT_SOONER ->
          new FilmView.RemedyView(
              r.kind(), "Shorten " + before, own + " begins " + r.frames() + " f sooner");
      default ->
          new FilmView.RemedyView(
              r.kind(), "Move " + own, "it comes to where its line is spoken, with its time");
    };
  }
}
