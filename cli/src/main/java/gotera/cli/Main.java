package gotera.cli;

import gotera.formats.RankJson;
import gotera.formats.Schemas;
import gotera.practice.World;
import gotera.word.Worded;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Entry point of the command line. */
@Command(
    name = "gotera",
    description = "Leak rates, suspects and figures without a server.",
    mixinStandardHelpOptions = true,
    version = "Gotera 0.1.0")
public final class Main implements Runnable {
  private final PrintStream out;
  private final PrintStream err;

  @Spec
  @SuppressWarnings("NullAway.Init")
  private CommandSpec spec;

  private Main(PrintStream out, PrintStream err) {
    this.out = out;
    this.err = err;
  }

  /** Runs one command and exits with its code. */
  public static void main(String[] arguments) {
    PrintStream out = stream(FileDescriptor.out);
    PrintStream err = stream(FileDescriptor.err);
    int code = run(Arrays.asList(arguments), out, err);
    out.flush();
    err.flush();
    System.exit(code);
  }

  /** 0 where everything was read, 2 where something could not be, or nothing was asked. */
  static int run(List<String> arguments, PrintStream out, PrintStream err) {
    return new CommandLine(new Main(out, err))
        .addSubcommand(new GaugeCommand(out))
        .setOut(new PrintWriter(out, true, StandardCharsets.UTF_8))
        .setErr(new PrintWriter(err, true, StandardCharsets.UTF_8))
        .execute(arguments.toArray(String[]::new));
  }

  @Override
  public void run() {
    throw new ParameterException(spec.commandLine(), "Which command?");
  }

  @Command(name = "analyse", description = "Leak rate and verdict of traces, one JSON line each.")
  int analyse(
      @Parameters(
              paramLabel = "TRACE.csv",
              arity = "1..*",
              description = "files, or folders of them")
          List<String> traces) {
    return new Analyse(out, err).run(traces);
  }

  @Command(name = "rank", description = "Suspects and next checks of jobs, one JSON line each.")
  int rank(@Parameters(paramLabel = "JOB.json", arity = "1..*") List<String> jobs) {
    return Rank.run(jobs, out, err);
  }

  @Command(
      name = "verify",
      description = "Whether reports and job files are as they were handed out.")
  int verify(
      @Option(
              names = "--key",
              paramLabel = "FINGERPRINT",
              description = "refuse what another key signed")
          String key,
      @Parameters(paramLabel = "FILE", arity = "1..*") List<String> files) {
    return Verify.run(files, Optional.ofNullable(key), out, err);
  }

  @Command(
      name = "situations",
      description = "Holds whole situations against what a technician would say of them.")
  int situations(@Parameters(paramLabel = "FOLDER", arity = "1..*") List<String> folders) {
    return Situations.run(folders, out, err);
  }

  @Command(
      name = "calibration",
      description = "How often places leak that are given a probability, over simulated jobs.")
  int calibration(
      @Parameters(paramLabel = "JOBS", arity = "0..1", defaultValue = "1000") int jobs,
      @Parameters(paramLabel = "SEED", arity = "0..1", defaultValue = "1") long seed) {
    return Calibration.run(jobs, seed, out);
  }

  @Command(
      name = "practice",
      description = "Whoever does what is proposed, on vehicles with hidden leaks.")
  int practice(
      @Option(
              names = "--advice",
              required = true,
              arity = "2",
              paramLabel = "VEHICLES SEED",
              description = "so many vehicles of each world, made from a seed")
          long[] advice,
      @Option(
              names = "--world",
              paramLabel = "WORLD",
              description = "usual, other-odds, other-eyes, two-leaks, mistakes; else all")
          String world,
      @Option(names = "--show", paramLabel = "K", description = "one of them, step by step")
          Integer number) {
    List<World> worlds =
        world == null ? List.of(World.values()) : Worded.of(World.class, world).stream().toList();
    if (worlds.isEmpty() || advice[0] < 1 || advice[0] > 1_000_000) {
      throw new ParameterException(
          spec.subcommands().get("practice"), "Which world, and how many vehicles?");
    }
    return number == null
        ? Practice.advice((int) advice[0], advice[1], worlds, out)
        : Practice.show(worlds.get(0), advice[1], number, out);
  }

  @Command(name = "vocabulary", description = "Names of places and signs that rank knows.")
  int vocabulary() {
    RankJson.vocabulary().forEach(out::println);
    return 0;
  }

  @Command(name = "schema", description = "The JSON Schema of a format.")
  int schema(@Parameters(paramLabel = "hold|job") Format format) {
    out.print(format == Format.hold ? Schemas.hold() : Schemas.job());
    return 0;
  }

  /** Formats that have a schema, as they are typed. */
  enum Format {
    hold,
    job
  }

  @Command(
      name = "monte-carlo",
      description = "How often the verdicts are right, on simulated tests whose truth is known.")
  int monteCarlo(
      @Parameters(paramLabel = "RUNS", arity = "0..1", defaultValue = "1000") int runs,
      @Parameters(paramLabel = "SEED", arity = "0..1", defaultValue = "1") long seed,
      @Option(
              names = "--picture",
              paramLabel = "FILE.svg",
              description = "also draws where the truths lie in what was said of them")
          @Nullable Path picture)
      throws IOException {
    if (runs < 1 || seed < 1) {
      throw new ParameterException(
          spec.subcommands().get("monte-carlo"), "RUNS and SEED are whole numbers from 1");
    }
    CoveragePicture drawn = MonteCarlo.run(runs, seed, out);
    if (picture != null) {
      Files.writeString(picture, drawn.svg());
    }
    return 0;
  }

  @Command(
      name = "early",
      description = "How often claims before the end of a hold are wrong, on simulated holds.")
  int early(
      @Parameters(paramLabel = "HOLDS", arity = "0..1", defaultValue = "1000") int holds,
      @Parameters(paramLabel = "SEED", arity = "0..1", defaultValue = "1") long seed) {
    if (holds < 1 || seed < 1) {
      throw new ParameterException(
          spec.subcommands().get("early"), "HOLDS and SEED are whole numbers from 1");
    }
    EarlyClaims.run(holds, seed, out);
    return 0;
  }

  private static PrintStream stream(FileDescriptor descriptor) {
    return new PrintStream(new FileOutputStream(descriptor), false, StandardCharsets.UTF_8);
  }
}
