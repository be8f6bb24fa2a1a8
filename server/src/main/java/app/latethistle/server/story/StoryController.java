package app.latethistle.server.story;

import app.latethistle.core.Refused;
import app.latethistle.core.story.Brief;
import app.latethistle.core.story.CameraMove;
import app.latethistle.core.story.Delivery;
import app.latethistle.core.story.Lexicon;
import app.latethistle.core.story.ScriptFormat;
import app.latethistle.core.story.ScriptText;
import app.latethistle.core.story.Sheets;
import app.latethistle.core.story.ShotList;
import app.latethistle.core.story.ShotProposal;
import app.latethistle.core.story.SoundIdea;
import app.latethistle.core.story.Story;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.story.WrittenAnswer;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import app.latethistle.standins.writer.DraftWriter;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Writing: script, brief, shots, sheets and sound list. */
@RestController
@RequestMapping("/api/productions/{productionId}/story")
class StoryController {
  private final StoryService stories;
  private final Shots shots;

  StoryController(StoryService stories, Shots shots) {
    this.stories = stories;
    this.shots = shots;
  }

  /** A script; without a format it is guessed from the name and the text. */
  record ScriptChange(
      long revision, String text, @Schema(nullable = true) ScriptFormat format, String fileName) {}

  record BriefChange(long revision, Brief brief) {}

  record DeliveryChange(long revision, Delivery delivery) {}

  record SheetsChange(long revision, Sheets sheets) {}

  record LexiconChange(long revision, Map<String, Lexicon.Sound> sounds) {}

  record SoundsChange(long revision, List<SoundIdea> sounds) {}

  record TicksChange(long revision, List<Integer> givenOut) {}

  record CutChange(long revision, int line, String text) {}

  record AnswerChange(long revision, String answer) {}

  record Proposal(long revision, int count) {}

  record ShotChange(long revision, int id) {}

  record ShotMove(long revision, int id, int after) {}

  record ShotsGone(long revision, Set<Integer> ids) {}

  /** Fields of several shots at once; what is null stays as it is. */
  record Fields(
      @Schema(nullable = true) String seen,
      @Schema(nullable = true) List<String> who,
      @Schema(nullable = true) String where,
      @Schema(nullable = true) String action,
      @Schema(nullable = true) CameraMove move,
      @Schema(nullable = true) Integer strength,
      @Schema(nullable = true) Double seconds,
      @Schema(nullable = true) String mood,
      @Schema(nullable = true) List<String> sounds,
      @Schema(nullable = true) String lettering,
      @Schema(nullable = true) Integer line) {
    StoryShot applyTo(StoryShot s) {
      return new StoryShot(
          s.id(),
          s.number(),
          or(seen, s.seen()),
          or(who, s.who()),
          or(where, s.where()),
          or(action, s.action()),
          or(move, s.move()),
          or(strength, s.strength()),
          or(seconds, s.seconds()),
          or(mood, s.mood()),
          or(sounds, s.sounds()),
          or(lettering, s.lettering()),
          or(line, s.line()));
    }

    private static <T> T or(T given, T was) {
      return given == null ? was : given;
    }
  }

  record ShotsChange(long revision, Set<Integer> ids, Fields fields) {}

  /** A draft by the stand-in writer. */
  record Draft(String title, String text, int words, double seconds) {}

  @GetMapping
  StoryView story(@PathVariable long productionId) {
    return view(productionId, stories.state(productionId));
  }

  private StoryView view(long productionId, StoryService.State state) {
    Map<Integer, Long> ids =
        shots.findByProductionIdOrderById(productionId).stream()
            .filter(s -> s.storyShot() != null)
            .collect(Collectors.toMap(Shot::storyShot, Shot::id, (a, b) -> a));
    List<Long> rows =
        state.story().shots().shots().stream().map(s -> ids.getOrDefault(s.id(), 0L)).toList();
    return StoryView.of(state, rows);
  }

  private StoryView change(long id, long revision, String name, UnaryOperator<Story> change) {
    return view(id, stories.change(id, revision, name, change));
  }

  private StoryView shots(long id, long revision, String name, UnaryOperator<ShotList> change) {
    return change(id, revision, name, s -> s.withShots(change.apply(s.shots())));
  }

  @PutMapping("/script")
  StoryView script(@PathVariable long productionId, @RequestBody ScriptChange c) {
    boolean brought = c.fileName() != null && !c.fileName().isBlank();
    ScriptFormat format =
        c.format() == null ? ScriptFormat.guess(brought ? c.fileName() : "", c.text()) : c.format();
    return change(
        productionId,
        c.revision(),
        brought ? "bring in " + c.fileName() : StoryService.WRITE,
        s -> s.withScript(c.text(), format));
  }

