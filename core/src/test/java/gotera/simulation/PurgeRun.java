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
 * A circuit with pockets of trapped air that is purged, two seconds at a time, written apart from
 * what judges it: each pocket lies somewhere and comes loose once the flow reaches it (the block at
 * once, the heater when its side gets hot, the rest when the thermostat opens), steadily or in
 * gulps; the coolant grows, the fan swings the temperature. Somebody stands by, reads level and
 * hoses, tops up, revs, and misses some bubbles.
 */
public final class PurgeRun {
  private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");
  private static final double STEP = 1.0 / 30; // min
  private static final double LONGEST = 150; // min

  /** A pocket of air. */
  private static final class Pocket {
    private final double from; // °C of the block at which the flow reaches it
    private final double share; // that comes loose in a minute
    private final double every; // min between gulps; 0 where it comes steadily
    private double air; // mL
    private double gulp; // when the next comes

    Pocket(Random random, double from, double air) {
      this.from = from;
      this.air = air;
      share = 0.2 + 0.6 * random.nextDouble();
      every = random.nextInt(3) == 0 ? 2 + 3 * random.nextDouble() : 0;
    }

    double loosened(double block, double minute) {
      if (block < from || air <= 0) {
        return 0;
      }
      double out = share * STEP * air;
      if (every > 0) {
        if (minute < gulp) {
          return 0;
        }
        gulp = minute + every;
        out = 0.45 * air;
      }
      if (air < 0.5) {
        out = air; // the last of it is one bubble
      }
      air -= out;
      return out;
    }
  }

  private final Random random;
  private final List<FunnelStep> steps = new ArrayList<>();
  private final List<Pocket> pockets = new ArrayList<>();
  private final NeckLevel funnel;
  private final double liquid;
  private final double area;
  private double minute;
  private final IdlingEngine engine = new IdlingEngine();
  private double volume;
  private double mark;
  private double budget;
  private double next;
  private double nextHoses;
  private double hotSince = Double.NaN;
  private double lastAir;

  /** A circuit just filled. */
  public PurgeRun(Random random) {
    this.random = random;
    liquid = 5000 + 6000 * random.nextDouble();
    area = 40 + 80 * random.nextDouble();
    pockets.add(new Pocket(random, 20, 300 * random.nextDouble()));
    pockets.add(new Pocket(random, 55, 200 * random.nextDouble()));
    pockets.add(new Pocket(random, 82, 400 * random.nextDouble()));
    funnel =
        new NeckLevel(
            liquid * (1 + 0.07 * random.nextGaussian()),
            new CoolantMixture(0.5),
            area * (1 + 0.05 * random.nextGaussian()));
  }

  /** Two seconds more; not so once it has run for longer than anybody would stand there. */
  public boolean advance() {
    double before = engine.grown();
    warm();
    minute += STEP;
    volume += liquid * (engine.grown() - before);
    air();
    stander();
    return minute < LONGEST;
  }

  private void warm() {
    engine.idle(STEP);
    if (Double.isNaN(hotSince) && engine.hot()) {
      hotSince = minute;
    }
  }

  private void air() {
    double up = 0;
    for (Pocket p : pockets) {
      up += p.loosened(engine.block(), minute);
    }
    volume -= up;
    if (up > 0) {
      lastAir = minute;
    }
    budget += up;
    while (budget > 0) {
      double one = 0.12 * Math.exp(0.9 * random.nextGaussian());
      budget -= one;
      if (random.nextDouble() < 0.93) {
        Size size = one < 0.045 ? Size.SMALL : one < 0.22 ? Size.PEA : Size.LARGE;
        steps.add(new Bubbles(now(), size, 1));
      }
    }
  }

  private void stander() {
    if (minute >= nextHoses) {
      nextHoses = minute + 1.5 + 1.5 * random.nextDouble();
      steps.add(
          new Warmed(
              now(),
              engine.block() - 1 + random.nextGaussian(),
              engine.radiator() + 0.7 * random.nextGaussian()));
    }
    if (minute < next) {
      return;
    }
    next = minute + 1 + random.nextDouble();
    steps.add(
        new Level(now(), Math.round(10 * volume / area - mark + 0.7 * random.nextGaussian())));
    double does = random.nextDouble();
    if (does < 0.04) {
      mark = 10 * volume / area;
      steps.add(new Moved(now()));
    } else if (does < 0.08) {
      double put = 100 * random.nextDouble();
      volume += put;
      steps.add(new ToppedUp(now(), Math.round(put / 10) * 10));
    } else if (does < 0.1) {
      volume += 30 * random.nextGaussian();
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

  /** Air that still is in it (mL). */
  public double trapped() {
    return pockets.stream().mapToDouble(p -> p.air).sum();
  }

  /** Minutes since the start. */
  public double minute() {
    return minute;
  }

  /** When it truly ended: hot, and for ten minutes no air came (min); NaN before. */
  public double ended() {
    double quietFrom = Math.max(hotSince, lastAir);
    return trapped() <= 0 && !Double.isNaN(hotSince) && minute >= quietFrom + 10
        ? quietFrom + 10
        : Double.NaN;
  }
}
