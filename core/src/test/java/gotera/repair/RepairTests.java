package gotera.repair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitPresets;
import gotera.circuit.Fastening;
import gotera.repair.StripList.TakenOff;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Strip and refit, opened joints, rings, what comes out. */
class RepairTests {
  /** Whatever came off, turned round it is complete, and done only when all of it is back. */
  @Test
  void everyStripListTurnedRoundIsComplete() {
    Random random = new Random(5);
    for (int run = 0; run < 500; run++) {
      List<TakenOff> lines = new ArrayList<>();
      for (int i = random.nextInt(12); i > 0; i--) {
        int count = random.nextInt(9);
        int back = random.nextBoolean() ? count : random.nextInt(9);
        lines.add(new TakenOff("l" + i, "cover " + i, count, back, random.nextInt(4) > 0));
      }
      StripList list = new StripList(lines);
      assertThat(list.refit()).containsExactlyInAnyOrderElementsOf(lines);
      assertThat(new StripList(list.refit()).refit()).isEqualTo(lines);
      boolean all = lines.stream().allMatch(l -> l.refitted() && l.back() == l.fasteners());
      assertThat(list.complete()).isEqualTo(all);
      assertThat(list.open().stream().filter(TakenOff::refitted))
          .allSatisfy(l -> assertThat(l.missing()).isNotZero());
    }
  }

