package gotera.cli.gauge;

import gotera.formats.HoldJson;
import gotera.formats.TraceWriter;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.Usual;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.simulation.LiveVehicle;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalDouble;

/** What a simulated gauge would have sent, as a trace and its description. */
public final class SimulatedFiles {
  private SimulatedFiles() {}

  /** Writes {@code trace.csv} and {@code trace.hold.json} into the folder; gives the trace. */
  public static Path write(SimulatedGauge.Options options) throws IOException {
    LiveVehicle vehicle = SimulatedGauge.vehicle(options, options.seed());
    Trace.Builder trace = Trace.builder();
    double gas = options.air();
    double every = options.everyMillis() / 1000.0;
    for (long n = 0; n * every <= 60 * options.minutes(); n++) {
      vehicle.until(n * every);
      LiveVehicle.Shown shown = vehicle.look();
      trace.reading(
          n * every,
          SimulatedGauge.rounded(shown.gauge()),
          SimulatedGauge.rounded(shown.celsius()));
      double now = n * every;
      shown.happened().ifPresent(kind -> trace.event(TraceEvent.at(now, kind)));
      if (shown.happened().filter(k -> k == TraceEvent.Kind.VALVE_SHUT).isPresent()) {
        gas = vehicle.gas();
      }
    }
    HoldSetup hold =
        HoldSetup.of(
            options.rated(),
            SimulatedGauge.LIQUID,
            HoldSetup.Compliance.figure(
                // as somebody would have measured it, to within what is said
                OptionalDouble.of(SimulatedGauge.rounded(gas)),
                OptionalDouble.of(SimulatedGauge.HOSE),
                OptionalDouble.of(0.1),
                true));
    Path folder = Files.createDirectories(options.folder());
    Path csv = folder.resolve("trace.csv");
    Files.writeString(csv, TraceWriter.write(trace.build()));
    Files.writeString(
        folder.resolve("trace.hold.json"),
        HoldJson.write(
            hold.with(
                HoldSetup.Instruments.of(
                    HoldSetup.KnownGauge.ofStep(SimulatedGauge.STEP),
                    Optional.of(Usual.thermometer(SimulatedGauge.KELVINS))))));
    return csv;
  }
}
