package gotera.cli;

import gotera.cli.gauge.SimulatedFiles;
import gotera.cli.gauge.SimulatedGauge;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** A simulated gauge that writes by itself. */
@Command(
    name = "gauge",
    description = "A simulated gauge that writes into a test by itself; all it reads is simulated.",
    mixinStandardHelpOptions = true)
final class GaugeCommand implements Callable<Integer> {
  private final PrintStream out;

  @Option(
      names = "--address",
      description = "of the application",
      defaultValue = "http://127.0.0.1:8080")
  @SuppressWarnings("NullAway.Init")
  private String address;

  @Option(
      names = "--fingerprint",
      description = "SHA-256 of the certificate it trusts, where a workshop made its own",
      defaultValue = "")
  @SuppressWarnings("NullAway.Init")
  private String fingerprint;

  @Option(
      names = "--code",
      description = "that pairs it, from the page of a test",
      defaultValue = "")
  @SuppressWarnings("NullAway.Init")
  private String code;

  @Option(names = "--folder", description = "its disk; the same folder goes on where it ended")
  private @org.jspecify.annotations.Nullable Path folder;

  @Option(
      names = "--files",
      paramLabel = "FOLDER",
      description = "write what it would read as trace and description, and send nothing")
  private @org.jspecify.annotations.Nullable Path files;

  @Option(names = "--name", description = "what it is called", defaultValue = "Simulated gauge")
  @SuppressWarnings("NullAway.Init")
  private String name;

  @Option(names = "--rated", description = "pressure to pump to (kPa)", defaultValue = "100")
  private double rated;

  @Option(names = "--leak", description = "rate at that pressure (mL/min)", defaultValue = "0.5")
  private double leak;

  @Option(names = "--orifice", description = "the leak is a hole, not a seep")
  private boolean orifice;

  @Option(names = "--air", description = "air in the system (mL)", defaultValue = "150")
  private double air;

  @Option(names = "--every", description = "time between readings (ms)", defaultValue = "100")
  private long everyMillis;

  @Option(names = "--send", description = "time between messages (ms)", defaultValue = "1000")
  private long sendMillis;

  @Option(names = "--minutes", description = "how long it reads (min)", defaultValue = "30")
  private double minutes;

  @Option(
      names = "--leans",
      description = "when somebody leans on a hose (s); negative: nobody",
      defaultValue = "400")
  private double leansAt;

  @Option(
      names = "--failing",
      description = "share of messages that the network loses",
      defaultValue = "0")
  private double failing;

  @Option(names = "--drift", description = "by how much its clock is fast", defaultValue = "3e-5")
  private double drift;

  @Option(names = "--seed", description = "of the simulation; 0: another each time")
  private long seed;

  GaugeCommand(PrintStream out) {
    this.out = out;
  }

  @Override
  public Integer call() throws IOException, InterruptedException {
    if (everyMillis < 10 || sendMillis < 10 || !(minutes > 0) || !(rated > 0) || !(air > 0)) {
      throw new picocli.CommandLine.ParameterException(
          new picocli.CommandLine(this), "times, pressure and air are above zero");
    }
    if (!fingerprint.isEmpty() && !fingerprint.matches("([0-9A-Fa-f]{2}[: ]?){32}")) {
      throw new picocli.CommandLine.ParameterException(
          new picocli.CommandLine(this), "a fingerprint has 64 hexadecimal digits");
    }
    if (files != null) {
      out.println(SimulatedFiles.write(options(files)));
      return 0;
    }
    return new SimulatedGauge(
            options(folder == null ? Files.createTempDirectory("gauge") : folder), out)
        .run();
  }

  private SimulatedGauge.Options options(Path disk) {
    return new SimulatedGauge.Options(
        address.replaceAll("/+$", ""),
        fingerprint,
        code,
        disk,
        name,
        rated,
        leak,
        orifice,
        air,
        everyMillis,
        sendMillis,
        minutes,
        leansAt,
        failing,
        drift,
        seed == 0 ? System.nanoTime() : seed);
  }
}
