package gotera.refill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gotera.pressure.compliance.AirAndHoses;
import gotera.quantity.Volume;
import gotera.refill.FillAccount.Entry;
import gotera.refill.FillAccount.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Dilution, vacuum fill and whole bottles; worked by hand. */
class PouringTests {
  /** 9 L from 50 to 35 %: 9·ln(50/35) and 9·(1 − 35/50). */
  @Test
  void lossFromDilution() {
    Dilution lost = Dilution.of(9, 0.50, 0.35);
    assertThat(lost.bitByBit()).isCloseTo(3.210, within(0.0005));
    assertThat(lost.atOnce()).isCloseTo(2.700, within(0.0005));
    assertThat(Dilution.u(9, 0.5, 0.35, 0.02, 0.02)).isCloseTo(0.628, within(0.001));
    assertThatThrownBy(() -> Dilution.of(9, 0.35, 0.5))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** What is poured in again and again for what was lost dilutes as the logarithm says. */
  @Test
  void bitByBitIsTheLimitOfTheAccount() {
    List<Entry> entries = new ArrayList<>();
    for (int i = 0; i < 3210; i++) {
      entries.add(new Entry(Kind.OUT, 1, 0));
      entries.add(new Entry(Kind.IN, 1, 0));
    }
    assertThat(FillAccount.of(9000, 0.5, entries).now().strength()).isCloseTo(0.35, within(1e-3));
  }

  /** 8 L to 16.3 kPa with vapour of 1.8 under 101.325: 8·14.5/99.525. */
  @Test
  void aVacuumLeavesAir() {
    assertThat(VacuumFill.air(8, 16.3, 1.8, 101.325)).isCloseTo(1.166, within(0.0005));
    assertThat(VacuumFill.air(8, 1.5, 1.8, 101.325)).isZero();
    // the same absolute pressure leaves more where the air is thin: 8·14.5/82.76 at 1500 m
    assertThat(VacuumFill.air(8, 16.3, 1.8, 84.56)).isCloseTo(1.402, within(0.0005));
    assertThatThrownBy(() -> VacuumFill.air(8, 102, 1.8, 101.3))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /**
   * 199.8 mL at 110 kPa are 199.8·211.325/101.325 at the atmosphere; 300 mL of gap belong there.
   */
  @Test
  void theAirOfAHoldIsMoreAtTheAtmosphere() {
    AirAndHoses measured =
        new AirAndHoses(new Volume(199.8), 0.301, 0.05, AirAndHoses.Source.MEASURED);
    AirLeft left = AirLeft.of(measured, 110, 101.325, 0, 300);
    assertThat(left.free()).isCloseTo(416.7, within(0.1));
    assertThat(left.trapped()).isCloseTo(116.7, within(0.1));
    // 0.05 · (0.301 + 199.8/211.325) · 211.325 · 211.325/101.325
    assertThat(left.u()).isCloseTo(27.47, within(0.05));
    assertThat(AirLeft.of(measured, 110, 101.325, 0, 500).trapped()).isZero();
    AirAndHoses guessed =
        new AirAndHoses(new Volume(199.8), 0.301, 0.3, AirAndHoses.Source.GEOMETRY);
    assertThatThrownBy(() -> AirLeft.of(guessed, 110, 101.325, 0, 0))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** Whatever is in: a strength can be filled up to exactly where it lies within the reach. */
  @Test
  void fillingUpReachesWhatLiesBetweenWaterAndConcentrate() {
    Random random = new Random(4);
    for (int i = 0; i < 1000; i++) {
      double now = 8 * random.nextDouble();
      double strength = 0.6 * random.nextDouble();
      double wanted = random.nextDouble();
      Mix.Reach reach = Mix.reach(8, now, strength);
      boolean within = wanted >= reach.lowest() && wanted <= reach.highest();
      assertThat(Mix.fullDrain(8, now, strength, wanted).isPresent()).isEqualTo(within);
    }
  }

  /** Four litres of concentrate, all of it, in 8.5 L are 47 %. */
  @Test
  void wholeBottlesGiveTheirOwnStrength() {
    Bottles bottles = Bottles.of(3.9, 4, 8.5);
    assertThat(bottles.bottles()).isEqualTo(1);
    assertThat(bottles.strength()).isCloseTo(0.47, within(0.001));
    assertThat(bottles.over()).isCloseTo(0.1, within(1e-9));
    assertThat(Bottles.of(4, 4, 8).bottles()).isEqualTo(1);
    assertThat(Bottles.of(0, 4, 8).strength()).isZero();
    assertThat(Bottles.mixed(12, 0.5)).isEqualTo(6);
    assertThatThrownBy(() -> Bottles.of(1, 0, 8)).isInstanceOf(IllegalArgumentException.class);
  }

  /** In = out + lost + in the system, to the millilitre, whatever the order. */
  @Test
  void theAccountBalancesWhateverTheOrder() {
    Random random = new Random(9);
    for (int run = 0; run < 500; run++) {
      List<Entry> entries = new ArrayList<>();
      for (int i = 0; i < 12; i++) {
        Kind kind = Kind.values()[random.nextInt(Kind.values().length)];
        entries.add(new Entry(kind, 3000 * random.nextDouble(), random.nextDouble()));
      }
      FillAccount account = FillAccount.of(8000, 0.5, entries);
      double balance = 8000;
      for (int i = 0; i < entries.size(); i++) {
        Entry e = entries.get(i);
        FillAccount.Moment before = account.moments().get(i);
        FillAccount.Moment after = account.moments().get(i + 1);
        balance +=
            switch (e.kind()) {
              case IN, IN_SAME -> e.millilitres();
              case TO_THE_BRIM -> e.millilitres() - (after.lost() - before.lost());
              case OUT, DRAINED -> -Math.min(e.millilitres(), before.volume());
              case MEASURED -> 0;
            };
        assertThat(after.volume()).isCloseTo(balance, within(1e-6));
        assertThat(after.volume()).isNotNegative();
        assertThat(after.strength()).isBetween(0.0, 1.0 + 1e-9);
      }
    }
  }
}
