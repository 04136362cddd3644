package gotera.pressure.compliance;

import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;

/**
 * What trapped air and hoses give: the compliance of the system, C = C_h + V_g/(P − p_v).
 *
 * @param trappedAir gas at the start of the hold, under pressure, V_g
 * @param hose elastic compliance of hoses and plastic tanks, C_h (mL/kPa)
 * @param relativeUncertainty relative standard uncertainty of the total, r (1)
 * @param source how it is known
 */
public record AirAndHoses(
    Volume trappedAir, double hose, double relativeUncertainty, Source source) {
  /** How compliance is known. */
  public enum Source {
    /** By letting out, pushing in or pumping a known volume. */
    MEASURED("measured"),
    /** From the size of air gap and hoses; blind to trapped pockets. */
    GEOMETRY("geometry");

    private final String word;

    Source(String word) {
      this.word = word;
    }

    /** The word for it in files and messages. */
    public String word() {
      return word;
    }
  }

  /** Refuses what cannot be. */
  public AirAndHoses {
    if (trappedAir.millilitres() < 0 || !(hose >= 0) || !(relativeUncertainty >= 0)) {
      throw new IllegalArgumentException(
          "air " + trappedAir + ", hoses " + hose + " mL/kPa, r " + relativeUncertainty);
    }
    if (trappedAir.millilitres() == 0 && hose == 0) {
      throw new IllegalArgumentException("without air and hoses there is no compliance");
    }
  }

  /**
   * Gas that was there before anybody pumped: what is pumped in makes room by stretching the hoses,
   * V_g0 = V_g − C_h·p.
   *
   * @param gauge pressure that was pumped to from nothing
   * @return at least nothing, where hoses alone take more than is said to be there
   */
  public Volume beforePumping(GaugePressure gauge) {
    return new Volume(Math.max(0, trappedAir.millilitres() - hose * gauge.kilopascals()));
  }

  /**
   * Total compliance C (mL/kPa).
   *
   * @param dry pressure of the trapped air without its vapour, P − p_v, at the start of the hold
   */
  public double total(AbsolutePressure dry) {
    return hose + trappedAir.millilitres() / dry.kilopascals();
  }
}
