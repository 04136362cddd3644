package gotera.quantity;

import java.util.Locale;

/**
 * The units somebody reads and types in.
 *
 * @param pressure of pressures
 * @param volume of a system's volumes
 * @param temperature of temperatures
 */
public record Units(PressureUnit pressure, VolumeUnit volume, TemperatureUnit temperature) {
  /** Where nobody chose. */
  public static final Units USUAL =
      new Units(PressureUnit.KPA, VolumeUnit.LITRE, TemperatureUnit.CELSIUS);

  /** The three as one word, as {@link #read} takes it. */
  public String word() {
    return (pressure.name() + "-" + volume.name() + "-" + temperature.name())
        .toLowerCase(Locale.ROOT);
  }

  /** The units a word means; the usual one for what is none. */
  public static Units read(String word) {
    String[] parts = word.toUpperCase(Locale.ROOT).split("-", 3);
    return new Units(
        one(PressureUnit.values(), parts, 0),
        one(VolumeUnit.values(), parts, 1),
        one(TemperatureUnit.values(), parts, 2));
  }

  private static <E extends Enum<E>> E one(E[] values, String[] parts, int i) {
    for (E value : values) {
      if (parts.length > i && value.name().equals(parts[i])) {
        return value;
      }
    }
    return values[0];
  }

  /** The same with another unit of pressure. */
  public Units with(PressureUnit other) {
    return new Units(other, volume, temperature);
  }
}