  @PutMapping("/brief")
  StoryView brief(@PathVariable long productionId, @RequestBody BriefChange c) {
    return change(productionId, c.revision(), "change the brief", s -> s.withBrief(c.brief()));
  }

  @PutMapping("/delivery")
  StoryView delivery(@PathVariable long productionId, @RequestBody DeliveryChange c) {
    return change(
        productionId, c.revision(), "change the delivery", s -> s.withDelivery(c.delivery()));
  }

  @PutMapping("/sheets")
  StoryView sheets(@PathVariable long productionId, @RequestBody SheetsChange c) {
    return change(productionId, c.revision(), "change the sheets", s -> s.withSheets(c.sheets()));
  }

  @PutMapping("/lexicon")
  StoryView lexicon(@PathVariable long productionId, @RequestBody LexiconChange c) {
    return change(
        productionId,
        c.revision(),
        "change the sound words",
        s -> s.withLexicon(new Lexicon(new LinkedHashMap<>(c.sounds()))));
  }

  @PutMapping("/sounds")
  StoryView sounds(@PathVariable long productionId, @RequestBody SoundsChange c) {
    return change(
        productionId, c.revision(), "change the sound list", s -> s.withSounds(c.sounds()));
  }

  @PutMapping("/given-out")
  StoryView givenOut(@PathVariable long productionId, @RequestBody TicksChange c) {
    return change(productionId, c.revision(), "tick prompts", s -> s.withGivenOut(c.givenOut()));
  }

  /** Takes words out of a spoken line. */
  @PostMapping("/cut")
  StoryView cut(@PathVariable long productionId, @RequestBody CutChange c) {
    return change(
        productionId,
        c.revision(),
        "shorten line " + c.line(),
        s -> {
          var lines = s.script().lines();
          if (c.line() < 1 || c.line() > lines.size()) {
            throw new Refused("There is no line " + c.line() + ".");
          }
          int at = lines.get(c.line() - 1).sourceLine();
          return s.withScript(ScriptText.without(s.text(), at, c.text()), s.format());
        });
  }

  /** Reads a writing service's answer back as the script. */
  @PostMapping("/answer")
  StoryView answer(@PathVariable long productionId, @RequestBody AnswerChange c) {
    String text = WrittenAnswer.script(c.answer());
    return change(
        productionId,
        c.revision(),
        "read an answer back",
        s -> s.withScript(text, ScriptFormat.guess("", text)));
  }

  /** Three drafts by the stand-in writer; another seed gives others. */
  @GetMapping("/drafts")
  List<Draft> drafts(@PathVariable long productionId, @RequestParam long seed) {
    Story story = stories.state(productionId).story();
    return DraftWriter.drafts(story.brief(), story.delivery(), seed).stream()
        .map(d -> new Draft(d.title(), d.text(), d.words(), d.seconds()))
        .toList();
  }

  /** Proposes shots from the script, in place of those there are. */
  @PostMapping("/shots/propose")
  StoryView propose(@PathVariable long productionId, @RequestBody Proposal c) {
    return change(
        productionId,
        c.revision(),
        "propose shots",
        s -> {
          List<String> people = s.sheets().people().stream().map(Sheets.Person::name).toList();
          ShotList proposed = ShotProposal.of(s.script(), s.delivery(), people, c.count());
          if (proposed.shots().isEmpty()) {
            throw new Refused("The script gives no shots yet; write what is seen or said in it.");
          }
          return s.withShots(proposed);
        });
  }

  @PostMapping("/shots/add")
  StoryView add(@PathVariable long productionId, @RequestBody ShotChange c) {
    return shots(productionId, c.revision(), "add a shot", l -> l.addAfter(c.id()));
  }

  @PostMapping("/shots/split")
  StoryView split(@PathVariable long productionId, @RequestBody ShotChange c) {
    return shots(productionId, c.revision(), "split a shot", l -> l.split(c.id()));
  }

  @PostMapping("/shots/join")
  StoryView join(@PathVariable long productionId, @RequestBody ShotChange c) {
    return shots(productionId, c.revision(), "join two shots", l -> l.join(c.id()));
  }

  @PostMapping("/shots/move")
  StoryView move(@PathVariable long productionId, @RequestBody ShotMove c) {
    return shots(productionId, c.revision(), "move a shot", l -> l.moveAfter(c.id(), c.after()));
  }

  @PostMapping("/shots/remove")
  StoryView remove(@PathVariable long productionId, @RequestBody ShotsGone c) {
    return shots(productionId, c.revision(), "remove shots", l -> l.remove(c.ids()));
  }

  @PostMapping("/shots/change")
  StoryView change(@PathVariable long productionId, @RequestBody ShotsChange c) {
    String name = c.ids().size() == 1 ? "change a shot" : "change " + c.ids().size() + " shots";
    return shots(productionId, c.revision(), name, l -> l.change(c.ids(), c.fields()::applyTo));
  }
}
