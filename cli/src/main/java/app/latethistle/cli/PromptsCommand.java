package app.latethistle.cli;

import app.latethistle.core.story.Delivery;
import app.latethistle.core.story.Prompt;
import app.latethistle.core.story.ServiceProfile;
import app.latethistle.core.story.Sheets;
import app.latethistle.core.story.ShotProposal;
import app.latethistle.core.story.StoryShot;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Composes the prompts of a script's shots for a service. */
@Command(name = "prompts", description = "Composes a prompt for each shot of a script.")
final class PromptsCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "SCRIPT", description = "Text, Markdown, Fountain or CSV.")
  private Path script;

  @Option(
      names = "--sheets",
      required = true,
      paramLabel = "FILE",
      description = "JSON: people (name, looks, clothes), places (name, looks), look, exclusions.")
  private Path sheets;

  @Option(names = "--service", required = true, paramLabel = "NAME", description = "A profile.")
  private String service;

  @Override
  public Integer call() throws IOException {
    ServiceProfile profile =
        ServiceProfile.USUAL.stream()
            .filter(p -> p.name().equalsIgnoreCase(service))
            .findFirst()
            .orElseThrow(
                () ->
                    new IOException(
                        "There is no service '"
                            + service
                            + "'; there are "
                            + String.join(
                                ", ",
                                ServiceProfile.USUAL.stream().map(ServiceProfile::name).toList())
                            + "."));
    Sheets read = sheets();
    List<String> people = read.people().stream().map(Sheets.Person::name).toList();
    PrintWriter out = spec.commandLine().getOut();
    PrintWriter err = spec.commandLine().getErr();
    Delivery delivery = Delivery.of(Delivery.USUAL.get(0).middle());
    for (StoryShot shot : ShotProposal.of(ScriptFile.read(script), delivery, people, 0).shots()) {
      Prompt prompt = Prompt.of(shot, read, profile);
      out.println(shot.number() + "  " + prompt.text());
      if (!prompt.exclusion().isEmpty()) {
        out.println("     not: " + prompt.exclusion());
      }
      prompt.flags().forEach(f -> err.println(shot.number() + ": " + f));
      prompt
          .dropped()
          .forEach(d -> err.println(shot.number() + ": too long, dropped: " + d.name()));
    }
    out.flush();
    err.flush();
    return 0;
  }

  private Sheets sheets() throws IOException {
    if (!Files.isRegularFile(sheets)) {
      throw new IOException("There is no file " + sheets + ".");
    }
    try {
      return JsonMapper.builder()
          .build()
          .readValue(Files.readString(sheets), SheetsFile.class)
          .sheets();
    } catch (JacksonException e) {
      throw new IOException(sheets + " is not a sheets file: " + e.getOriginalMessage(), e);
    }
  }

  /** The file: what is left out is empty. */
  private record SheetsFile(
      List<PersonEntry> people, List<PlaceEntry> places, LookEntry look, List<String> exclusions) {
    Sheets sheets() {
      return new Sheets(
          people == null ? List.of() : people.stream().map(PersonEntry::person).toList(),
          places == null ? List.of() : places.stream().map(PlaceEntry::place).toList(),
          look == null ? Sheets.EMPTY.look() : look.look(),
          exclusions == null ? List.of() : exclusions);
    }
  }

  private record PersonEntry(String name, String looks, String clothes) {
    Sheets.Person person() {
      return new Sheets.Person(or(name), or(looks), or(clothes), "");
    }
  }

  private record PlaceEntry(String name, String looks) {
    Sheets.Place place() {
      return new Sheets.Place(or(name), or(looks));
    }
  }

  private record LookEntry(
      String lens, String film, String light, String grade, String tone, String shape) {
    Sheets.Look look() {
      return new Sheets.Look(or(lens), or(film), or(light), or(grade), or(tone), or(shape));
    }
  }

  private static String or(String value) {
    return value == null ? "" : value;
  }
}
