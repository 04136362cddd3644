package gotera.suspects;

import gotera.word.Worded;
import java.util.List;

/**
 * A rule of the trade that applies to a job (the rules: common practice, no source).
 *
 * @param kind the rule
 * @param part the part it is about, as it was called; empty where it is about none
 * @param days how long ago that was renewed (d); 0 where nothing was
 * @param unmet words of the conditions that were not met, where a check does not count
 */
public record Flag(Kind kind, String part, double days, List<String> unmet) {
  /** Keeps its own copy. */
  public Flag {
    unmet = List.copyOf(unmet);
  }

  /** A rule without more. */
  static Flag of(Kind kind) {
    return new Flag(kind, "", 0, List.of());
  }

  /** A check that does not count, and why. */
  static Flag doesNotCount(Kind kind, List<String> unmet) {
    return new Flag(kind, "", 0, unmet);
  }

  /** How long ago in whole weeks. */
  public long weeksAgo() {
    return Math.round(days / 7);
  }

  /** As files write it. */
  public String word() {
    String about = unmet.isEmpty() ? part : String.join(",", unmet);
    return about.isEmpty() ? kind.word() : kind.word() + ":" + about;
  }

  /** The rules. */
  public enum Kind implements Worded {
    /** Pink froth: the vehicle is not driven any more. */
    STOP_DRIVING,
    /** Coolant in a cylinder: plugs out before the engine is turned. */
    HYDRAULIC_LOCK,
    /** What was drawn from a cylinder had gathered for weeks: only a second amount is a rate. */
    POOLED_FOR_WEEKS,
    /** The same part failed twice soon: a gas check comes before the third. */
    GAS_CHECK_FIRST,
    /** A gas check whose conditions failed says nothing, whatever the colour. */
    COMBUSTION_GAS_DOES_NOT_COUNT,
    /** Bubbles that were watched under the wrong conditions say nothing. */
    BUBBLES_DO_NOT_COUNT,
    /** Pressure cannot be built: stop pumping and look, at the pressure that it keeps. */
    GROSS_LEAK,
    /** The place was seen and the pressure let off: the site is known, the rate is not. */
    PLACE_SEEN_NOT_MEASURED,
    /** The places found do not explain the rate. */
    ANOTHER_LEAK,
    /** The pressure falls and everything outside is dry: inside. */
    FALLS_AND_DRY_OUTSIDE,
    /** The hold is steady, yet coolant is lost: heat, rotation, or parked. */
    STEADY_YET_LOST,
    /** More is lost than the leak found passes. */
    LOSS_EXCEEDS_LEAK,
    /** Looked at everywhere while it ran, and nothing found: dye. */
    NOTHING_FOUND,
    /** On loose ground no drip is seen. */
    GROUND_HIDES_DRIPS,
    /** Both hoses barely warm after long idling. */
    THERMOSTAT_STUCK_OPEN,
    /** Upper hose hot, lower far below: shut, blocked or air-locked. */
    THERMOSTAT_SHUT
  }
}
