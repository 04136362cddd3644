package gotera.web.decide;

import gotera.decide.Shop;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

/** What the shop charges for labour, in the database: one row. */
@Entity
@Table(name = "shop_rate")
class ShopRateRecord {
  static final int ONLY = 1;

  @Id int id = ONLY;
  double hourPrice;
  double retestHours = Shop.RETEST_HOURS;
  double comeBackPrice;
  String currency = "";
  double taxPercent;
  @Version @Nullable Integer version;
}
