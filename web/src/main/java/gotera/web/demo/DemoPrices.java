package gotera.web.demo;

import gotera.decide.RepairKind;
import gotera.decide.Shop.Price;
import gotera.web.decide.PriceService;
import gotera.web.decide.PriceService.Rates;
import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;

/** The made-up workshop's prices. */
final class DemoPrices {
  private DemoPrices() {}

  static void put(PriceService prices) {
    prices.rates(new Rates(74, 0.4, 260, "EUR", 19));
    Map<RepairKind, Price> all = new EnumMap<>(RepairKind.class);
    all.put(RepairKind.CAP, price(17, 0));
    all.put(RepairKind.CLAMP, price(3.5, 0));
    all.put(RepairKind.HOSE, price(38, 1));
    all.put(RepairKind.RADIATOR, price(245, 3));
    all.put(RepairKind.DRAIN_TAP, price(6, 1));
    all.put(RepairKind.PUMP, price(128, 2));
    all.put(RepairKind.THERMOSTAT_HOUSING, price(54, 1));
    all.put(RepairKind.OUTLET_NECK, price(41, 2));
    all.put(RepairKind.TANK, price(66, 2));
    all.put(RepairKind.CORE_PLUG, price(5, 0));
    all.put(RepairKind.HEATER_CORE, price(150, 5));
    all.put(RepairKind.HEAD_GASKET, price(210, 4));
    prices.prices(all);
  }

  private static Price price(double parts, double days) {
    return new Price(OptionalDouble.of(parts), OptionalDouble.empty(), OptionalDouble.of(days), "");
  }
}
