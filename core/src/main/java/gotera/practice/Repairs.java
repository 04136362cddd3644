package gotera.practice;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What a repair of a practice vehicle mends. */
final class Repairs {
  private static final List<String> WHOLE =
      List.of("radiator.", "pump.", "heater-core.", "outlet-neck.", "thermostat-housing.");

  private Repairs() {}

  /** The places that are as new once a place was repaired. */
  static Set<String> mended(String place, PracticeVehicle vehicle) {
    Set<String> mended = new HashSet<>(Set.of(place));
    boolean head = place.startsWith("inside.") || place.endsWith("head.gasket");
    if (head) {
      mended.addAll(
          List.of("inside.head-gasket", "inside.cylinder", "head.gasket", "second-head.gasket"));
    }
    vehicle.circuit.joints().stream()
        .map(j -> j.code())
        .filter(
            j ->
                WHOLE.stream().anyMatch(w -> place.startsWith(w) && j.startsWith(w))
                    && !j.endsWith("drain-tap"))
        .forEach(mended::add);
    return mended;
  }
}
