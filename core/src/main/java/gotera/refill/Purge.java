package gotera.refill;

import gotera.bubble.Funnel;
import gotera.bubble.Funnel.Says;
import gotera.bubble.FunnelStep;
import gotera.bubble.FunnelStep.Bubbles;
import gotera.bubble.FunnelStep.Burst;
import gotera.bubble.FunnelStep.Warmed;
import gotera.warming.NeckLevel;
import gotera.word.Worded;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Whether a purge is at its end: both hoses hot and steady, no bubble for the set time, also on
 * revving, the level standing within its critical value, heat in the cabin, the needle steady. The
 * end is computed, not felt.
 *
 * @param quiet how long no bubble came while both hoses were hot (min)
 * @param level what the level says over that time
 * @param missing what is missing; nothing at the end
 */
public record Purge(double quiet, Funnel level, List<Missing> missing) {
  /** Keeps its own copy. */
  public Purge {
    missing = List.copyOf(missing);
  }

  /** What keeps a purge from its end. */
  public enum Missing implements Worded {
    NOT_HOT,
    NOT_STEADY,
    /** Bubbles came within the set time. */
    BUBBLES,
    /** The level moves by more than its uncertainty. */
    LEVEL_MOVES,
    /** Nobody looked for so long. */
    LOOK_LONGER,
    NO_CABIN_HEAT,
    NEEDLE_MOVES
  }

  /**
   * What is known besides the funnel.
   *
   * @param heated whether there is a cabin to heat
   * @param cabinHot whether it gets hot
   * @param needleSteady whether the needle stands
   */
  public record Told(boolean heated, boolean cabinHot, boolean needleSteady) {}

  /** How far it is. */
  public static Purge of(List<FunnelStep> steps, NeckLevel funnel, Told told) {
    List<FunnelStep> inOrder = steps.stream().sorted(Comparator.comparing(FunnelStep::at)).toList();
    List<FunnelStep> since = sinceTheLastBubble(inOrder);
    Funnel level = Funnel.of(since, funnel);
    List<Missing> missing = new ArrayList<>();
    double quiet = hotFor(since);
    if (hotFor(inOrder) <= 0 && level.says() == Says.NOT_HOT) {
      missing.add(Missing.NOT_HOT);
    } else if (quiet < Funnel.QUIET_MINUTES) {
      missing.add(lastBubble(inOrder).isPresent() ? Missing.BUBBLES : Missing.LOOK_LONGER);
    } else {
      level(level, missing);
    }
    if (told.heated() && !told.cabinHot()) {
      missing.add(Missing.NO_CABIN_HEAT);
    }
    if (!told.needleSteady()) {
      missing.add(Missing.NEEDLE_MOVES);
    }
    return new Purge(quiet, level, missing);
  }

  private static void level(Funnel level, List<Missing> missing) {
    switch (level.says()) {
      case QUIET -> {}
      case NOT_HOT -> missing.add(Missing.NOT_HOT);
      case NOT_STEADY -> missing.add(Missing.NOT_STEADY);
      case READ_AGAIN, TOO_SHORT -> missing.add(Missing.LOOK_LONGER);
      case AIR_LEAVING, GAS_ENTERING, GAS_COLLECTING, UNCLEAR -> missing.add(Missing.LEVEL_MOVES);
    }
  }

  /** Whether it is at its end. */
  public boolean ended() {
    return missing.isEmpty();
  }

  private static Optional<Instant> lastBubble(List<FunnelStep> steps) {
    return steps.stream()
        .filter(s -> s instanceof Bubbles || s instanceof Burst)
        .map(FunnelStep::at)
        .reduce((a, b) -> b);
  }

  /** What happened after the last bubble, and how warm it was when it came. */
  private static List<FunnelStep> sinceTheLastBubble(List<FunnelStep> steps) {
    Optional<Instant> last = lastBubble(steps);
    if (last.isEmpty()) {
      return steps;
    }
    List<FunnelStep> since = new ArrayList<>();
    steps.stream()
        .filter(s -> s instanceof Warmed && !s.at().isAfter(last.get()))
        .map(Warmed.class::cast)
        .reduce((a, b) -> b)
        .ifPresent(w -> since.add(new Warmed(last.get(), w.upper(), w.lower())));
    steps.stream().filter(s -> s.at().isAfter(last.get())).forEach(since::add);
    return since;
  }

  /** From when both hoses are hot without a break to the newest step (min). */
  private static double hotFor(List<FunnelStep> steps) {
    Optional<Instant> hot = Optional.empty();
    for (FunnelStep s : steps) {
      if (s instanceof Warmed w) {
        boolean now = Math.min(w.upper(), w.lower()) >= Funnel.HOT;
        hot = !now ? Optional.empty() : hot.isPresent() ? hot : Optional.of(w.at());
      }
    }
    return hot.map(h -> Duration.between(h, steps.get(steps.size() - 1).at()).toMillis() / 60_000.0)
        .orElse(0.0);
  }
}
