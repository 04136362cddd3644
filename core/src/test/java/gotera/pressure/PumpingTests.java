package gotera.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.simulation.StandInVehicle.Outcome;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Nothing is said of a hold while somebody pumps. */
class PumpingTests {
  private static final HoldConditions CONDITIONS = Holds.conditions(120, 1);

  private static boolean goesOn(Trace trace) {
    return Pumping.goesOn(trace, CONDITIONS, new PressureTest(trace, CONDITIONS).analyse());
  }

  private static Trace.Builder stairs(double to) {
    Trace.Builder trace = Trace.builder();
    for (int i = 0; i < to; i++) {
      trace.reading(i * 0.5, i - i % 6);
    }
    return trace;
  }

  @Test
  void strokesAreNoHold() {
    for (int to = 8; to < 110; to += 9) {
      assertThat(goesOn(stairs(to).build())).as("up to " + to).isTrue();
    }
  }

  @Test
  void onceTheValveIsShutItIsOne() {
    Trace.Builder trace = stairs(110);
    trace.event(TraceEvent.at(55, TraceEvent.Kind.VALVE_SHUT));
    assertThat(goesOn(trace.reading(56, 104).build())).isFalse();
    trace.event(TraceEvent.at(60, TraceEvent.Kind.PUMPED));
    assertThat(goesOn(trace.reading(61, 109).build())).as("pumped up again").isTrue();
  }

  @Test
  void aFallWithoutAWordOfTheValveIsAHold() {
    Trace falls = Trace.builder().reading(0, 110).reading(60, 106).reading(120, 102).build();
    assertThat(goesOn(falls)).isFalse();
    assertThat(goesOn(Trace.builder().reading(0, 110).build())).as("one reading").isFalse();
    assertThat(goesOn(Trace.builder().build())).as("none").isFalse();
  }

  /** A whole hold of the stand-in, read from its first stroke: pumping ends where it does. */
  @Test
  void aWholeHoldIsToldOnceItBegins() {
    Outcome hold = Holds.vehicle(1, 120).run(Holds.minutes(10, 2), new Random(3));
    Trace all = hold.trace();
    double shut = all.last(TraceEvent.Kind.VALVE_SHUT).orElseThrow().seconds();
    assertThat(goesOn(all)).isFalse();
    Trace.Builder pumped = Trace.builder();
    for (int i = 0; i < all.size() && all.seconds(i) < shut; i++) {
      pumped.reading(all.seconds(i), all.gauge(i));
    }
    assertThat(goesOn(pumped.build())).isTrue();
  }
}
