package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.marks.Badge;
import app.latethistle.core.marks.CinemaBars;
import app.latethistle.core.marks.Cropping;
import app.latethistle.core.marks.MarkFate;
import app.latethistle.core.marks.SeenMark;
import app.latethistle.core.marks.Sign;
import app.latethistle.core.measure.TakeFacts;
import app.latethistle.core.take.Box;
import app.latethistle.core.take.Take;
import app.latethistle.core.type.Faces;
import app.latethistle.core.words.Lettering.Face;
import app.latethistle.server.material.OwnFaces;
import app.latethistle.server.material.State;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The ways in which a service's mark is not seen, and what each costs. */
@RestController
@RequestMapping("/api/productions/{productionId}/film/marks/{takeId}")
class MarkController {
  private final FilmService films;
  private final FilmEdits edits;
  private final Takes takes;
  private final OwnFaces faces;

  MarkController(FilmService films, FilmEdits edits, Takes takes, OwnFaces faces) {
    this.faces = faces;
    this.films = films;
    this.edits = edits;
    this.takes = takes;
  }

  /**
   * The ways.
   *
   * @param shown how often the film shows the take
   * @param open how often the mark is seen there, with nothing over it
   * @param closer by how many per cent the take is enlarged to frame the mark out; null if that
   *     would be too much
   * @param lost per cent of the picture that is not seen then
   * @param bars the narrowest cinema shape whose bars cover it, in hundredths; null if none does
   * @param badge the film's badge; null if it has none
   * @param others takes of the shot without a mark
   * @param behind per cent of the mark's place that other moments of the take may show, by how far
   *     its camera goes
   */
  record MarkWays(
      int shown,
      int open,
      @Schema(nullable = true) Integer closer,
      @Schema(nullable = true) Integer lost,
      @Schema(nullable = true) Integer bars,
      @Schema(nullable = true) LaidBadge badge,
      List<OtherTake> others,
      int behind) {}

  /**
   * A badge that lies over marks.
   *
   * @param face the family that it is set in
   */
  record LaidBadge(String text, String face, Badge.Reach reach) {
    static LaidBadge of(Badge badge) {
      return new LaidBadge(badge.sign().text(), badge.sign().face().family(), badge.reach());
    }
  }

  /** Another take of the shot. */
  record OtherTake(long id, int number) {}

  /**
   * Which film is changed.
   *
   * @param revision the one the person saw
   */
  record MarkEdit(long revision) {}

  @GetMapping
  MarkWays ways(@PathVariable long productionId, @PathVariable long takeId) {
    FilmState state = films.state(productionId);
    TakeEntry entry = takes.get(productionId, takeId);
    TakeFacts facts = facts(entry);
    Take take = state.takes().get(Long.toString(takeId));
    double aspect = aspect(state);
    Optional<Cropping> cropping =
        Cropping.around(
            facts.marks(), state.framingOf(take), take.shape(), aspect, Cropping.CLOSEST);
    List<Placement> shots = showing(state, takeId);
    Map<String, MarkFate> fates = MarkFate.of(state.marked(), faces.all());
    return new MarkWays(
        shots.size(),
        (int) shots.stream().filter(p -> fates.get(p.id()) == MarkFate.SEEN).count(),
        cropping.map(c -> percent(c.enlarged() - 1)).orElse(null),
        cropping.map(c -> percent(c.lost())).orElse(null),
        bars(state, takeId, facts).orElse(null),
        Badge.in(state.film()).map(LaidBadge::of).orElse(null),
        takes.findByShotIdOrderByNumberAscIdAsc(entry.shotId()).stream()
            .filter(t -> t.state() == State.READY && !t.isPlaceholder() && t.isMeasured())
            .filter(t -> t.measured().orElseThrow().marks().isEmpty())
            .map(t -> new OtherTake(t.id(), t.number()))
            .toList(),
        behind(facts));
  }

  private static TakeFacts facts(TakeEntry entry) {
    return entry
        .measured()
        .filter(f -> !f.marks().isEmpty() && entry.state() == State.READY)
        .orElseThrow(() -> new Refused("Take " + entry.number() + " has no mark."));
  }

  private static double aspect(FilmState state) {
    return state.production().shape().aspect();
  }

  private static int percent(double share) {
    return (int) Math.ceil(100 * share);
  }

  private static List<Placement> showing(FilmState state, long takeId) {
    String id = Long.toString(takeId);
    return state.film().placements().stream().filter(p -> p.take().equals(id)).toList();
  }

