package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.caption.FilmCaptioner;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.interchange.CaptionFormat;
import app.latethistle.core.interchange.CaptionReader;
import app.latethistle.core.interchange.TimedText;
import app.latethistle.core.look.Shape;
import app.latethistle.core.story.Csv;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Samples;
import app.latethistle.server.config.Attachment;
import app.latethistle.server.config.ServerOnly;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Captions in and out: caption files, and a table to translate in. */
@ServerOnly
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class CaptionFileController {
  private final FilmService films;
  private final FilmViews views;
  private final OpenFormats formats;

  CaptionFileController(FilmService films, FilmViews views, OpenFormats formats) {
    this.formats = formats;
    this.films = films;
    this.views = views;
  }

  /** A file that is brought in; its bytes in Base64 (RFC 4648). */
  record BringInCaptions(long revision, String language, String name, String content) {
    byte[] bytes() {
      try {
        return Base64.getDecoder().decode(content);
      } catch (IllegalArgumentException e) {
        throw new Refused("What was sent of " + name + " is not Base64.");
      }
    }
  }

  /** The film as it is then, and what was put right in the file. */
  record BroughtIn(FilmView film, List<String> mended) {}

  /**
   * Captions as a file.
   *
   * @param format srt, vtt or ttml
   * @param shape in which they are broken; the film's own if not given
   */
  @GetMapping("/captions.{format}")
  ResponseEntity<String> captions(
      @PathVariable long productionId,
      @PathVariable String format,
      @RequestParam(defaultValue = FilmCaptions.READ) String language,
      @RequestParam(required = false) String shape) {
    CaptionFormat form = CaptionFormat.of(format);
    FilmState state = films.state(productionId);
    Optional<Shape> other = Optional.ofNullable(shape).map(OtherShape::parse);
    return attached(state, "." + language + "." + form.ending(), form.type())
        .body(formats.captions(state, language, form, other));
  }

  /** What is read and what is captioned, line by line, to be translated and brought back. */
  @GetMapping(path = "/captions.csv", produces = "text/csv")
  ResponseEntity<String> table(
      @PathVariable long productionId,
      @RequestParam(defaultValue = FilmCaptions.READ) String language) {
    FilmState state = films.state(productionId);
    FilmCaptions said = state.film().captionsIn(language);
    FilmCaptioner captioner = new FilmCaptioner(state.resolved(), said, state.shape());
    StringBuilder text = new StringBuilder(Csv.write(List.of("line", "read", language)));
    for (VoiceClock.Spoken line : state.cutting().voice().lines()) {
      text.append(
          Csv.write(List.of(Integer.toString(line.number()), line.text(), captioner.text(line))));
    }
    return attached(state, "." + language + ".csv", "text/csv").body(text.toString());
  }

  private static ResponseEntity.BodyBuilder attached(FilmState state, String ending, String type) {
    return Attachment.answer(state.production().title(), ending, type + ";charset=UTF-8");
  }

  /**
   * Brings a file in: a table of line numbers and texts, or captions of their own time in SRT,
   * WebVTT or TTML.
   */
  @PostMapping("/bring-captions")
  BroughtIn bringIn(@PathVariable long productionId, @RequestBody BringInCaptions b) {
    List<String> mended = new ArrayList<>();
    boolean table = b.name().toLowerCase(Locale.ROOT).endsWith(".csv");
    FilmState after =
        films.edit(
            productionId,
            b.revision(),
            film -> {
              mended.clear();
              FilmCaptions now = film.film().captionsIn(b.language());
              FilmCaptions changed =
                  table ? translated(film, now, b, mended) : timed(film, now, b, mended);
              return new Put<>(
                  ItemKind.CAPTIONS, changed.id(), changed, "bring in captions in " + b.language());
            });
    return new BroughtIn(views.of(after), List.copyOf(mended));
  }

  private static FilmCaptions timed(
      FilmState film, FilmCaptions now, BringInCaptions b, List<String> mended) {
    CaptionReader read = CaptionReader.read(b.name(), b.bytes());
    mended.addAll(read.mended());
    FrameRate rate = film.production().rate();
    List<FilmCaptions.Own> own = new ArrayList<>();
    for (TimedText c : read.captions()) {
      long start = rate.nearestFrame(c.start() * Samples.RATE / 1000);
      long end = rate.nearestFrame(c.end() * Samples.RATE / 1000);
      if (start >= film.cutting().length()) {
        mended.add("what lies after the film's end was left out");
        break;
      }
      if (end > start) {
        own.add(new FilmCaptions.Own(new FrameRange(start, end), String.join("\n", c.lines())));
      }
    }
    if (own.isEmpty()) {
      throw new Refused(b.name() + " has no captions inside of the film.");
    }
    return now.withOwn(own);
  }

  private static FilmCaptions translated(
      FilmState film, FilmCaptions now, BringInCaptions b, List<String> mended) {
    byte[] bytes = b.bytes();
    if (bytes.length > CaptionReader.LONGEST) {
      throw new Refused(b.name() + " is too long; a table of captions has up to 2 MB.");
    }
    TreeMap<String, String> texts = new TreeMap<>(now.texts());
    int taken = 0;
    List<List<String>> rows = Csv.read(new String(bytes, StandardCharsets.UTF_8));
    for (int i = 0; i < rows.size(); i++) {
      List<String> row = rows.get(i);
      String number = row.get(0).replace("\ufeff", "");
      Optional<VoiceClock.Spoken> line =
          film.cutting().voice().lines().stream()
              .filter(l -> Integer.toString(l.number()).equals(number))
              .findFirst();
      if (line.isPresent() && row.size() > 1) {
        texts.put(line.get().id(), row.get(row.size() - 1).strip());
        taken++;
      } else if (i > 0) {
        mended.add("row " + (i + 1) + ": there is no line " + number + "; it was left out");
      }
    }
    if (taken == 0) {
      throw new Refused(
          b.name()
              + " has no row that begins with a line's number; take the table from here, write"
              + " into its last column, and bring it back.");
    }
    return now.withTexts(texts).withOwn(List.of());
  }
}
