package gotera.pressure.law;

import gotera.word.Worded;

/** How the rate of a leak follows the pressure that drives it. */
public enum LeakLaw implements Worded {
  /** Laminar flow through a fine path: q ∝ p (Poiseuille). */
  SEEP {
    @Override
    public double drive(double gauge) {
      return Math.max(0, gauge);
    }
  },
  /** Flow through a short opening: q ∝ √p (Torricelli). */
  ORIFICE {
    @Override
    public double drive(double gauge) {
      return Math.sqrt(Math.max(0, gauge));
    }
  };

  /**
   * What drives the leak, f(p).
   *
   * @param gauge gauge pressure (kPa); below zero nothing leaves
   * @return kPa for a seep, √kPa for an orifice; only ratios are used
   */
  public abstract double drive(double gauge);

  /** Rate at one gauge pressure as a share of the rate at another (1). */
  public double share(double gauge, double reference) {
    return drive(gauge) / drive(reference);
  }

  /**
   * How probable a law is after a curve.
   *
   * @param law the law
   * @param probability from 0 to 1
   */
  public record Weight(LeakLaw law, double probability) {}
}
