package gotera.simulation;

import gotera.bubble.FunnelStep;
import gotera.bubble.FunnelStep.Bubbles;
import gotera.bubble.FunnelStep.Level;
import gotera.bubble.FunnelStep.Moved;
import gotera.bubble.FunnelStep.Size;
import gotera.bubble.FunnelStep.Squeezed;
import gotera.bubble.FunnelStep.ToppedUp;
import gotera.bubble.FunnelStep.Warmed;
import gotera.coolant.CoolantMixture;
import gotera.warming.NeckLevel;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * An engine that idles under a funnel, two seconds at a time, written apart from what judges it:
 * the block warms by its burner and loses heat to the room, the thermostat lets the radiator in and
 * its fan swings the temperature, trapped air comes loose the more the faster it flows, gas passes
 * the gasket. Densities by a parabola of its own. Somebody stands by: reads level and hoses now and
 * then, tops up, squeezes, taps for most of the bubbles and takes some for larger than they are.
 */
public final class EngineRun {
  private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");
  private static final double STEP = 1.0 / 30; // min

  /** What is going on. */
  public enum Truth {
    QUIET,
    AIR_LEAVES,
    GAS_ENTERS,
    GAS_COLLECTS
  }

  private final List<FunnelStep> steps = new ArrayList<>();
  private final NeckLevel funnel;
  private final List<Moment> trace = new ArrayList<>();
  private final Random random;
  private final Truth truth;
  private final double liquid;
  private final double area;
  private double minute;
  private final IdlingEngine engine = new IdlingEngine();
  private double opened;
  private double volume; // in the funnel, mL
  private double mark; // mm
  private double air;
  private final double gas;
  private final double byEye; // how this person takes sizes
  private double budget; // gas on its way up, mL
  private double next;
  private double nextHoses;

  /**
   * How it truly was at a moment.
   *
   * @param minute since the start (min)
   * @param block temperature of the block (°C)
   * @param level in the funnel against the start (mm)
   */
  public record Moment(double minute, double block, double level) {}

  /** An engine at rest. */
  public EngineRun(Random random, Truth truth) {
    this.random = random;
    this.truth = truth;
    liquid = 5000 + 6000 * random.nextDouble();
    area = 40 + 80 * random.nextDouble();
    air = truth == Truth.AIR_LEAVES ? 150 + 500 * random.nextDouble() : 0;
    gas = 4 + 22 * random.nextDouble();
    byEye = Math.exp(0.2 * random.nextGaussian());
    // what is known of them is not exact
    funnel =
        new NeckLevel(
            liquid * (1 + 0.07 * random.nextGaussian()),
            new CoolantMixture(0.5),
            area * (1 + 0.05 * random.nextGaussian()));
  }

  /** Runs until both hoses have been hot for so long (min), two hours at most. */
  public EngineRun until(double hotMinutes) {
    double grown = engine.grown();
    while (minute < 120 && (opened == 0 || minute < opened + hotMinutes)) {
      warm();
      minute += STEP;
      double now = engine.grown();
      volume += liquid * (now - grown);
      grown = now;
      gasAndAir();
      trace.add(new Moment(minute, engine.block(), 10 * volume / area));
      stander();
    }
    return this;
  }

  private void warm() {
    engine.idle(STEP);
    if (opened == 0 && engine.hot()) {
      opened = minute;
    }
  }

  private void gasAndAir() {
    double up = 0;
    if (truth == Truth.AIR_LEAVES && engine.block() > 60) {
      double loose = air * 0.045 * STEP;
      air -= loose;
      volume -= loose; // liquid goes where the air was
      up = loose;
    } else if (truth == Truth.GAS_ENTERS) {
      up = gas * STEP;
    } else if (truth == Truth.GAS_COLLECTS) {
      volume += 0.6 * gas * STEP; // a part stays and lifts the level
      up = 0.4 * gas * STEP;
    }
    budget += up;
    while (budget > 0) {
      double one = 0.12 * Math.exp(0.9 * random.nextGaussian());
      budget -= one;
      if (random.nextDouble() < 0.93) {
        steps.add(new Bubbles(now(), taken(one * byEye), 1));
      }
    }
  }

  private static Size taken(double millilitres) {
    return millilitres < 0.045 ? Size.SMALL : millilitres < 0.22 ? Size.PEA : Size.LARGE;
  }

  private void stander() {
    if (minute >= nextHoses) {
      nextHoses = minute + 2 + 2 * random.nextDouble();
      steps.add(
          new Warmed(
              now(),
              engine.block() - 1 + random.nextGaussian(),
              engine.radiator() + 0.7 * random.nextGaussian()));
    }
    if (minute < next) {
      return;
    }
    next = minute + 1 + 2 * random.nextDouble();
    double read = Math.round(10 * volume / area - mark + 0.7 * random.nextGaussian());
    steps.add(new Level(now(), read));
    double does = random.nextDouble();
    if (does < 0.06) {
      mark = 10 * volume / area;
      steps.add(new Moved(now()));
    } else if (does < 0.12) {
      double put = 100 * random.nextDouble();
      volume += put;
      steps.add(new ToppedUp(now(), Math.round(put / 10) * 10));
    } else if (does < 0.18) {
      volume += 30 * random.nextGaussian(); // what moved stays where it went
      steps.add(new Squeezed(now()));
    }
  }

  private Instant now() {
    return NOON.plusMillis((long) (minute * 60_000));
  }

  /** What whoever stands by wrote down. */
  public List<FunnelStep> steps() {
    return steps;
  }

  /** The funnel as far as it is known. */
  public NeckLevel funnel() {
    return funnel;
  }

  /** How it truly was, every two seconds. */
  public List<Moment> trace() {
    return trace;
  }
}
