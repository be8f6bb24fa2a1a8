package app.latethistle.server.material;

import app.latethistle.core.look.Fit;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.take.Fault;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.WideColour;
import app.latethistle.server.production.Production;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * A take and what is known of it.
 *
 * @param media SHA-256 of its file
 * @param wide the wide colours its file is written in, which arrive as BT.709; null if they are not
 * @param loss the share of its picture that filling the film would crop, 0 to 1
 */
record TakeView(
    long id,
    int number,
    String fileName,
    String media,
    State state,
    @Schema(nullable = true) String reason,
    long frames,
    long framesDone,
    double seconds,
    String rate,
    boolean variableRate,
    boolean otherRate,
    int width,
    int height,
    int rotation,
    @Schema(nullable = true) String wide,
    boolean sound,
    boolean still,
    Fit framing,
    double loss,
    String service,
    String prompt,
    double cost,
    boolean rejected,
    List<Fault> faults,
    String note,
    double measuring,
    @Schema(nullable = true) FactsView facts) {
  /** A take as it is shown. */
  static TakeView of(TakeEntry take, Production production, StoryShot wanted) {
    MediaFacts facts = take.medium().facts();
    PictureShape shape = facts.shape().orElseThrow();
    FrameRate film = production.rate();
    return new TakeView(
        take.id(),
        take.number(),
        take.fileName(),
        take.medium().hash(),
        take.state(),
        take.reason(),
        take.frames(),
        take.framesDone(),
        film.secondsOf(take.frames()),
        facts.rate().map(TakeView::rateText).orElse(""),
        facts.variable(),
        facts.rate().isPresent() && (facts.variable() || !facts.rate().get().equals(film)),
        shape.width(),
        shape.height(),
        facts.rotation(),
        facts.wide().map(WideColour::title).orElse(null),
        facts.sound(),
        facts.kind() == MediaFacts.Kind.STILL,
        Fit.byDefault(shape, production.shape()),
        Fit.lossWhenFilled(shape, production.shape()),
        take.service(),
        take.prompt(),
        take.cost(),
        take.isRejected(),
        List.copyOf(take.faults()),
        take.note(),
        (double) take.measuredFrames() / Math.max(1, facts.frames()),
        take.measured()
            .map(f -> MeasuredWords.view(f, wanted, shape, production.shape()))
            .orElse(null));
  }

  private static String rateText(FrameRate rate) {
    double perSecond = rate.perSecond();
    return perSecond == Math.rint(perSecond)
        ? Long.toString((long) perSecond)
        : String.format(java.util.Locale.ROOT, "%.2f", perSecond).replaceFirst("0$", "");
  }
}
