package app.latethistle.server.story;

import app.latethistle.core.story.Brief;
import app.latethistle.core.story.Delivery;
import app.latethistle.core.story.Lexicon;
import app.latethistle.core.story.Script;
import app.latethistle.core.story.ScriptElement;
import app.latethistle.core.story.ScriptFormat;
import app.latethistle.core.story.Sheets;
import app.latethistle.core.story.Shortening;
import app.latethistle.core.story.SoundIdea;
import app.latethistle.core.story.SpokenLine;
import app.latethistle.core.story.Story;
import app.latethistle.core.story.StoryShot;
import java.util.List;
import java.util.Map;

/**
 * A story as the page shows it.
 *
 * @param request what to paste into a writing service
 * @param elements the script's structure
 * @param words spoken in all
 * @param spokenSeconds expected for all lines with the gaps between them
 * @param cuts what to cut so that the lines fit the wanted length; empty if they do
 * @param shotSeconds of all shots together
 * @param rows the material's id of each shot, in the order of the shots
 */
record StoryView(
    long revision,
    Brief brief,
    String request,
    String text,
    ScriptFormat format,
    Delivery delivery,
    List<Delivery.Usual> usual,
    List<ElementView> elements,
    List<LineView> lines,
    int words,
    double spokenSeconds,
    double targetSeconds,
    List<Shortening.Cut> cuts,
    List<StoryShot> shots,
    List<Long> rows,
    double shotSeconds,
    Sheets sheets,
    Map<String, Lexicon.Sound> lexicon,
    List<SoundIdea> sounds,
    List<Integer> givenOut) {

  /** A part of the script; {@code line} is where its text begins, from 1. */
  record ElementView(ScriptElement.Kind kind, String speaker, String text, int line) {}

  /** A spoken line, with the seconds expected at the delivery chosen. */
  record LineView(
      int number,
      String speaker,
      boolean narration,
      String text,
      int sourceLine,
      int words,
      double seconds) {}

  static StoryView of(StoryService.State state, List<Long> rows) {
    Story story = state.story();
    Script script = story.script();
    Delivery delivery = story.delivery();
    List<SpokenLine> lines = script.lines();
    double spoken = delivery.secondsOf(lines);
    double target = state.production().targetSeconds();
    return new StoryView(
        state.revision(),
        story.brief(),
        story.brief().request(delivery),
        story.text(),
        story.format(),
        delivery,
        Delivery.USUAL,
        script.elements().stream()
            .map(e -> new ElementView(e.kind(), e.speaker(), e.text(), e.line()))
            .toList(),
        lines.stream()
            .map(
                l ->
                    new LineView(
                        l.number(),
                        l.speaker(),
                        l.narration(),
                        l.text(),
                        l.sourceLine(),
                        l.words(),
                        delivery.secondsOf(l)))
            .toList(),
        lines.stream().mapToInt(SpokenLine::words).sum(),
        spoken,
        target,
        Shortening.offer(lines, delivery, spoken - target),
        story.shots().shots(),
        rows,
        story.shots().seconds(),
        story.sheets(),
        story.lexicon().sounds(),
        story.sounds(),
        story.givenOut());
  }
}
