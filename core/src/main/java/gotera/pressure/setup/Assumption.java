package gotera.pressure.setup;

import java.util.Arrays;
import java.util.Optional;

/** What a hold's description left out, so that a default stands for it. */
public enum Assumption {
  /** Highest pressure of the test: the rated one. */
  LIMIT("limit_kpa"),
  /** Pressure of the air: one standard atmosphere (ISO 2533:1975). */
  ATMOSPHERE("atmosphere_kpa"),
  /** Temperature of the room: {@link Usual#ROOM}. */
  AMBIENT("ambient_c"),
  /** Strength of the coolant: {@link Usual#STRENGTH}. */
  STRENGTH("strength"),
  /** The gauge: {@link Usual#GAUGE_STEP} and {@link Usual#GAUGE_REPEATABILITY}. */
  GAUGE("gauge"),
  /** Wander of its zero: {@link Usual#ZERO_DRIFT}. */
  ZERO_DRIFT("gauge.zero_drift_kpa"),
  /** No thermometer was read. */
  THERMOMETER("thermometer"),
  /** How long it stood: nothing is known. */
  SOAK("soak"),
  /** What the hoses give: {@link gotera.pressure.compliance.Geometry#USUAL_HOSE}. */
  HOSE("compliance.hose_ml_per_kpa"),
  /** How well it is known: {@link gotera.pressure.compliance.Geometry#RELATIVE_UNCERTAINTY}. */
  RELATIVE_UNCERTAINTY("compliance.relative_uncertainty"),
  /** The tester's own leak: none. */
  OWN_LEAK("own_leak_ml_per_min"),
  /** How well that is known: exactly. */
  OWN_LEAK_U("own_leak_u"),
  /** What the test is for: signing off. */
  PURPOSE("purpose"),
  /** End of pumping: when the valve was shut. */
  PUMPED_UNTIL("pumped_until_s"),
  /** Pressure before pumping: none. */
  PUMPED_FROM("pumped_from_kpa");

  private final String member;

  Assumption(String member) {
    this.member = member;
  }

  /** Path of the absent member, as files and stored verdicts name it. */
  public String member() {
    return member;
  }

  /** The one of a member. */
  public static Optional<Assumption> of(String member) {
    return Arrays.stream(values()).filter(a -> a.member.equals(member)).findFirst();
  }
}
