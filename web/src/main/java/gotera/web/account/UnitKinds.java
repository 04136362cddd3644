package gotera.web.account;

import gotera.quantity.PressureUnit;
import gotera.quantity.TemperatureUnit;
import gotera.quantity.Units;
import gotera.quantity.VolumeUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;

/** The units a person can choose, as the page of the account shows them. */
final class UnitKinds {
  private UnitKinds() {}

  /** A kind of quantity with its units. */
  record Kind(String name, String field, List<Unit> units) {}

  /** A unit to choose. */
  record Unit(String value, String text, boolean chosen) {}

  static List<Kind> of(Units now) {
    return List.of(
        kind("Pressure", "pressure", PressureUnit.values(), PressureUnit::symbol, now.pressure()),
        kind("Volume", "volume", VolumeUnit.values(), VolumeUnit::words, now.volume()),
        kind(
            "Temperature",
            "temperature",
            TemperatureUnit.values(),
            TemperatureUnit::symbol,
            now.temperature()));
  }

  private static <E extends Enum<E>> Kind kind(
      String name, String field, E[] values, Function<E, String> text, E now) {
    List<Unit> units = new ArrayList<>();
    for (E value : values) {
      units.add(new Unit(value.name().toLowerCase(Locale.ROOT), text.apply(value), value == now));
    }
    return new Kind(name, field, units);
  }
}
