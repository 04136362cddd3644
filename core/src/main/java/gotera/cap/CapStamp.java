package gotera.cap;

import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.quantity.Typed;
import gotera.quantity.Understanding;
import gotera.quantity.Understanding.Ambiguous;
import gotera.quantity.Understanding.NotUnderstood;
import gotera.quantity.Understanding.Problem;
import gotera.quantity.Understanding.Understood;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Reads the rating stamped on a pressure cap.
 *
 * <p>Caps carry a bare number more often than not: {@code 18} is psi, {@code 1.2} bar, {@code 124}
 * kilopascals. A meaning is plausible when it lies within what caps are made for.
 */
public final class CapStamp {
  /**
   * Lowest rating a pressure cap is made for (kPa): 4 psi on old cars (common practice, no source).
   */
  public static final double LOWEST_RATING = 27;

  /**
   * Highest rating a pressure cap is made for (kPa), a little over 30 psi (common practice, no
   * source).
   */
  public static final double HIGHEST_RATING = 220;

  /**
   * Ratings that differ by no more than this (kPa) are one stamp, typed in two units (our
   * judgement, untested): a stamp of two digits in bar or psi is round to some kilopascals.
   */
  public static final double SAME_WITHIN = 3;

  private CapStamp() {}

  /** Whether two ratings are of one stamp. */
  public static boolean same(GaugePressure one, GaugePressure other) {
    return Math.abs(one.kilopascals() - other.kilopascals()) <= SAME_WITHIN;
  }

  /**
   * What the stamp can mean.
   *
   * @param text what is stamped, as typed
   * @param chosen the unit the person chose beside the field, if any
   * @return the rating; all plausible ones when the chosen unit makes no cap or no unit is known
   */
  public static Understanding<GaugePressure> read(String text, Optional<PressureUnit> chosen) {
    Understanding<GaugePressure> asTyped = Typed.pressure(text, chosen.orElse(PressureUnit.KPA));
    if (!(asTyped instanceof Understood<GaugePressure> typed)) {
      return asTyped;
    }
    boolean bare = Typed.number(text, "") instanceof Understood;
    if ((chosen.isPresent() || !bare) && plausible(typed.value())) {
      return asTyped;
    }
    if (!bare) {
      return new NotUnderstood<>(Problem.IMPLAUSIBLE);
    }
    List<GaugePressure> meanings = new ArrayList<>();
    for (PressureUnit unit : PressureUnit.values()) {
      if (unit.stamped()
          && Typed.pressure(text, unit) instanceof Understood<GaugePressure> u
          && plausible(u.value())) {
        meanings.add(u.value());
      }
    }
    if (meanings.isEmpty()) {
      return new NotUnderstood<>(Problem.IMPLAUSIBLE);
    }
    // a chosen unit that makes no cap was a slip of hand or eye: ask, even if only one meaning is
    // left
    return meanings.size() == 1 && chosen.isEmpty()
        ? new Understood<>(meanings.get(0))
        : new Ambiguous<>(meanings);
  }

  private static boolean plausible(GaugePressure rating) {
    return rating.kilopascals() >= LOWEST_RATING && rating.kilopascals() <= HIGHEST_RATING;
  }
}
