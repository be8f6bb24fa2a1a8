package app.latethistle.server.services;

import app.latethistle.core.story.Csv;
import app.latethistle.core.story.Prompt;
import app.latethistle.core.story.ServiceProfile;
import app.latethistle.core.story.Story;
import app.latethistle.core.story.StoryShot;
import app.latethistle.server.story.StoryService;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Prompts, composed anew each time from shots and sheets for a service. */
@RestController
@RequestMapping("/api/productions/{productionId}/story")
class PromptController {
  private final StoryService stories;
  private final ServiceDesk desk;

  PromptController(StoryService stories, ServiceDesk desk) {
    this.stories = stories;
    this.desk = desk;
  }

  /** The prompt of a shot. */
  record PromptView(
      int shot,
      String number,
      String seen,
      String text,
      String exclusion,
      List<Prompt.Part> dropped,
      List<Prompt.Mention> named,
      List<String> flags,
      boolean givenOut) {}

  @GetMapping("/prompts")
  List<PromptView> prompts(@PathVariable long productionId, @RequestParam String service) {
    Story story = stories.state(productionId).story();
    ServiceProfile profile = desk.profile(service);
    List<PromptView> views = new ArrayList<>();
    for (StoryShot shot : story.shots().shots()) {
      Prompt prompt = Prompt.of(shot, story.sheets(), profile);
      views.add(
          new PromptView(
              shot.id(),
              shot.number(),
              shot.seen(),
              prompt.text(),
              prompt.exclusion(),
              prompt.dropped(),
              prompt.named(),
              prompt.flags(),
              story.givenOut().contains(shot.id())));
    }
    return views;
  }

  /** All prompts as text: number, prompt, what to leave out. */
  @GetMapping("/prompts.txt")
  ResponseEntity<byte[]> text(@PathVariable long productionId, @RequestParam String service) {
    StringBuilder text = new StringBuilder();
    for (PromptView p : prompts(productionId, service)) {
      text.append(p.number()).append("  ").append(p.text()).append('\n');
      if (!p.exclusion().isEmpty()) {
        text.append("     not: ").append(p.exclusion()).append('\n');
      }
      text.append('\n');
    }
    return file(text.toString(), "prompts.txt", MediaType.TEXT_PLAIN);
  }

  /** All prompts as CSV after RFC 4180. */
  @GetMapping("/prompts.csv")
  ResponseEntity<byte[]> csv(@PathVariable long productionId, @RequestParam String service) {
    StringBuilder text =
        new StringBuilder(Csv.write(List.of("number", "seen", "prompt", "exclusion", "dropped")));
    for (PromptView p : prompts(productionId, service)) {
      String dropped = String.join(", ", p.dropped().stream().map(Prompt.Part::name).toList());
      text.append(Csv.write(List.of(p.number(), p.seen(), p.text(), p.exclusion(), dropped)));
    }
    return file(text.toString(), "prompts.csv", MediaType.parseMediaType("text/csv"));
  }

  static ResponseEntity<byte[]> file(String text, String name, MediaType type) {
    return ResponseEntity.ok()
        .contentType(new MediaType(type, StandardCharsets.UTF_8))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(name).build().toString())
        .body(text.getBytes(StandardCharsets.UTF_8));
  }
}
