package gotera.web.decide;

import gotera.decide.Shop.Price;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** What a kind of repair costs in this shop, in the database. */
@Entity
@Table(name = "repair_price")
class PriceRecord {
  @Id String kind;
  @Nullable Double partsPrice;
  @Nullable Double hours;
  @Nullable Double days;
  String note = "";
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected PriceRecord() {}

  PriceRecord(String kind) {
    this.kind = kind;
  }

  void set(Price price) {
    partsPrice = orNull(price.parts());
    hours = orNull(price.hours());
    days = orNull(price.days());
    note = price.note();
  }

  Price price() {
    return new Price(optional(partsPrice), optional(hours), optional(days), note);
  }

  private static OptionalDouble optional(@Nullable Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  private static @Nullable Double orNull(OptionalDouble value) {
    return value.isPresent() ? Double.valueOf(value.getAsDouble()) : null;
  }
}
