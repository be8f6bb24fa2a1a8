package app.latethistle.server.release;

import app.latethistle.core.Refused;
import app.latethistle.core.release.Chapters;
import app.latethistle.core.release.ReleaseSheet;
import app.latethistle.server.config.Attachment;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmService;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.story.StoryService;
import app.latethistle.standins.services.PublishingDesk;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The release sheet: read, written, saved as a file, handed to the publishing desk. */
@ServerOnly
@RestController
@RequestMapping("/api/productions/{productionId}/release")
class ReleaseController {
  private static final int SUGGESTED = 12;

  private final Releases releases;
  private final FilmService films;
  private final StoryService stories;

  ReleaseController(Releases releases, FilmService films, StoryService stories) {
    this.releases = releases;
    this.films = films;
    this.stories = stories;
  }

  /** What is written on a sheet. */
  record SheetForm(
      String title,
      String description,
      boolean chapters,
      List<String> tags,
      boolean generated,
      @Schema(nullable = true) Long thumbnail,
      Map<String, String> rights) {
    static SheetForm of(ReleaseSheet s) {
      return new SheetForm(
          s.title(),
          s.description(),
          s.chapters(),
          s.tags(),
          s.generated(),
          s.thumbnail().orElse(null),
          s.rights());
    }

    ReleaseSheet get() {
      if (title == null || description == null || tags == null || rights == null) {
        throw new Refused("A release sheet has a title, a description, tags and rights.");
      }
      return new ReleaseSheet(
          title, description, chapters, tags, generated, Optional.ofNullable(thumbnail), rights);
    }
  }

  /**
   * A sheet and what is known beside it.
   *
   * @param chapters as they are put under the description
   * @param chapterFault what places of publication may refuse of them
   * @param disclosure what is said of generated pictures and voices
   * @param hints questions to be answered before it is published
   * @param suggested tags that the story gives and the sheet has not
   */
  record SheetView(
      SheetForm sheet,
      int mostTitle,
      int mostDescription,
      String chapters,
      @Schema(nullable = true) String chapterFault,
      String disclosure,
      List<HintView> hints,
      List<String> suggested,
      List<AssetView> assets) {}

  /** Something that is used; rights "" if nobody said under which. */
  record AssetView(String key, String kind, String name, String note, String rights) {}

  /** A question, and the words that raise it. */
  record HintView(String question, List<String> because) {}

  @GetMapping
  SheetView sheet(@PathVariable long productionId) {
    return view(productionId, releases.sheet(productionId));
  }

  @PutMapping
  SheetView write(@PathVariable long productionId, @RequestBody SheetForm form) {
    ReleaseSheet sheet = form.get();
    releases.keep(productionId, sheet);
    return view(productionId, sheet);
  }

  private SheetView view(long productionId, ReleaseSheet sheet) {
    FilmState state = films.state(productionId);
    Chapters chapters = releases.chapters(state);
    return new SheetView(
        SheetForm.of(sheet),
        ReleaseSheet.LONGEST_TITLE,
        ReleaseSheet.LONGEST_DESCRIPTION,
        chapters.text(),
        chapters.fault(state.cutting().length()).orElse(null),
        releases.disclosure(state, sheet.withGenerated(true)),
        releases.hints(state).stream()
            .map(h -> new HintView(h.about().question(), h.because()))
            .toList(),
        Releases.tags(stories.state(productionId).story()).stream()
            .filter(tag -> !sheet.tags().contains(tag))
            .limit(SUGGESTED)
            .toList(),
        releases.assets(state).stream()
            .map(a -> new AssetView(a.key(), a.kind(), a.name(), a.note(), a.rights()))
            .toList());
  }

  /** All of it as text, to be copied. */
  @GetMapping(path = "/sheet.txt", produces = MediaType.TEXT_PLAIN_VALUE)
  ResponseEntity<String> text(@PathVariable long productionId) {
    FilmState state = films.state(productionId);
    ReleaseSheet sheet = releases.sheet(productionId);
    String text =
        sheet.title()
            + "\n\n"
            + releases.description(state, sheet)
            + "\n\n"
            + String.join(", ", sheet.tags())
            + "\n\nSources and rights\n"
            + rights(state)
            + "\n";
    return attached(state, ".txt", "text/plain").body(text);
  }

  /** All of it on pages. */
  @GetMapping("/sheet.pdf")
  ResponseEntity<byte[]> pdf(@PathVariable long productionId) throws IOException {
    FilmState state = films.state(productionId);
    ReleaseSheet sheet = releases.sheet(productionId);
    byte[] pages =
        SheetPdf.of(
            sheet.title(),
            List.of(
                new SheetPdf.Section(sheet.title(), releases.description(state, sheet)),
                new SheetPdf.Section("Tags", String.join(", ", sheet.tags())),
                new SheetPdf.Section("Sources and rights", rights(state))));
    return Attachment.answer(
            state.production().title() + " release sheet", ".pdf", MediaType.APPLICATION_PDF_VALUE)
        .body(pages);
  }

  /** A line for each thing that is used. */
  private String rights(FilmState state) {
    return releases.assets(state).stream()
        .map(
            a ->
                a.kind()
                    + ": "
                    + a.name()
                    + (a.note().isEmpty() ? "" : " (" + a.note() + ")")
                    + ": "
                    + (a.isMissing() ? "rights not stated" : a.rights()))
        .collect(Collectors.joining("\n"));
  }

  /** The sheet as JSON, with what is made of it. */
  @GetMapping("/sheet.json")
  ResponseEntity<PublishingDesk.HandOver> json(@PathVariable long productionId) {
    FilmState state = films.state(productionId);
    return attached(state, ".json", "application/json").body(handOver(state));
  }

  /**
   * Hands the sheet to the publishing desk, a stand-in of ours: nothing leaves the machine.
   *
   * @return what it says of it
   */
  @PostMapping("/hand-over")
  PublishingDesk.Receipt handOver(@PathVariable long productionId) {
    return PublishingDesk.take(handOver(films.state(productionId)));
  }

  private PublishingDesk.HandOver handOver(FilmState state) {
    ReleaseSheet sheet = releases.sheet(state.production().id());
    return new PublishingDesk.HandOver(
        sheet.title(),
        releases.description(state, sheet),
        sheet.tags(),
        sheet.generated(),
        state.production().rate().secondsOf(state.cutting().length()),
        releases.assets(state).stream()
            .map(a -> new PublishingDesk.Source(a.kind(), a.name(), a.rights()))
            .toList());
  }

  private static ResponseEntity.BodyBuilder attached(FilmState state, String ending, String type) {
    return Attachment.answer(
        state.production().title() + " release sheet", ending, type + ";charset=UTF-8");
  }
}
