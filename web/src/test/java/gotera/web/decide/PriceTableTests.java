package gotera.web.decide;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.decide.RepairKind;
import gotera.decide.Shop.Price;
import gotera.testkit.Seeds;
import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PriceTableTests {
  private static final String HEADING = "kind,parts,hours,days\n";

  @Test
  void whatGoesOutComesInAgain() {
    Seeds.of(40)
        .forEach(
            random -> {
              Map<RepairKind, Price> prices = new EnumMap<>(RepairKind.class);
              for (RepairKind kind : RepairKind.values()) {
                prices.put(
                    kind,
                    new Price(
                        some(random),
                        some(random),
                        some(random),
                        random.nextBoolean() ? "" : "used, \"held\""));
              }
              PriceTable read = PriceTable.read(PriceTable.write(prices));
              assertThat(read.problems()).isEmpty();
              assertThat(read.prices()).isEqualTo(prices);
            });
  }

  private static OptionalDouble some(Random random) {
    return random.nextBoolean()
        ? OptionalDouble.empty()
        : OptionalDouble.of(Math.round(9000 * random.nextDouble()) / 100.0);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "kind\nclamp",
        "kind,parts\nclamp,3",
        HEADING + "clamps,1,1,1",
        HEADING + "clamp,-1,1,1",
        HEADING + "clamp,1e99,1,1",
        HEADING + "clamp,NaN,1,1",
        HEADING + "clamp,1 EUR,1,1",
        HEADING + "clamp,\"1,1,1",
        "kind,kind,parts,hours,days\nclamp,cap,1,1,1",
        "\u0000\u0001"
      })
  void whatCannotBeAPriceIsNamed(String text) {
    assertThat(PriceTable.read(text).problems()).isNotEmpty();
  }

  @Test
  void everyRowThatIsWrongIsNamedWithItsNumber() {
    PriceTable read = PriceTable.read(HEADING + "clamp,x,1,1\ncap,1,1,1\nnone,1,1,1\n");
    assertThat(read.problems()).extracting(PriceTable.Problem::row).containsExactly(2L, 4L);
  }

  @Test
  void anEmptyCellIsNotKnownAndOtherColumnsDoNotMatter() {
    PriceTable read = PriceTable.read("note,kind,parts,hours,days\nold,clamp,,0.3,\n");
    assertThat(read.problems()).isEmpty();
    Price clamp = read.prices().get(RepairKind.CLAMP);
    assertThat(clamp.parts()).isEmpty();
    assertThat(clamp.hours()).hasValue(0.3);
  }
}
