package gotera.web.demo;

import gotera.pressure.compliance.PlugCheck;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;
import gotera.web.equipment.EquipmentKind;
import gotera.web.equipment.EquipmentService;
import gotera.web.equipment.EquipmentView;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/** The made-up workshop's equipment. */
final class DemoEquipment {
  private DemoEquipment() {}

  static void put(EquipmentService equipment, String by) {
    LocalDate today = equipment.today();
    EquipmentView ramp =
        piece(EquipmentKind.TESTER, "Ramp tester", "needle", 1, 0.5, 250, 13, 85, 210, today);
    UUID id = equipment.put(ramp);
    equipment.check(
        id,
        new PlugCheck(
            new Volume(85),
            new GaugePressure(112),
            new GaugePressure(111.5),
            12,
            ramp.gauge(today)),
        by);
    equipment.put(
        piece(EquipmentKind.TESTER, "Valley tester", "digital", 0.1, 0.05, 300, 11, 70, -9, today));
    equipment.put(
        piece(
            EquipmentKind.THERMOMETER, "Surface probe", "digital", 0.1, 0.05, 0, 0, 0, 95, today));
    equipment.put(
        new EquipmentView(
            id,
            EquipmentKind.ADAPTER,
            "Adapter with the green ring",
            "needle",
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            Optional.empty(),
            OptionalDouble.empty(),
            OptionalDouble.of(12),
            "Fenn 20, Halde 31",
            false,
            Optional.empty(),
            0));
  }

  private static EquipmentView piece(
      EquipmentKind kind,
      String name,
      String mode,
      double step,
      double repeats,
      double range,
      double stroke,
      double air,
      int daysLeft,
      LocalDate today) {
    return new EquipmentView(
        new UUID(0, 0),
        kind,
        name,
        mode,
        OptionalDouble.of(step),
        OptionalDouble.of(repeats),
        OptionalDouble.empty(),
        positive(range),
        Optional.of(today.plusDays(daysLeft)),
        positive(stroke),
        positive(air),
        "",
        false,
        Optional.empty(),
        0);
  }

  private static OptionalDouble positive(double value) {
    return value > 0 ? OptionalDouble.of(value) : OptionalDouble.empty();
  }
}
