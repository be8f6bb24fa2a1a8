package app.latethistle.server.preview;

import app.latethistle.core.grade.Scopes;
import app.latethistle.core.look.ColourRange;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.render.Program;
import app.latethistle.core.render.Segment;
import app.latethistle.core.time.Samples;
import app.latethistle.media.ScopePng;
import app.latethistle.server.config.Missing;
import app.latethistle.server.film.FilmService;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.film.LookTrials;
import app.latethistle.server.film.OtherShape;
import app.latethistle.server.film.Passing;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * Stills and HLS of the film. Addresses carry the film's revision, so that what a browser keeps can
 * never be of another cut; the film in another shape has the shape after it: "12@9x16".
 */
@RestController
@RequestMapping("/api/productions/{productionId}/preview/{revision}")
class PreviewController {
  private static final MediaType PLAYLIST =
      MediaType.parseMediaType("application/vnd.apple.mpegurl");

  /** In the place of a revision: a named version, by its id. */
  private static final Pattern VERSION = Pattern.compile("v(\\d{1,18})");

  /** What follows a revision for the film in another shape: "12@9x16". */
  private static final String IN_SHAPE = "@";

  private final FilmService films;
  private final PreviewService previews;
  private final LookTrials trials;

  PreviewController(FilmService films, PreviewService previews, LookTrials trials) {
    this.films = films;
    this.previews = previews;
    this.trials = trials;
  }

  @GetMapping("/frames/{frame}.jpg")
  ResponseEntity<byte[]> still(
      @PathVariable long productionId, @PathVariable String revision, @PathVariable long frame)
      throws IOException {
    FilmState state = named(productionId, revision);
    // A page that has not yet heard of the newest edit gets the newest picture, not to be kept.
    boolean current = Long.toString(state.production().revision()).equals(bare(revision));
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(current ? CacheControl.maxAge(1, TimeUnit.HOURS) : CacheControl.noStore())
        .body(previews.still(state, shape(revision), frame));
  }

  /**
   * A frame of the film as it would be with a shot corrected otherwise.
   *
   * @param correction as JSON
   */
  @GetMapping("/frames/{frame}/corrected.jpg")
  ResponseEntity<byte[]> corrected(
      @PathVariable long productionId,
      @PathVariable String revision,
      @PathVariable long frame,
      @RequestParam String item,
      @RequestParam String correction)
      throws IOException {
    return tried(
        previews.still(
            trials.corrected(current(productionId, revision), item, correction),
            shape(revision),
            frame));
  }

  /**
   * A frame of the film as it would be with another finish.
   *
   * @param item the stretch it lies over, by its id in the film; "" for the whole film
   * @param treatments as JSON
   * @param small whether as small as beside others
   */
  @GetMapping("/frames/{frame}/finished.jpg")
  ResponseEntity<byte[]> finished(
      @PathVariable long productionId,
      @PathVariable String revision,
      @PathVariable long frame,
      @RequestParam(defaultValue = "") String item,
      @RequestParam String treatments,
      @RequestParam(defaultValue = "false") boolean small)
      throws IOException {
    FilmState film = trials.finished(current(productionId, revision), item, treatments);
    return tried(small ? previews.tile(film, frame) : previews.still(film, shape(revision), frame));
  }

  /**
   * A frame of the film as it would be with a title otherwise.
   *
   * @param change of the title, as JSON
   */
  @GetMapping("/frames/{frame}/titled.jpg")
  ResponseEntity<byte[]> titled(
      @PathVariable long productionId,
      @PathVariable String revision,
      @PathVariable long frame,
      @RequestParam String change)
      throws IOException {
    return tried(
        previews.still(
            trials.titled(current(productionId, revision), change), shape(revision), frame));
  }

  /** A frame of the film with a title of a design on it, small. */
  @GetMapping("/frames/{frame}/design.jpg")
  ResponseEntity<byte[]> design(
      @PathVariable long productionId,
      @PathVariable String revision,
      @PathVariable long frame,
      @RequestParam String design,
      @RequestParam(defaultValue = "") String text)
      throws IOException {
    return tried(
        previews.tile(
            trials.designed(current(productionId, revision), design, text, frame), frame));
  }

