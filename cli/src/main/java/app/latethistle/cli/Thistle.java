package app.latethistle.cli;

import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The command line. */
@Command(
    name = "thistle",
    mixinStandardHelpOptions = true,
    version = "Late Thistle 0.1.0",
    description = "Cuts films made of generated clips to their music.",
    subcommands = {
      BeatsCommand.class,
      AlignCommand.class,
      PausesCommand.class,
      ShortenCommand.class,
      ProbeCommand.class,
      PlanCommand.class,
      AssembleCommand.class,
      RenderCommand.class,
      PackCommand.class,
      UnpackCommand.class,
      ShotsCommand.class,
      PromptsCommand.class,
      FactsCommand.class,
      LoudnessCommand.class,
      MixCommand.class,
      SoundCommand.class,
      CaptionsCommand.class,
      CheckCommand.class,
      TitleCommand.class,
      MatchCommand.class,
      ScopesCommand.class,
      DemoCommand.class
    })
public final class Thistle {
  private Thistle() {}

  /** Runs one command and ends with its exit code. */
  public static void main(String[] args) {
    System.exit(run(args));
  }

  /** Prints what a command found, as JSON for reading. */
  static void print(CommandSpec spec, Object found) {
    JsonMapper json = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    spec.commandLine().getOut().println(json.writeValueAsString(found));
    spec.commandLine().getOut().flush();
  }

  /** Runs one command and answers its exit code. */
  public static int run(String... args) {
    CommandLine line = new CommandLine(new Thistle());
    line.setExecutionExceptionHandler(
        (e, command, result) -> {
          String message = e.getMessage() == null ? e.toString() : e.getMessage();
          command.getErr().println("thistle: " + message.replace('\n', ' '));
          return CommandLine.ExitCode.SOFTWARE;
        });
    return line.execute(args);
  }
}