  @Test
  void aBoltTooManyStandsInTheWayLikeOneTooFew() {
    TakenOff over = new TakenOff("a", "shroud", 4, 5, true);
    assertThat(over.open()).isTrue();
    assertThat(over.missing()).isEqualTo(-1);
    assertThat(new TakenOff("a", "shroud", 4, 3, true).missing()).isEqualTo(1);
    assertThat(new TakenOff("a", "shroud", 4, 4, false).open()).isTrue();
    assertThat(new TakenOff("a", "hose", 0, 0, true).open()).isFalse();
    assertThatThrownBy(() -> new TakenOff("a", "shroud", -1, 0, true))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** Handbook practice (from memory): stretch up to 5 %, squeeze 15 to 30 % of the cord. */
  @ParameterizedTest
  @CsvSource({
    "30, 3.0, 30.9, 2.3, FITS",
    "31, 3.0, 30.9, 2.3, LOOSE",
    "29, 3.0, 30.9, 2.3, OVERSTRETCHED",
    "30, 3.0, 30.9, 2.6, TOO_THIN",
    "30, 3.0, 30.9, 2.0, TOO_THICK"
  })
  void ofTwoRingsAMillimetreApartTheTightOneFits(
      double ring, double cord, double groove, double depth, RingFit.Says says) {
    assertThat(RingFit.of(ring, cord, groove, depth).says()).isEqualTo(says);
  }

  @Test
  void stretchAndSqueezeAreSharesOfTheRing() {
    RingFit fit = RingFit.of(30, 3, 30.9, 2.3);
    assertThat(fit.stretch()).isCloseTo(0.03, within(1e-9));
    assertThat(fit.squeeze()).isCloseTo(0.2333, within(1e-4));
    assertThatThrownBy(() -> RingFit.of(0, 3, 30, 2)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void everyFasteningHasItsChecksAndItsSeal() {
    for (Fastening f : Fastening.values()) {
      assertThat(CraftCheck.of(f)).as(f.word()).contains(CraftCheck.NEW_AGAINST_OLD);
      assertThat(Seal.of(f)).isNotNull();
    }
    assertThat(Seal.of(Fastening.BOLTS)).isEqualTo(Seal.GASKET);
    assertThat(CraftCheck.of(Fastening.O_RING)).contains(CraftCheck.OLD_RING_OUT);
    assertThat(Cure.of(Fastening.BOLTS)).contains(Cure.GASKET_ADHESIVE);
    assertThat(Cure.of(Fastening.PRESSED_IN).orElseThrow().lasts()).hasHours(14);
    assertThat(Cure.of(Fastening.CLAMP)).isEmpty();
  }

  @Test
  void theDrainTapsRingIsPickedOutOfItsBore() {
    Circuit circuit = CircuitBuilder.of(CircuitPresets.USUAL);
    assertThat(Craft.of(circuit.joint("radiator.drain-tap").orElseThrow()).checks())
        .contains(CraftCheck.OLD_RING_OUT, CraftCheck.HAND_TIGHT)
        .doesNotContain(CraftCheck.NEW_WASHER);
    assertThat(Craft.of(circuit.joint("block.drain-plug").orElseThrow()).checks())
        .contains(CraftCheck.NEW_WASHER)
        .doesNotContain(CraftCheck.OLD_RING_OUT);
    assertThat(Cure.after(CraftCheck.PLUG_SEALED)).contains(Cure.PLUG_SEALANT);
    assertThat(Cure.after(CraftCheck.GASKET_HELD)).isEmpty();
  }

  /** Never more than is in, all of it accounted for, and the lower the opening the more. */
  @Test
  void whatComesNeverExceedsWhatIsIn() {
    for (CircuitPresets.Preset preset : CircuitPresets.all()) {
      Circuit circuit = CircuitBuilder.of(preset.features());
      double last = 0;
      double heightOfLast = 0;
      for (Joint j : circuit.joints()) {
        if (j.branch() == gotera.circuit.Branch.BATTERY) {
          continue;
        }
        Drain drain = Drain.at(circuit, 8000, j);
        assertThat(drain.comes()).as(j.code()).isBetween(0.0, 8000.0);
        assertThat(drain.comes() + drain.stays()).isCloseTo(8000, within(1e-6));
        boolean sameSide = j.branch() != gotera.circuit.Branch.ENGINE;
        if (sameSide && j.at().y() >= heightOfLast) {
          assertThat(drain.comes()).as(j.code()).isGreaterThanOrEqualTo(last - 1e-6);
          last = drain.comes();
          heightOfLast = j.at().y();
        }
      }
      assertThat(Drain.at(circuit, 0, circuit.joints().get(0)).comes()).isZero();
    }
  }

  @Test
  void aClampAtTheTopNeedsNoDrainAndTheDrainTapLeavesTheRest() {
    Circuit circuit = CircuitBuilder.of(CircuitPresets.USUAL);
    Joint upper = circuit.joint("upper-hose.radiator-end").orElseThrow();
    Joint tap = circuit.joint("radiator.drain-tap").orElseThrow();
    assertThat(Drain.at(circuit, 8000, upper).comes()).isLessThan(2000);
    assertThat(Drain.at(circuit, 8000, tap).comes()).isGreaterThan(5000);
  }

  /** No minute and no price is lost or counted twice, whatever the lines. */
  @Test
  void everyMinuteAndPriceStandsInOneSum() {
    Random random = new Random(8);
    for (int run = 0; run < 300; run++) {
      List<WorkSums.Item> items = new ArrayList<>();
      for (int i = random.nextInt(10); i > 0; i--) {
        items.add(
            new WorkSums.Item(
                random.nextBoolean(),
                random.nextBoolean(),
                random.nextInt(90),
                random.nextInt(500)));
      }
      WorkSums sums = WorkSums.of(items);
      assertThat(sums.needed().minutes() + sums.tools().minutes() + sums.needless().minutes())
          .isEqualTo(items.stream().mapToDouble(WorkSums.Item::minutes).sum());
      assertThat(sums.needed().price() + sums.tools().price() + sums.needless().price())
          .isEqualTo(items.stream().mapToDouble(WorkSums.Item::price).sum());
    }
  }

  /** However it is drained: the amounts and the rest are what was in, the highest place first. */
  @Test
  void whatComesAtTheDrainsAndWhatStaysIsWhatWasIn() {
    for (CircuitPresets.Preset preset : CircuitPresets.all()) {
      Circuit circuit = CircuitBuilder.of(preset.features());
      for (double liquid : new double[] {0, 900, 8000}) {
        DrainPlan plan = DrainPlan.of(circuit, liquid);
        double comes = plan.places().stream().mapToDouble(DrainPlan.Place::comes).sum();
        assertThat(comes + plan.stays()).as(preset.code()).isCloseTo(liquid, within(1e-6));
        assertThat(plan.stays()).isNotNegative();
        assertThat(plan.places()).isNotEmpty().allMatch(p -> p.comes() >= 0);
      }
    }
  }

  @Test
  void theTankIsDrawnEmptyBeforeTheRadiatorAndTheBlock() {
    Circuit tank =
        CircuitBuilder.of(CircuitPresets.of("diesel-along-rear-heater").orElseThrow().features());
    assertThat(DrainPlan.of(tank, 8000).places())
        .extracting(DrainPlan.Place::at)
        .containsExactly("cap.neck", "radiator.drain-tap", "block.drain-plug");
    assertThat(DrainPlan.of(tank, 8000).places()).allMatch(p -> p.comes() > 300);
    Circuit neck = CircuitBuilder.of(CircuitPresets.USUAL);
    assertThat(DrainPlan.of(neck, 8000).places())
        .extracting(DrainPlan.Place::at)
        .doesNotContain("tank.cap");
  }
}