  /** It may be asked for again while something is dragged, and is not worth keeping longer. */
  private static ResponseEntity<byte[]> tried(byte[] jpeg) {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.maxAge(1, TimeUnit.MINUTES))
        .body(jpeg);
  }

  /** What a scope shows of a frame of the film. */
  @GetMapping("/frames/{frame}/{scope:waveform|parade|vectors|histogram}.png")
  ResponseEntity<byte[]> scope(
      @PathVariable long productionId,
      @PathVariable String revision,
      @PathVariable long frame,
      @PathVariable String scope)
      throws IOException {
    ScopePng.Kind kind = ScopePng.Kind.valueOf(scope.toUpperCase(Locale.ROOT));
    Scopes scopes = previews.scopes(current(productionId, revision), shape(revision), frame);
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_PNG)
        .cacheControl(CacheControl.maxAge(1, TimeUnit.HOURS))
        .body(ScopePng.of(scopes, kind));
  }

  /**
   * The range of colours that is meant by a place in a shot's picture.
   *
   * @param x from the left, 0 to 1
   * @param y from the top, 0 to 1
   */
  @GetMapping("/frames/{frame}/range")
  ColourRange range(
      @PathVariable long productionId,
      @PathVariable String revision,
      @PathVariable long frame,
      @RequestParam String item,
      @RequestParam double x,
      @RequestParam double y)
      throws IOException {
    FilmState state = current(productionId, revision);
    return previews.range(trials.withoutRanges(state, item), shape(revision), frame, x, y);
  }

  /** What of a frame of the film lies beyond what may be broadcast. */
  @GetMapping("/frames/{frame}/beyond")
  Scopes.Beyond beyond(
      @PathVariable long productionId, @PathVariable String revision, @PathVariable long frame)
      throws IOException {
    return previews.scopes(current(productionId, revision), shape(revision), frame).beyond();
  }

  /** A frame of the film as its takes came, without any correction. */
  @GetMapping("/frames/{frame}/uncorrected.jpg")
  ResponseEntity<byte[]> uncorrected(
      @PathVariable long productionId, @PathVariable String revision, @PathVariable long frame)
      throws IOException {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.maxAge(1, TimeUnit.HOURS))
        .body(
            previews.still(current(productionId, revision).uncorrected(), shape(revision), frame));
  }

  /** A transition made of a joint's two shots, small: its pictures side by side. */
  @GetMapping("/joints/{joint}/transition.jpg")
  ResponseEntity<byte[]> transition(
      @PathVariable long productionId,
      @PathVariable String revision,
      @PathVariable int joint,
      @ParameterObject Passing how)
      throws IOException {
    FilmState state = current(productionId, revision);
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.maxAge(1, TimeUnit.HOURS))
        .body(previews.transition(state.with(joint, how.transition()), joint));
  }

  /**
   * A frame of the film as it would be with one more treatment, small.
   *
   * @param item a shot's id or that of what lies over the cut; "" for the whole film
   */
  @GetMapping("/frames/{frame}/treatment.jpg")
  ResponseEntity<byte[]> treatment(
      @PathVariable long productionId,
      @PathVariable String revision,
      @PathVariable long frame,
      @RequestParam(defaultValue = "") String item,
      @RequestParam TreatmentKind kind)
      throws IOException {
    FilmState state = current(productionId, revision);
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.maxAge(1, TimeUnit.HOURS))
        .body(previews.tile(state.with(item, Treatment.usual(kind)), frame));
  }

  @GetMapping("/film.m3u8")
  ResponseEntity<String> film(@PathVariable long productionId, @PathVariable String revision) {
    Program program = previews.program(current(productionId, revision), shape(revision));
    return playlist(
        "#EXTM3U\n#EXT-X-VERSION:7\n"
            + "#EXT-X-MEDIA:TYPE=AUDIO,GROUP-ID=\"sound\",NAME=\"film\",DEFAULT=YES,"
            + "AUTOSELECT=YES,URI=\"sound.m3u8\"\n"
            + "#EXT-X-STREAM-INF:BANDWIDTH=3000000,RESOLUTION="
            + program.width()
            + "x"
            + program.height()
            + ",CODECS=\"avc1.42c01f,fLaC\",AUDIO=\"sound\"\npicture.m3u8\n");
  }

  @GetMapping("/picture.m3u8")
  ResponseEntity<String> picture(@PathVariable long productionId, @PathVariable String revision) {
    Program program = previews.program(current(productionId, revision), shape(revision));
    StringBuilder text = parts(4);
    for (Segment segment : previews.segments(program)) {
      double seconds = program.rate().secondsOf(segment.range().length());
      add(text, seconds, segment.index() + "-" + segment.key() + ".ts");
    }
    return playlist(text.append("#EXT-X-ENDLIST\n").toString());
  }

  @GetMapping("/{index}-{key:[0-9a-f]{64}}.ts")
  ResponseEntity<byte[]> segment(
      @PathVariable long productionId,
      @PathVariable String revision,
      @PathVariable int index,
      @PathVariable String key)
      throws IOException {
    Program program = previews.program(current(productionId, revision), shape(revision));
    List<Segment> segments = previews.segments(program);
    if (index < 0 || index >= segments.size() || !segments.get(index).key().equals(key)) {
      throw changed();
    }
    return part("video/mp2t", previews.segment(program, segments, index));
  }

  private static Missing changed() {
    return new Missing("This part of the film has changed; play it anew.");
  }

  /** A part is asked for by what it is, so it may be kept. */
  private static ResponseEntity<byte[]> part(String type, byte[] bytes) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(type))
        .cacheControl(CacheControl.maxAge(1, TimeUnit.HOURS))
        .body(bytes);
  }

  @GetMapping("/sound.m3u8")
  ResponseEntity<String> sound(@PathVariable long productionId, @PathVariable String revision) {
    Mix mix = current(productionId, revision).mix();
    StringBuilder text = parts(5).append("#EXT-X-MAP:URI=\"sound-head.mp4\"\n");
    for (PreviewService.SoundPart part : previews.sounds(mix)) {
      double seconds = Samples.toSeconds(part.range().length());
      add(text, seconds, "sound-" + part.index() + "-" + part.key() + ".m4s");
    }
    return playlist(text.append("#EXT-X-ENDLIST\n").toString());
  }

  @GetMapping("/sound-head.mp4")
  ResponseEntity<byte[]> soundHead() throws IOException {
    return part("audio/mp4", previews.soundHead());
  }

  @GetMapping("/sound-{index}-{key:[0-9a-f]{64}}.m4s")
  ResponseEntity<byte[]> soundPart(
      @PathVariable long productionId,
      @PathVariable String revision,
      @PathVariable int index,
      @PathVariable String key)
      throws IOException {
    Mix mix = current(productionId, revision).mix();
    List<PreviewService.SoundPart> parts = previews.sounds(mix);
    if (index < 0 || index >= parts.size() || !parts.get(index).key().equals(key)) {
      throw changed();
    }
    return part("audio/mp4", previews.sound(mix, parts, index));
  }

  /** The beginning of a list of parts, none longer than so many seconds. */
  private static StringBuilder parts(int longest) {
    return new StringBuilder("#EXTM3U\n#EXT-X-VERSION:7\n#EXT-X-PLAYLIST-TYPE:VOD\n")
        .append("#EXT-X-TARGETDURATION:")
        .append(longest)
        .append("\n#EXT-X-INDEPENDENT-SEGMENTS\n");
  }

  private static void add(StringBuilder text, double seconds, String name) {
    text.append(String.format(Locale.ROOT, "#EXTINF:%.6f,%n", seconds));
    text.append(name).append('\n');
  }

  private static ResponseEntity<String> playlist(String text) {
    return ResponseEntity.ok()
        .contentType(PLAYLIST)
        .cacheControl(CacheControl.noCache())
        .body(text);
  }

  /** A revision without the shape that may follow it. */
  private static String bare(String revision) {
    int at = revision.indexOf(IN_SHAPE);
    return at < 0 ? revision : revision.substring(0, at);
  }

  /** The shape that follows a revision; empty for the film's own. */
  private static Optional<Shape> shape(String revision) {
    int at = revision.indexOf(IN_SHAPE);
    return at < 0 ? Optional.empty() : Optional.of(OtherShape.parse(revision.substring(at + 1)));
  }

  /** The version that stands in the place of a revision, or the film as it is. */
  private FilmState named(long productionId, String revision) {
    Matcher version = VERSION.matcher(bare(revision));
    return version.matches()
        ? films.version(productionId, Long.parseLong(version.group(1)))
        : films.state(productionId);
  }

  private FilmState current(long productionId, String revision) {
    FilmState state = named(productionId, revision);
    String bare = bare(revision);
    if (!VERSION.matcher(bare).matches()
        && !Long.toString(state.production().revision()).equals(bare)) {
      throw new Missing(
          "The film is at revision " + state.production().revision() + ", not " + bare + ".");
    }
    return state;
  }
}
