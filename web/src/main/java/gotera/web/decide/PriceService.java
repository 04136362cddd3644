package gotera.web.decide;

import gotera.decide.RepairKind;
import gotera.decide.Shop;
import gotera.decide.Shop.Price;
import gotera.web.job.JobChanges;
import gotera.web.job.JobMemo;
import gotera.web.storage.Write;
import gotera.word.Worded;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.springframework.stereotype.Service;

/** The shop's own table of prices and hours. */
@Service
public class PriceService {
  private final ShopRecords shops;
  private final PriceRecords prices;
  private final JobChanges changes;
  private final JobMemo memo;

  PriceService(ShopRecords shops, PriceRecords prices, JobChanges changes, JobMemo memo) {
    this.changes = changes;
    this.memo = memo;
    this.shops = shops;
    this.prices = prices;
  }

  /**
   * What labour costs.
   *
   * @param hour an hour (currency)
   * @param retestHours a re-test (h)
   * @param comeBack a come-back (currency)
   * @param currency three letters
   * @param taxPercent tax on all of it (%)
   */
  public record Rates(
      double hour, double retestHours, double comeBack, String currency, double taxPercent) {}

  /** Without rates everything is reckoned in hours of labour. */
  static final Rates IN_HOURS = new Rates(1, Shop.RETEST_HOURS, Shop.COME_BACK_HOURS, "", 0);

  /** The shop's rates; in hours of labour while it has none. */
  public Rates rates() {
    return memo.shared("rates", this::readRates);
  }

  private Rates readRates() {
    return shops
        .findById(ShopRateRecord.ONLY)
        .map(r -> new Rates(r.hourPrice, r.retestHours, r.comeBackPrice, r.currency, r.taxPercent))
        .orElse(IN_HOURS);
  }

  /** The shop as the computation takes it; without rates parts count for nothing. */
  public Shop shop() {
    Rates rates = rates();
    Map<String, Price> known = new HashMap<>();
    records().forEach(p -> known.put(p.kind, hours(p.price(), rates)));
    return new Shop(rates.hour(), rates.retestHours(), rates.comeBack(), known);
  }

  private List<PriceRecord> records() {
    return memo.shared("prices", prices::findAll);
  }

  private static Price hours(Price price, Rates rates) {
    return rates.currency().isEmpty()
        ? new Price(OptionalDouble.empty(), price.hours(), price.days(), price.note())
        : price;
  }

  /** What is known of every kind. */
  public Map<RepairKind, Price> all() {
    Map<RepairKind, Price> all = new EnumMap<>(RepairKind.class);
    for (RepairKind kind : RepairKind.values()) {
      all.put(kind, Price.UNKNOWN);
    }
    records()
        .forEach(p -> Worded.of(RepairKind.class, p.kind).ifPresent(k -> all.put(k, p.price())));
    return all;
  }

  /** Sets the rates. */
  @Write
  public void rates(Rates rates) {
    ShopRateRecord record = shops.findById(ShopRateRecord.ONLY).orElseGet(ShopRateRecord::new);
    record.hourPrice = rates.hour();
    record.retestHours = rates.retestHours();
    record.comeBackPrice = rates.comeBack();
    record.currency = rates.currency();
    record.taxPercent = rates.taxPercent();
    shops.save(record);
    changes.countShared();
  }

  /** Sets the prices of some kinds; the others stay. */
  @Write
  public void prices(Map<RepairKind, Price> some) {
    some.forEach(
        (kind, price) -> {
          PriceRecord record =
              prices.findById(kind.word()).orElseGet(() -> new PriceRecord(kind.word()));
          record.set(price);
          prices.save(record);
        });
    changes.countShared();
  }
}
