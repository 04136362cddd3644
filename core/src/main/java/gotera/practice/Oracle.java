package gotera.practice;

import gotera.look.LookState;
import java.util.stream.DoubleStream;

/** Who knows what leaks, and makes only the cheapest check that shows it. */
final class Oracle {
  private static final double LOOK_AND_DRY = 5;

  private Oracle() {}

  /** Minutes for all leaks of a vehicle. */
  static double minutes(PracticeVehicle vehicle) {
    return vehicle.leaks().stream().mapToDouble(l -> one(vehicle, l)).sum();
  }

  private static double one(PracticeVehicle vehicle, HiddenLeak leak) {
    String place = leak.place();
    if (place.startsWith("inside.")) {
      return place.equals("inside.cylinder") ? 53 : 35;
    }
    if (PracticeVehicle.inside(place)) {
      return 2;
    }
    if (place.equals("cap.neck") || place.endsWith("tank.cap")) {
      return 8;
    }
    double uncover = PracticeBench.toUncover(vehicle, place);
    return DoubleStream.of(
            shows(leak, LookState.PRESSED) ? 8 + LOOK_AND_DRY + uncover : Double.MAX_VALUE,
            shows(leak, LookState.RUNNING) ? 15 + LOOK_AND_DRY + uncover : Double.MAX_VALUE,
            55)
        .min()
        .orElse(55);
  }

  private static boolean shows(HiddenLeak leak, LookState state) {
    return leak.rate() * PracticeVehicle.loses(leak, state) > 0.02;
  }
}
