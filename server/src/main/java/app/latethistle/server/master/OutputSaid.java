package app.latethistle.server.master;

import app.latethistle.core.Refused;
import app.latethistle.core.mix.Limiter;
import app.latethistle.core.mix.LoudnessAim;
import app.latethistle.core.release.Encoding;
import app.latethistle.core.release.NamePattern;
import app.latethistle.core.release.Output;
import app.latethistle.core.release.Quality;
import app.latethistle.core.time.FrameRate;
import app.latethistle.server.film.OtherShape;
import app.latethistle.server.film.TieView;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Optional;

/**
 * An output as it is said.
 *
 * @param name a pattern: {film}, {shape}, {lines} and {rate} stand for the output's own
 * @param shape such as "9:16"; null for the film's own
 * @param lines of its shorter side; null for the film's
 * @param rate frames a second; null for the film's own
 * @param captions the language of those in its pictures, "" for none; null for as the film has them
 * @param megabytes how large its file is to be, in millions of bytes; null for as it comes
 * @param from what it starts with; null for the film's start
 * @param to what it ends with; null for the film's end
 * @param longest seconds that the place it is for takes; null for any length
 * @param loudness in LUFS; null for as it is mixed
 * @param peak the ceiling of its true peaks in dBTP
 */
record OutputSaid(
    String name,
    Encoding encoding,
    Quality quality,
    @Schema(nullable = true) Double megabytes,
    @Schema(nullable = true) String shape,
    @Schema(nullable = true) Integer lines,
    @Schema(nullable = true) String rate,
    @Schema(nullable = true) String captions,
    @Schema(nullable = true) TieView from,
    @Schema(nullable = true) TieView to,
    @Schema(nullable = true) Integer longest,
    @Schema(nullable = true) Double loudness,
    @Schema(nullable = true) Double peak,
    boolean ticked) {
  static OutputSaid of(Output o) {
    Output.Pictures pictures = o.pictures();
    Output.Part part = o.part();
    return new OutputSaid(
        o.name().text(),
        o.encoding(),
        o.quality(),
        o.megabytes().orElse(null),
        pictures.shape().map(OtherShape::nameOf).orElse(null),
        pictures.lines().orElse(null),
        pictures.rate().map(FrameRate::toString).orElse(null),
        pictures.captions().orElse(null),
        part.from().map(TieView::of).orElse(null),
        part.to().map(TieView::of).orElse(null),
        part.longest().orElse(null),
        o.loudness().map(LoudnessAim::integrated).orElse(null),
        o.loudness().map(LoudnessAim::ceiling).orElse(null),
        o.ticked());
  }

  Output get() {
    if (encoding == null || quality == null) {
      throw new Refused("Say how the output is written and how good its picture is.");
    }
    return new Output(
        new NamePattern(name),
        encoding,
        quality,
        Optional.ofNullable(megabytes),
        new Output.Pictures(
            Optional.ofNullable(shape).map(OtherShape::parse),
            Optional.ofNullable(lines),
            Optional.ofNullable(rate).map(FrameRate::parse),
            Optional.ofNullable(captions)),
        new Output.Part(
            Optional.ofNullable(from).map(TieView::get),
            Optional.ofNullable(to).map(TieView::get),
            Optional.ofNullable(longest)),
        Optional.ofNullable(loudness)
            .map(l -> new LoudnessAim(l, peak == null ? Limiter.CEILING : peak)),
        ticked);
  }
}
