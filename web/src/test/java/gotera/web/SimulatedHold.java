package gotera.web;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.simulation.StandInVehicle;
import gotera.simulation.StandInVehicle.Hold;
import gotera.simulation.StandInVehicle.Instruments;
import gotera.simulation.StandInVehicle.Leak;
import gotera.simulation.StandInVehicle.Outcome;
import gotera.simulation.StandInVehicle.Stage;
import gotera.simulation.StandInVehicle.SystemUnderTest;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/** A simulated hold whose readings and draws are typed or given as a file. */
final class SimulatedHold {
  private final StandInVehicle vehicle;
  private final Hold hold;
  private final List<Stage> before;
  private final long seed;
  private final Outcome outcome;

  SimulatedHold(double liquid, double pressure, List<Leak> leaks, long seed) {
    this(liquid, List.of(), new Hold(pressure, 20, 34 * 60, 10, 18, 0.002), leaks, seed);
  }

  SimulatedHold(double liquid, List<Stage> before, Hold hold, List<Leak> leaks, long seed) {
    this.seed = seed;
    this.hold = hold;
    this.before = before;
    vehicle =
        new StandInVehicle(
            new SystemUnderTest(150, liquid, 0.27, 0.03, 80, 4.2e-4, 0.76),
            leaks,
            new Instruments(0.1, 0.03, 0.05, 0.02));
    outcome = vehicle.run(before, hold, new Random(seed));
  }

  /** Its readings and events as a file. */
  String csv() {
    Trace trace = outcome.trace();
    StringBuilder csv = new StringBuilder("elapsed_s,gauge_kpa,coolant_c,event\n");
    for (int i = 0; i < trace.size(); i++) {
      csv.append(
          String.format(
              Locale.ROOT,
              "%.2f,%.1f,%.2f,%s\n",
              trace.seconds(i),
              trace.gauge(i),
              trace.celsius(i),
              event(trace, i)));
    }
    return csv.toString();
  }

  /** The same, with nobody reading a thermometer. */
  String withoutTemperature() {
    return csv().replaceAll("(?m)^([^,\n]*,[^,\n]*),[-.0-9]+,", "$1,,");
  }

  private static String event(Trace trace, int i) {
    double from = i == 0 ? Double.NEGATIVE_INFINITY : trace.seconds(i - 1);
    return trace.events().stream()
        .filter(e -> e.seconds() > from && e.seconds() <= trace.seconds(i))
        .map(TraceEvent::kind)
        .map(TraceEvent.Kind::word)
        .reduce((a, b) -> b)
        .orElse("");
  }

  /** Gauge and thermometer so many minutes after the valve was shut. */
  String[] at(double minute) {
    Trace trace = outcome.trace();
    double shut = trace.last(TraceEvent.Kind.VALVE_SHUT).orElseThrow().seconds();
    int i = 0;
    while (trace.seconds(i) < shut + minute * 60 - 1e-6) {
      i++;
    }
    return new String[] {figure("%.1f", trace.gauge(i)), figure("%.2f", trace.celsius(i))};
  }

  /** Gauge before and after a volume is let out at the end. */
  String[] draw(double millilitres) {
    return draws(millilitres)[0];
  }

  /** Gauge before and after each of some volumes, let out one after the other. */
  String[][] draws(double... millilitres) {
    double[][] steps = vehicle.run(before, hold, new Random(seed), millilitres).draws();
    String[][] shown = new String[steps.length][];
    for (int i = 0; i < steps.length; i++) {
      shown[i] = new String[] {figure("%.1f", steps[i][0]), figure("%.1f", steps[i][1])};
    }
    return shown;
  }

  private static String figure(String format, double value) {
    return String.format(Locale.ROOT, format, value);
  }
}
