package gotera.refill;

import gotera.pressure.compliance.AirAndHoses;

/**
 * The air that is left in a filled system, from a measured compliance: the gas of the hold, brought
 * to the pressure of the atmosphere, less the gap that belongs there.
 *
 * @param free all of the gas at the pressure of the atmosphere (mL)
 * @param trapped what does not belong there (mL), 0 or above
 * @param u standard uncertainty of both (mL)
 */
public record AirLeft(double free, double trapped, double u) {
  /**
   * From a hold whose air was measured.
   *
   * @param measured what air and hoses give; refused where it was not measured
   * @param gauge gauge pressure at the start of the hold (kPa), 0 or above
   * @param atmosphere pressure of the air (kPa), above the vapour
   * @param vapour pressure of the vapour in it (kPa), 0 or above
   * @param gap the gap that belongs there (mL), 0 or above
   */
  public static AirLeft of(
      AirAndHoses measured, double gauge, double atmosphere, double vapour, double gap) {
    if (measured.source() != AirAndHoses.Source.MEASURED
        || !(gauge >= 0 && vapour >= 0 && atmosphere > vapour && gap >= 0)) {
      throw new IllegalArgumentException("air left needs a measured compliance: " + measured);
    }
    double held = measured.trappedAir().millilitres();
    double dry = gauge + atmosphere - vapour;
    double grows = dry / (atmosphere - vapour);
    double free = held * grows;
    // what is not known of the compliance may all be of the air
    double total = measured.hose() + held / dry;
    double u = measured.relativeUncertainty() * total * dry * grows;
    return new AirLeft(free, Math.max(0, free - gap), u);
  }
}