  /** The bars that cover the take's mark wherever it is seen, as it would be if it is nowhere. */
  private static Optional<Integer> bars(FilmState state, long takeId, TakeFacts facts) {
    Take take = state.takes().get(Long.toString(takeId));
    List<Placement> shots = showing(state, takeId);
    List<Framing> framings =
        shots.isEmpty()
            ? List.of(state.framingOf(take))
            : shots.stream().map(p -> p.framing().own()).toList();
    List<Box> places =
        framings.stream()
            .flatMap(
                framing ->
                    facts.marks().stream()
                        .map(m -> SeenMark.place(framing, m, take.shape(), aspect(state)))
                        .flatMap(Optional::stream))
            .toList();
    return places.isEmpty() ? Optional.empty() : CinemaBars.over(places, aspect(state));
  }

  /** The share of the widest mark's place that the camera leaves, in per cent. */
  private static int behind(TakeFacts facts) {
    double across = Math.abs(facts.travel().right());
    double down = Math.abs(facts.travel().down());
    return facts.marks().stream()
        .mapToInt(
            m ->
                (int)
                    Math.min(
                        100,
                        100
                            * Math.max(
                                across / (m.right() - m.left()), down / (m.bottom() - m.top()))))
        .min()
        .orElse(0);
  }

  /** Frames the mark out wherever the film shows the take. */
  @PostMapping("/frame-out")
  FilmView frameOut(
      @PathVariable long productionId, @PathVariable long takeId, @RequestBody MarkEdit asked) {
    TakeFacts facts = facts(takes.get(productionId, takeId));
    return edits.make(
        productionId,
        asked.revision(),
        state -> {
          Map<String, ShapedFraming> framed = new LinkedHashMap<>();
          for (Placement p : showing(state, takeId)) {
            Take take = state.takes().get(p.take());
            Cropping.around(
                    facts.marks(), p.framing().own(), take.shape(), aspect(state), Cropping.CLOSEST)
                .ifPresent(c -> framed.put(p.id(), p.framing().withOwn(c.framing())));
          }
          if (framed.isEmpty()) {
            throw new Refused("The film does not show this take, or would have to come too close.");
          }
          return SetAspect.of(Aspect.FRAMING, framed).called("frame the mark out");
        });
  }

  /** Lays bars over the whole film that cover the mark. */
  @PostMapping("/bars")
  FilmView bars(
      @PathVariable long productionId, @PathVariable long takeId, @RequestBody MarkEdit asked) {
    TakeFacts facts = facts(takes.get(productionId, takeId));
    return edits.make(
        productionId,
        asked.revision(),
        state ->
            CinemaBars.set(
                state.film(),
                bars(state, takeId, facts)
                    .orElseThrow(() -> new Refused("No bars of a cinema shape cover the mark."))));
  }

  /**
   * What a badge says, over every mark that the film shows.
   *
   * @param revision the one the person saw
   * @param face the family that it is set in, or a logotype; null for the usual one
   */
  record BadgeAsked(
      long revision, String text, @Schema(nullable = true) String face, Badge.Reach reach) {
    Badge get(Faces faces) {
      if (text == null || reach == null) {
        throw new Refused("Say what the badge says, and whether it stands over the whole film.");
      }
      if (face != null && !faces.has(face)) {
        throw new Refused("There is no face “" + face + "”; choose another for the badge.");
      }
      Face usual = Sign.of(text).face();
      return new Badge(
          new Sign(text, face == null || face.equals(usual.family()) ? usual : Face.of(face)),
          reach);
    }
  }

  /** Covers every mark of the film with the channel's badge, instead of the one it has. */
  @PostMapping("/badge")
  FilmView badge(
      @PathVariable long productionId, @PathVariable long takeId, @RequestBody BadgeAsked asked) {
    facts(takes.get(productionId, takeId));
    Faces known = faces.all();
    Badge badge = asked.get(known);
    return edits.make(productionId, asked.revision(), state -> badge.over(state.marked(), known));
  }

  /** Takes the film's badge out. */
  @PostMapping("/badge-out")
  FilmView badgeOut(
      @PathVariable long productionId, @PathVariable long takeId, @RequestBody MarkEdit asked) {
    takes.get(productionId, takeId);
    return edits.make(productionId, asked.revision(), state -> Badge.out(state.film()));
  }
}
