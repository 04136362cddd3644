package gotera.web.equipment;

import java.util.Arrays;
import java.util.List;

/** Kinds of equipment, and which of their properties there are. */
public enum EquipmentKind {
  /** Pump, gauge, hose and adapter in one. */
  TESTER("tester", true, true, true),
  /** A gauge by itself. */
  GAUGE("gauge", true, false, false),
  /** A pump by itself. */
  PUMP("pump", false, true, true),
  /** A thermometer. */
  THERMOMETER("thermometer", true, false, false),
  /** An adapter: which vehicles it fits. */
  ADAPTER("adapter", false, false, true);

  private final String word;
  private final boolean read;
  private final boolean pumps;
  private final boolean holdsAir;

  EquipmentKind(String word, boolean read, boolean pumps, boolean holdsAir) {
    this.word = word;
    this.read = read;
    this.pumps = pumps;
    this.holdsAir = holdsAir;
  }

  /** The word for it in the database, addresses and messages. */
  public String word() {
    return word;
  }

  /** Whether figures are read from it. */
  public boolean read() {
    return read;
  }

  /** Whether it shows pressures. */
  public boolean showsPressure() {
    return this == TESTER || this == GAUGE;
  }

  /** Whether it has strokes. */
  public boolean pumps() {
    return pumps;
  }

  /** Whether air in it belongs to the system tested. */
  public boolean holdsAir() {
    return holdsAir;
  }

  static List<String> words() {
    return Arrays.stream(values()).map(EquipmentKind::word).toList();
  }

  static EquipmentKind of(String word) {
    return Arrays.stream(values()).filter(k -> k.word.equals(word)).findFirst().orElseThrow();
  }
}
