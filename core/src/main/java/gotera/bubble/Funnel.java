package gotera.bubble;

import gotera.bubble.FunnelStep.Bubbles;
import gotera.bubble.FunnelStep.Burst;
import gotera.bubble.FunnelStep.Level;
import gotera.bubble.FunnelStep.Moved;
import gotera.bubble.FunnelStep.Squeezed;
import gotera.bubble.FunnelStep.ToppedUp;
import gotera.bubble.FunnelStep.Warmed;
import gotera.uncertainty.DecisionLimits;
import gotera.warming.NeckLevel;
import gotera.word.Worded;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a funnel says, net of everything: r = A·Δh/Δt − (β − α)·V_L·ΔT/Δt − top-ups/Δt, over the
 * time that both hoses were hot. Squeezing a hose or moving the mark begins a new stretch; the
 * stretches are added up.
 *
 * <p>Air that leaves takes its volume from the level; gas that comes in does not. So bubbles of q_b
 * with a level that stands are gas, once a fall of q_b would have been seen. Sizes are by eye:
 * {@value #SURELY} of q_b is taken for certain, and air leaving must be refuted at {@value
 * #REFUTED} standard uncertainties before gas is said, for a false alarm here costs an engine's
 * head.
 *
 * @param minutes how long the level was read while both hoses were hot (min)
 * @param rate net rate of the level, r (mL/min); above zero it rises
 * @param u its standard uncertainty (mL/min)
 * @param bubbles rate of the bubbles, q_b (mL/min)
 * @param drift how fast it warms meanwhile (K/min)
 * @param least how long it takes until air and gas can be told apart as the bubbles come (min)
 * @param says the verdict
 */
public record Funnel(
    double minutes,
    double rate,
    double u,
    double bubbles,
    double drift,
    Optional<Double> least,
    Says says) {
  /** Both hoses must be this warm (°C) (our judgement, untested). */
  public static final double HOT = 70;

  /** Nor may the temperature drift faster (K/min) (our judgement, untested). */
  public static final double STEADY = 0.5;

  /** Quiet takes this long (min) (common practice, no source). */
  public static final double QUIET_MINUTES = 10;

  /** Standard uncertainty of a level read at a mark (mm) (our judgement, untested). */
  public static final double MARK_U = 1;

  /** Standard uncertainty of a difference of temperatures read at a hose (K). */
  private static final double READ_U = 1.5; // our judgement, untested

  /** Relative standard uncertainty of what is poured in (our judgement, untested). */
  private static final double POUR_U = 0.05;

  /** Share of the bubbles' volume that is surely there (1) (our judgement, untested). */
  private static final double SURELY = 0.7;

  /** Bubbles counted for less than this are no rate yet (min) (our judgement, untested). */
  private static final double COUNTED = 1;

  /** The temperatures must span this share of the time of the levels (1). */
  private static final double KNOWN = 0.5; // our judgement, untested

  /** Standard uncertainties by which air leaving is refuted (1) (our judgement, untested). */
  private static final double REFUTED = 2.6;

  /** What it says. */
  public enum Says implements Worded {
    /** Both hoses have not been hot: it does not count. */
    NOT_HOT,
    /** It still warms or cools: it does not count. */
    NOT_STEADY,
    /** The hoses were read once only: whether it is steady nobody knows. */
    READ_AGAIN,
    /** Too short to tell. */
    TOO_SHORT,
    /** Air leaves: the level falls by as much. */
    AIR_LEAVING,
    /** Gas comes in at about the rate of the bubbles. */
    GAS_ENTERING,
    /** Gas gathers: the level rises, serious. */
    GAS_COLLECTING,
    /** Nothing comes and the level stands. */
    QUIET,
    /** The level falls by more or less than the bubbles: told by neither. */
    UNCLEAR;

    /** Whether it counts. */
    public boolean counts() {
      return this == AIR_LEAVING || this == GAS_ENTERING || this == GAS_COLLECTING || this == QUIET;
    }
  }

  /**
   * How long it takes until air leaving and gas entering can be told apart where sizes are certain.
   *
   * @param markU standard uncertainty of a level (mm)
   * @param area of the funnel (cm²)
   * @param bubbles rate of the bubbles (mL/min), above 0
   * @return minutes
   */
  public static double apart(double markU, double area, double bubbles) {
    return 2 * DecisionLimits.K * Math.sqrt(2) * markU / 10 * area / bubbles;
  }

  /**
   * What it says so far.
   *
   * @param steps what happened, in any order
   * @param funnel the funnel with what is below it
   */
  public static Funnel of(List<FunnelStep> steps, NeckLevel funnel) {
    List<FunnelStep> inOrder = steps.stream().sorted(Comparator.comparing(FunnelStep::at)).toList();
    return new Reckoning(inOrder, funnel).result();
  }

  /** The sums over the stretches. */
  private static final class Reckoning {
    private final List<FunnelStep> steps;
    private final NeckLevel funnel;
    private final Optional<Instant> hotSince;
    private double minutes;
    private double risen;
    private double variance;
    private Optional<Level> from = Optional.empty();
    private Optional<Level> to = Optional.empty();
    private double poured;
    private double pouredSince;

    Reckoning(List<FunnelStep> steps, NeckLevel funnel) {
      this.steps = steps;
      this.funnel = funnel;
      this.hotSince = hotSince();
    }

    /** Since when both hoses are hot without a break. */
    private Optional<Instant> hotSince() {
      Optional<Instant> since = Optional.empty();
      for (Warmed w : of(Warmed.class).toList()) {
        boolean hot = Math.min(w.upper(), w.lower()) >= HOT;
        since = !hot ? Optional.empty() : since.isPresent() ? since : Optional.of(w.at());
      }
      return since;
    }

    private <T extends FunnelStep> Stream<T> of(Class<T> kind) {
      return steps.stream().filter(kind::isInstance).map(kind::cast);
    }

    private <T extends FunnelStep> Stream<T> hot(Class<T> kind) {
      return of(kind).filter(s -> hotSince.filter(h -> !s.at().isBefore(h)).isPresent());
    }

    Funnel result() {
      if (hotSince.isEmpty()) {
        return new Funnel(0, 0, 0, 0, 0, Optional.empty(), Says.NOT_HOT);
      }
      steps.stream().filter(s -> !s.at().isBefore(hotSince.get())).forEach(this::take);
      close();
      double drift = drift();
      double last = lastWarmth();
      double grown = funnel.growth(last, drift);
      double perKelvin = funnel.growth(last, 1);
      double seen = hotSpan();
      double bubbles =
          seen >= COUNTED ? hot(Bubbles.class).mapToDouble(Bubbles::millilitres).sum() / seen : 0;
      double rate = minutes > 0 ? risen / minutes - grown : 0;
      double u =
          minutes > 0
              ? Math.hypot(Math.sqrt(variance) / minutes, perKelvin * READ_U / Math.max(1, seen))
              : 0;
      u = Math.hypot(u, 2 * NeckLevel.SIZE_U * grown);
      Optional<Double> least = bubbles > 0 ? Optional.of(least(bubbles)) : Optional.empty();
      return new Funnel(
          minutes, rate, u, bubbles, drift, least, says(rate, u, bubbles, drift, seen));
    }

    private void take(FunnelStep step) {
      if (step instanceof Level l) {
        if (from.isEmpty()) {
          from = Optional.of(l);
          poured = 0;
        } else {
          to = Optional.of(l);
        }
        poured += pouredSince;
        pouredSince = 0;
      } else if (step instanceof ToppedUp t) {
        pouredSince += from.isPresent() ? t.millilitres() : 0;
      } else if (step instanceof Squeezed) {
        close();
      } else if (step instanceof Moved m) {
        close();
        from = Optional.of(new Level(m.at(), 0));
      }
    }

    /** Ends a stretch: between its first and its last level. */
    private void close() {
      if (from.isPresent() && to.isPresent()) {
        double area = funnel.area();
        risen += area * (to.get().level() - from.get().level()) / 10 - poured;
        variance += 2 * Math.pow(area * MARK_U / 10, 2) + Math.pow(POUR_U * poured, 2);
        minutes += minutes(from.get().at(), to.get().at());
      }
      from = Optional.empty();
      to = Optional.empty();
      poured = 0;
      pouredSince = 0;
    }

    /** Between the first and the last reading of both hoses hot (min). */
    private double warmthSpan() {
      List<Warmed> hot = hot(Warmed.class).toList();
      return minutes(hot.get(0).at(), hot.get(hot.size() - 1).at());
    }

    private double drift() {
      List<Warmed> hot = hot(Warmed.class).toList();
      Warmed first = hot.get(0);
      Warmed last = hot.get(hot.size() - 1);
      double between = warmthSpan();
      return between > 0 ? (mean(last) - mean(first)) / between : 0;
    }

    private double lastWarmth() {
      return mean(hot(Warmed.class).reduce((a, b) -> b).orElseThrow());
    }

    private static double mean(Warmed w) {
      return (w.upper() + w.lower()) / 2;
    }

    /** From when both were hot to the newest step (min). */
    private double hotSpan() {
      return minutes(hotSince.orElseThrow(), steps.get(steps.size() - 1).at());
    }

    /** How long it takes as the bubbles come, with what their sizes leave open (min). */
    private double least(double bubbles) {
      double share = (REFUTED + DecisionLimits.K) / (2 * DecisionLimits.K) / SURELY;
      return apart(MARK_U, funnel.area(), bubbles) * share;
    }

    private Says says(double rate, double u, double bubbles, double drift, double seen) {
      if (hot(Burst.class).findAny().isPresent()) {
        return Says.GAS_COLLECTING;
      }
      if (Math.abs(drift) > STEADY) {
        return Says.NOT_STEADY;
      }
      if (warmthSpan() < KNOWN * minutes || warmthSpan() <= 0) {
        return Says.READ_AGAIN;
      }
      double critical = DecisionLimits.K * u;
      if (minutes <= 0) {
        return Says.TOO_SHORT;
      }
      if (bubbles <= 0) {
        if (minutes < QUIET_MINUTES) {
          return Says.TOO_SHORT;
        }
        return Math.abs(rate) <= critical
            ? Says.QUIET
            : rate > REFUTED * u ? Says.GAS_COLLECTING : Says.UNCLEAR;
      }
      if (rate > REFUTED * u && minutes >= QUIET_MINUTES) {
        return Says.GAS_COLLECTING;
      }
      if (Math.abs(rate) <= critical && rate + SURELY * bubbles >= REFUTED * u) {
        return Says.GAS_ENTERING;
      }
      boolean falls = rate < -REFUTED * u;
      // as much as the bubbles, within what their sizes and counts leave open
      boolean asMuch = -rate >= SURELY * bubbles - REFUTED * u;
      if (falls && asMuch) {
        return Says.AIR_LEAVING;
      }
      return falls ? Says.UNCLEAR : Says.TOO_SHORT;
    }

    private static double minutes(Instant from, Instant to) {
      return Duration.between(from, to).toMillis() / 60_000.0;
    }
  }
}
