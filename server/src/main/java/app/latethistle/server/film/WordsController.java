package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.LandedOn;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Shape;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.CaptionKind;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.SafeArea;
import app.latethistle.core.words.Speakers;
import app.latethistle.core.words.TitleWords;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.standins.translator.WordForWord;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The film's titles and captions: written, set, landed. */
@ServerOnly
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class WordsController {
  private final FilmService films;
  private final FilmEdits edits;
  private final WordsViews views;
  private final TitleDesigns designs;
  private final WordForWord translator = new WordForWord();

  WordsController(FilmService films, FilmEdits edits, WordsViews views, TitleDesigns designs) {
    this.designs = designs;
    this.films = films;
    this.edits = edits;
    this.views = views;
  }

  /** Adds a title of a design; its words are the design's if none are said. */
  record AddTitle(long revision, String design, @Schema(nullable = true) String text, TieView at) {}

  record ChangeTitle(long revision, TitleChange title) {}

  /** Lands a title; it stays for frames, or until it is tied to. */
  record LandTitle(
      long revision, String id, TieView at, long frames, @Schema(nullable = true) TieView until) {}

  record TitlesOut(long revision, List<String> titles) {}

  /** Writes a line's captions; null as it is read. */
  record WriteCaption(
      long revision, String language, String line, @Schema(nullable = true) String text) {}

  /**
   * Changes the captions' look; what is null stays as it is.
   *
   * @param burned shapes in whose pictures they stand
   */
  record CaptionChange(
      long revision,
      String language,
      @Schema(nullable = true) CaptionKind kind,
      @Schema(nullable = true) Lettering lettering,
      @Schema(nullable = true) Box box,
      @Schema(nullable = true) String shape,
      @Schema(nullable = true) Speakers speakers,
      @Schema(nullable = true) Integer marked,
      @Schema(nullable = true) List<String> burned) {}

  /** Says something of sounds beside the voice, by their ids; "" says nothing of one. */
  record CaptionSounds(long revision, String language, Map<String, String> texts) {}

  /** Captions the film in another language: empty, or word for word by the small dictionary. */
  record AddLanguage(long revision, String language, boolean translated) {}

  record LanguageOut(long revision, String language) {}

  /**
   * What is kept free of words at the sides of a shape, in thousandths.
   *
   * @param area null for what is usual
   */
  record SetSafeArea(long revision, String shape, @Schema(nullable = true) SafeArea area) {}

  @GetMapping("/words")
  WordsView words(
      @PathVariable long productionId,
      @RequestParam(defaultValue = FilmCaptions.READ) String language,
      @RequestParam(required = false) String shape) {
    return views.of(
        films.state(productionId), language, Optional.ofNullable(shape).map(OtherShape::parse));
  }

  @PostMapping("/add-title")
  FilmView add(@PathVariable long productionId, @RequestBody AddTitle a) {
    Design design = designs.named(a.design());
    TitleWords words = design.saying(a.text() == null ? "" : a.text());
    return edits.make(
        productionId,
        a.revision(),
        film -> {
          FrameRate rate = film.production().rate();
          long leaves = design.movement().out().frames();
          // Twice what it takes to read it, two seconds at least.
          long stays = rate.framesIn(Math.max(2, 2 * words.readingSeconds()));
          Standing standing = Standing.of(a.at().get(), stays + leaves);
          String id = film.film().freshId("title");
          FilmTitle title = FilmTitle.of(id, design, standing).withWords(words);
          return new Put<>(ItemKind.TITLE, id, title, "add a title");
        });
  }

  @PostMapping("/change-title")
  FilmView change(@PathVariable long productionId, @RequestBody ChangeTitle c) {
    return edits.make(productionId, c.revision(), c.title()::edit);
  }

  @PostMapping("/land-title")
  FilmView land(@PathVariable long productionId, @RequestBody LandTitle l) {
    return edits.make(
        productionId,
        l.revision(),
        film -> {
          Optional<Tie> until = Optional.ofNullable(l.until()).map(TieView::get);
          Standing standing = new Standing(l.at().get(), l.frames(), until);
          LandedOn.free(film.film(), l.id(), standing.lands(), until);
          return SetAspect.of(Aspect.STANDING, film.title(l.id()).id(), standing);
        });
  }

  @PostMapping("/titles-out")
  FilmView out(@PathVariable long productionId, @RequestBody TitlesOut o) {
    return edits.make(
        productionId,
        o.revision(),
        film -> {
          if (o.titles().isEmpty()) {
            throw new Refused("Choose a title first.");
          }
          List<Edit> all = o.titles().stream().<Edit>map(t -> Put.away(ItemKind.TITLE, t)).toList();
          return new Compound("take titles out", all);
        });
  }

  @PostMapping("/set-safe-area")
  FilmView safe(@PathVariable long productionId, @RequestBody SetSafeArea s) {
    Shape shape = OtherShape.parse(s.shape());
    SafeArea area = Optional.ofNullable(s.area()).orElseGet(() -> SafeArea.usual(shape));
    return edits.make(
        productionId,
        s.revision(),
        film -> SetAspect.of(Aspect.SAFE, Film.END, film.film().safe().with(shape, area)));
  }

  @PostMapping("/write-caption")
  FilmView write(@PathVariable long productionId, @RequestBody WriteCaption w) {
    return captions(
        productionId,
        w.revision(),
        w.language(),
        "write a caption",
        (film, now) -> {
          boolean heard =
              film.cutting().voice().lines().stream().anyMatch(l -> l.id().equals(w.line()));
          if (!heard) {
            throw new Refused("That line is not read any more.");
          }
          TreeMap<String, String> texts = new TreeMap<>(now.texts());
          if (w.text() == null) {
            texts.remove(w.line());
          } else {
            texts.put(w.line(), w.text().strip());
          }
          return now.withTexts(texts);
        });
  }

  @PostMapping("/caption-sounds")
  FilmView sounds(@PathVariable long productionId, @RequestBody CaptionSounds c) {
    return captions(
        productionId,
        c.revision(),
        c.language(),
        "caption sounds",
        (film, now) -> {
          TreeMap<String, String> texts = new TreeMap<>(now.sounds());
          c.texts()
              .forEach(
                  (sound, text) -> {
                    if (film.film().sound(sound).isEmpty()) {
                      throw new Refused("That sound is not in the film any more.");
                    }
                    if (text.isBlank()) {
                      texts.remove(sound);
                    } else {
                      texts.put(sound, text.strip());
                    }
                  });
          return now.withSounds(texts);
        });
  }

  @PostMapping("/caption-look")
  FilmView look(@PathVariable long productionId, @RequestBody CaptionChange c) {
    return captions(
        productionId,
        c.revision(),
        c.language(),
        "change the captions' look",
        (film, now) -> {
          CaptionStyle style = now.style();
          style = c.kind() == null ? style : style.withKind(c.kind());
          style = c.lettering() == null ? style : style.withLettering(c.lettering());
          style = c.speakers() == null ? style : style.withSpeakers(c.speakers());
          style = c.marked() == null ? style : style.withMarked(c.marked());
          if (c.box() != null) {
            style = style.withBox(TitleChange.placed(film, style.box(), c.box(), c.shape()));
          }
          if (c.burned() != null) {
            Shape own = film.shape();
            List<Shape> shapes = c.burned().stream().map(OtherShape::parse).toList();
            style =
                style.burnedInto(
                    shapes.contains(own), shapes.stream().filter(s -> !s.equals(own)).toList());
          }
          return now.withStyle(style);
        });
  }

  @PostMapping("/add-language")
  FilmView language(@PathVariable long productionId, @RequestBody AddLanguage a) {
    return captions(
        productionId,
        a.revision(),
        a.language(),
        "caption in " + a.language(),
        (film, now) -> {
          if (film.film().captions().contains(now) || now.areAsRead()) {
            throw new Refused("The film is captioned in " + a.language() + " already.");
          }
          if (!a.translated()) {
            return now;
          }
          TreeMap<String, String> texts = new TreeMap<>();
          for (VoiceClock.Spoken line : film.cutting().voice().lines()) {
            texts.put(line.id(), translator.translate(line.text(), a.language()));
          }
          return now.withTexts(texts);
        });
  }

  @PostMapping("/language-out")
  FilmView languageOut(@PathVariable long productionId, @RequestBody LanguageOut o) {
    return edits.make(
        productionId,
        o.revision(),
        film -> Put.away(ItemKind.CAPTIONS, FilmCaptions.idOf(o.language())));
  }

  private interface Changing {
    FilmCaptions of(FilmState film, FilmCaptions now);
  }

  private FilmView captions(
      long productionId, long revision, String language, String label, Changing change) {
    return edits.make(
        productionId,
        revision,
        film -> {
          FilmCaptions changed = change.of(film, film.film().captionsIn(language));
          return new Put<>(ItemKind.CAPTIONS, changed.id(), changed, label);
        });
  }
}
