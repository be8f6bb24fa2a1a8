package app.latethistle.server.stored;

import app.latethistle.core.look.Shape;
import app.latethistle.core.mix.LoudnessAim;
import app.latethistle.core.release.Encoding;
import app.latethistle.core.release.NamePattern;
import app.latethistle.core.release.Output;
import app.latethistle.core.release.Quality;
import app.latethistle.core.time.FrameRate;
import app.latethistle.document.TieForm;
import java.util.Optional;

/** Outputs as text. */
public final class StoredOutput {
  private static final int FORMAT = 1;

  private StoredOutput() {}

  private record Form(
      String name,
      String encoding,
      String quality,
      Double megabytes,
      Sides shape,
      Integer lines,
      String rate,
      String captions,
      TieForm from,
      TieForm to,
      Integer longest,
      Aim loudness,
      boolean ticked) {}

  private record Sides(int across, int down) {}

  private record Aim(double integrated, double ceiling) {}

  public static String write(Output o) {
    return Json.write(FORMAT, form(o));
  }

  private static Form form(Output o) {
    Output.Pictures pictures = o.pictures();
    Output.Part part = o.part();
    return new Form(
        o.name().text(),
        o.encoding().name(),
        o.quality().name(),
        o.megabytes().orElse(null),
        pictures.shape().map(s -> new Sides(s.across(), s.down())).orElse(null),
        pictures.lines().orElse(null),
        pictures.rate().map(FrameRate::toString).orElse(null),
        pictures.captions().orElse(null),
        part.from().map(TieForm::of).orElse(null),
        part.to().map(TieForm::of).orElse(null),
        part.longest().orElse(null),
        o.loudness().map(a -> new Aim(a.integrated(), a.ceiling())).orElse(null),
        o.ticked());
  }

  /** An output of any format. */
  public static Output read(String text) {
    var tree = Json.tree(text);
    Json.format(tree, FORMAT);
    return output(Json.as(tree, Form.class));
  }

  private static Output output(Form f) {
    return new Output(
        new NamePattern(f.name),
        Encoding.valueOf(f.encoding),
        Quality.valueOf(f.quality),
        Optional.ofNullable(f.megabytes),
        new Output.Pictures(
            Optional.ofNullable(f.shape).map(s -> Shape.of(s.across, s.down)),
            Optional.ofNullable(f.lines),
            Optional.ofNullable(f.rate).map(FrameRate::parse),
            Optional.ofNullable(f.captions)),
        new Output.Part(
            Optional.ofNullable(f.from).map(TieForm::get),
            Optional.ofNullable(f.to).map(TieForm::get),
            Optional.ofNullable(f.longest)),
        Optional.ofNullable(f.loudness).map(a -> new LoudnessAim(a.integrated, a.ceiling)),
        f.ticked);
  }
}
