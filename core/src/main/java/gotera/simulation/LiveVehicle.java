package gotera.simulation;

import gotera.pressure.trace.TraceEvent;
import java.util.Optional;
import java.util.Random;

/**
 * A stand-in vehicle that is lived through moment by moment, with somebody at it who pumps by hand,
 * shuts the valve, and now and then leans on a hose. The same seed lives the same life, so whoever
 * forgot where it was lives it again up to now.
 */
public final class LiveVehicle {
  /** A stroke of a hand takes so long (s). */
  private static final double STROKE_EVERY = 1.2;

  /** Room air of a stroke (mL). */
  private static final double STROKE = 18;

  private static final double STROKE_SPREAD = 0.15;

  /** From the last stroke until the valve is shut (s). */
  private static final double THEN_SHUT = 3;

  /** Before the first stroke (s). */
  private static final double BEFORE = 2;

  private static final double LEANS = 6; // kPa
  private static final double LEANS_FOR = 8; // s

  private final StandInVehicle vehicle;
  private final Plan plan;
  private final SystemState state;
  private final Needle needle;
  private final Random hand;
  private final Random instruments;
  private long steps;
  private double nextStroke = BEFORE;
  private double shutAt = Double.POSITIVE_INFINITY;
  private Optional<TraceEvent.Kind> news = Optional.empty();

  /**
   * What is done with it.
   *
   * @param pumpTo gauge pressure at which pumping ends (kPa)
   * @param celsius temperature at the start (°C)
   * @param kelvinPerMinute drift (K/min)
   * @param leansAt when somebody leans on a hose (s); infinite: nobody does
   */
  public record Plan(double pumpTo, double celsius, double kelvinPerMinute, double leansAt) {}

  /**
   * What the instruments show.
   *
   * @param gauge gauge pressure (kPa)
   * @param celsius the probe (°C)
   * @param happened what was done since they were looked at last
   */
  public record Shown(double gauge, double celsius, Optional<TraceEvent.Kind> happened) {}

  /** A vehicle at the moment somebody begins to pump. */
  public LiveVehicle(StandInVehicle vehicle, Plan plan, long seed) {
    this.vehicle = vehicle;
    this.plan = plan;
    this.state = new SystemState(vehicle.system(), vehicle.otherwise(), plan.celsius());
    this.hand = new Random(seed);
    this.instruments = new Random(seed + 1);
    this.needle = new Needle(vehicle.instruments(), vehicle.otherwise().hysteresis(), instruments);
  }

  /** Lives on until a moment (s after it began). */
  public void until(double seconds) {
    while (steps * StandInVehicle.STEP < seconds) {
      double now = steps * StandInVehicle.STEP;
      if (now >= nextStroke) {
        stroke(now);
      }
      if (now >= shutAt) {
        news = Optional.of(TraceEvent.Kind.VALVE_SHUT);
        shutAt = Double.POSITIVE_INFINITY;
      }
      state.advance(vehicle.system(), vehicle.leaks(), plan.kelvinPerMinute());
      steps++;
    }
  }

  private void stroke(double now) {
    if (now < BEFORE + STROKE_EVERY) {
      news = Optional.of(TraceEvent.Kind.PUMPED);
    }
    double before = state.gauge;
    state.stroke(STROKE * (1 + STROKE_SPREAD * hand.nextGaussian()), vehicle.system());
    // whoever pumps stops where another stroke would be too much
    if (state.gauge + 1.2 * (state.gauge - before) >= plan.pumpTo()) {
      nextStroke = Double.POSITIVE_INFINITY;
      shutAt = now + THEN_SHUT;
    } else {
      nextStroke = now + STROKE_EVERY * (1 + STROKE_SPREAD * hand.nextGaussian());
    }
  }

  /** What the instruments show now. */
  public Shown look() {
    double now = steps * StandInVehicle.STEP;
    boolean leant = now >= plan.leansAt() && now < plan.leansAt() + LEANS_FOR;
    Optional<TraceEvent.Kind> happened = news;
    news = Optional.empty();
    return new Shown(
        needle.shows(state.gauge + (leant ? LEANS : 0)),
        Needle.shown(
            state.probeCelsius,
            vehicle.instruments().thermometerNoise(),
            vehicle.instruments().thermometerStep(),
            instruments),
        happened);
  }

  /** What truly has left by now (mL). */
  public double lost() {
    return state.lost;
  }

  /** Gas in the system now (mL). */
  public double gas() {
    return state.gas;
  }

  /** What the gauge would show if it were perfect (kPa). */
  public double gauge() {
    return state.gauge;
  }
}
