package app.latethistle.server.master;

import app.latethistle.core.look.Shape;
import app.latethistle.core.release.Encoding;
import app.latethistle.core.release.Output;
import app.latethistle.core.take.PictureShape;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import java.util.List;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a production delivers. */
@Service
public class Outputs {
  private static final Shape UPRIGHT = new Shape(9, 16);
  private static final Shape WIDE = new Shape(16, 9);

  private final OutputRows rows;
  private final Productions productions;

  Outputs(OutputRows rows, Productions productions) {
    this.rows = rows;
    this.productions = productions;
  }

  /** The outputs in their order; those that most films need where there have never been any. */
  @Transactional
  public List<OutputRow> of(long productionId) {
    List<OutputRow> known = rows.findByProductionIdOrderById(productionId);
    if (!known.isEmpty()) {
      return known;
    }
    // Two pages that open at once must not both put them there.
    Production production = productions.getLocked(productionId);
    known = rows.findByProductionIdOrderById(productionId);
    return known.isEmpty()
        ? rows.saveAll(usual(production).stream().map(o -> new OutputRow(productionId, o)).toList())
        : known;
  }

  private static List<Output> usual(Production production) {
    PictureShape film = production.shape();
    Shape other = Shape.of(film.width(), film.height()).equals(UPRIGHT) ? WIDE : UPRIGHT;
    return List.of(
        Output.of("{film}", Encoding.MP4),
        Output.of("{film}, " + (other.equals(UPRIGHT) ? "upright" : "wide"), Encoding.MP4)
            .withPictures(Output.Pictures.AS_FILM.in(other))
            .withTicked(false),
        Output.of("{film}, captions", Encoding.CAPTIONS).withTicked(false),
        Output.of("{film}, sound", Encoding.WAV).withTicked(false));
  }

  /** What a production delivers, as it is said. */
  @Transactional
  public List<Output> said(long productionId) {
    return of(productionId).stream().map(OutputRow::output).toList();
  }

  /** Has a production deliver these: those of a name it has are as they are said now. */
  @Transactional
  public void take(long productionId, List<Output> said) {
    List<OutputRow> known = of(productionId);
    for (Output output : said) {
      known.stream()
          .filter(row -> row.output().name().equals(output.name()))
          .findFirst()
          .ifPresentOrElse(
              row -> row.set(output.withPart(row.output().part())),
              () -> rows.save(new OutputRow(productionId, output)));
    }
  }

  OutputRow get(long productionId, long id) {
    return rows.get(productionId, id);
  }

  @Transactional
  public OutputRow add(long productionId, Output output) {
    of(productionId);
    return rows.save(new OutputRow(productionId, output));
  }

  @Transactional
  public OutputRow change(long productionId, long id, UnaryOperator<Output> change) {
    OutputRow row = rows.get(productionId, id);
    row.set(change.apply(row.output()));
    return row;
  }

  /** Takes an output out; what was rendered of it stays. */
  @Transactional
  public void remove(long productionId, long id) {
    rows.delete(rows.get(productionId, id));
  }
}
