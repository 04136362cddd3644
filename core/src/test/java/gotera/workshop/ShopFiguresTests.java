package gotera.workshop;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.workshop.ShopFigures.Count;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ShopFiguresTests {
  private static final Instant DAY = Instant.parse("2026-01-01T08:00:00Z");

  private static Visit visit(String vehicle, int from, int to, boolean proven, String... joints) {
    return new Visit(
        vehicle,
        "3.4 V",
        DAY.plus(Duration.ofDays(from)),
        to < 0 ? Optional.empty() : Optional.of(DAY.plus(Duration.ofDays(to))),
        proven,
        List.of(joints));
  }

  @Test
  void nothingIsNothing() {
    ShopFigures none = ShopFigures.of(List.of());
    assertThat(none.daysToProof()).isEmpty();
    assertThat(none.byPlace()).isEmpty();
    assertThat(none.comeBacks() + none.repeats() + none.open() + none.closed()).isZero();
  }

  @Test
  void comeBacksAndRepeatsAreToldApart() {
    List<Visit> visits =
        new ArrayList<>(
            List.of(
                visit("Fenn 20", 0, 2, true, "pump.gasket", "pump.gasket"),
                visit("Fenn 20", 30, 34, true, "radiator.core"), // back, elsewhere
                visit("Fenn 20", 300, 301, false, "pump.gasket"), // the same again, much later
                visit("Corrie 12", 40, -1, false),
                visit("Halde 31", 0, 6, true, "pump.gasket"),
                visit("Halde 31", 96, -1, false))); // 90 days later to the hour: not back
    Collections.shuffle(visits, new Random(1));
    ShopFigures f = ShopFigures.of(visits);
    assertThat(f.open()).isEqualTo(2);
    assertThat(f.closed()).isEqualTo(4);
    assertThat(f.repaired()).isEqualTo(4);
    assertThat(f.proven()).isEqualTo(3);
    assertThat(f.comeBacks()).isEqualTo(1);
    assertThat(f.repeats()).isEqualTo(1);
    assertThat(f.daysToProof()).hasValue(4);
    assertThat(f.byPlace()).first().isEqualTo(new Count("pump.gasket", 3));
    assertThat(f.byType()).containsExactly(new Count("3.4 V", 4));
  }
}
