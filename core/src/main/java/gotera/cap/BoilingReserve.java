package gotera.cap;

import gotera.coolant.BoilingPoint;
import gotera.coolant.CoolantMixture;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;

/**
 * How far coolant under a cap is from boiling while the engine is as hot as it gets.
 *
 * @param boils where it boils (°C)
 * @param reserve how far that is above the hottest an engine in order runs (K); below zero it boils
 */
public record BoilingReserve(double boils, double reserve) {
  /** Hottest an engine in order runs (°C) (our judgement, untested; the maker's figure first). */
  public static final double HOTTEST = 105;

  /** Under a cap that keeps this pressure, in this air. */
  public static BoilingReserve under(
      GaugePressure kept, AbsolutePressure air, CoolantMixture coolant) {
    double boils = BoilingPoint.of(coolant, kept.above(air)).celsius();
    return new BoilingReserve(boils, boils - HOTTEST);
  }
}
