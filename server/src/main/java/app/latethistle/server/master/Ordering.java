package app.latethistle.server.master;

import app.latethistle.core.Refused;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.interchange.CaptionFormat;
import app.latethistle.core.interchange.FilmCaptionText;
import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.look.Shape;
import app.latethistle.core.mix.LoudnessAim;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.release.Encoding;
import app.latethistle.core.release.NamePattern;
import app.latethistle.core.release.Output;
import app.latethistle.core.render.Program;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.film.OtherShape;
import app.latethistle.server.stored.StoredOrder;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * An output of a film at a revision: what is drawn and heard of it.
 *
 * @param part the film's frames that are in it
 * @param program what is drawn
 * @param mix what is heard, as it is mixed
 */
record Ordering(Output output, FilmState state, FrameRange part, Program program, Mix mix) {
  /**
   * Resolves an output.
   *
   * @throws IllegalArgumentException if it cannot be made, with a sentence for the person
   */
  static Ordering of(Output output, FilmState state) {
    if (state.film().placements().isEmpty()) {
      throw new Refused("The film is empty; make the first cut in Score.");
    }
    PictureShape film = state.production().shape();
    Output.Pictures pictures = output.pictures();
    Shape shape = pictures.shape().orElse(state.shape());
    int shorter = pictures.lines().orElse(Math.min(film.width(), film.height()));
    PictureShape size = OtherShape.size(shape, film, shorter);
    FrameRate filmRate = state.production().rate();
    FrameRange part = output.range(state.resolved());
    SampleRange heard =
        new SampleRange(filmRate.sampleOf(part.start()), filmRate.sampleOf(part.end()));
    FilmState drawn =
        pictures.captions().map(language -> state.burning(language, shape)).orElse(state);
    Program program =
        drawn
            .program(shape, size.width(), size.height())
            .part(part)
            .at(pictures.rate().orElse(filmRate));
    return new Ordering(output, state, part, program, state.mix().part(heard));
  }

  /** What it is called, and its file. */
  String called() {
    Shape shape = output.pictures().shape().orElse(state.shape());
    return output
        .name()
        .named(
            new NamePattern.Meaning(
                state.production().title(),
                OtherShape.nameOf(shape),
                Math.min(program.width(), program.height()),
                new DecimalFormat("0.###", DecimalFormatSymbols.getInstance(Locale.ROOT))
                    .format(program.rate().perSecond())));
  }

  /** All that a render of it needs. */
  StoredOrder order() {
    Optional<LoudnessAim> aim = output.encoding().hasSound() ? output.loudness() : Optional.empty();
    return new StoredOrder(program, mix, aim);
  }

  /** SHA-256 over all that its file depends on. */
  String content() {
    KeyWriter key = new KeyWriter();
    Encoding encoding = output.encoding();
    key.put(encoding.name()).put(output.quality().name());
    key.put(output.megabytes().map(m -> (long) (m * 1e6)).orElse(0L));
    if (encoding.hasPictures()) {
      key.put(program.key(new FrameRange(0, program.length())));
    }
    if (encoding.hasSound()) {
      key.put(mix.key(new SampleRange(0, mix.length())));
      output
          .loudness()
          .ifPresent(a -> key.put((long) (100 * a.integrated())).put((long) (100 * a.ceiling())));
    }
    if (encoding == Encoding.CAPTIONS) {
      captionFiles().forEach(file -> key.put(file.name).put(file.text));
    }
    return key.hash();
  }

  /** A file of captions. */
  record CaptionFile(String name, String text) {}

  /** The captions of every language in the output's shape and part. */
  List<CaptionFile> captionFiles() {
    List<CaptionFile> files = new ArrayList<>();
    Optional<Shape> other = output.pictures().shape().filter(s -> !s.equals(state.shape()));
    for (FilmCaptions said : state.film().inEveryLanguage()) {
      FilmCaptionText text =
          new FilmCaptionText(state.resolved(), said, state.shape(), other, part);
      for (CaptionFormat form : List.of(CaptionFormat.SRT, CaptionFormat.VTT)) {
        files.add(new CaptionFile(said.language() + "." + form.ending(), text.write(form)));
      }
    }
    return files;
  }
}
