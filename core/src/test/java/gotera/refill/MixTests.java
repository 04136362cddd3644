package gotera.refill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gotera.coolant.FreezingPoint;
import gotera.coolant.FreezingPoint.Glycol;
import gotera.refill.FillAccount.Entry;
import gotera.refill.FillAccount.Kind;
import gotera.refill.FillAccount.Moment;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MixTests {
  @Nested
  class Restoring {
    // 8 L at 35 %: checked by hand from D = V·(c_t − c)/(c_p − c)
    @Test
    void drainsWhatConcentrateMustReplace() {
      assertThat(Mix.restore(8, 0.35, 0.50, 1, 0).drain().orElseThrow())
          .isCloseTo(1.846, within(0.001));
    }

    @Test
    void drainsMoreWithPremix() {
      Mix.Restore restore = Mix.restore(8, 0.35, 0.45, 0.5, 2.5);
      assertThat(restore.drain().orElseThrow()).isCloseTo(5.333, within(0.001));
      assertThat(restore.highest()).isCloseTo(0.4531, within(0.0001));
      assertThat(Mix.restore(8, 0.35, 0.46, 0.5, 2.5).drain()).isEmpty();
    }

    @Test
    void drainsNothingWhereItIsStrongEnough() {
      assertThat(Mix.restore(8, 0.5, 0.4, 1, 0).drain()).contains(0.0);
    }

    @Test
    void reachesWhatWasWanted() {
      Random random = new Random(3);
      for (int i = 0; i < 500; i++) {
        double volume = 4 + 8 * random.nextDouble();
        double strength = 0.5 * random.nextDouble();
        double wanted = 0.6 * random.nextDouble();
        double poured = 0.5 + 0.5 * random.nextDouble();
        double rest = volume * random.nextDouble() / 2;
        Mix.restore(volume, strength, wanted, poured, rest)
            .drain()
            .filter(d -> d > 0)
            .ifPresent(
                d ->
                    assertThat(((volume - d) * strength + d * poured) / volume)
                        .isCloseTo(wanted, within(1e-9)));
      }
    }

    @Test
    void afterAFullDrainTheRestCounts() {
      Mix.Fill fill = Mix.fullDrain(8, 2.5, 0.35, 0.50).orElseThrow();
      assertThat(fill.concentrate()).isCloseTo(3.125, within(1e-9));
      assertThat(fill.water()).isCloseTo(2.375, within(1e-9));
      assertThat(Mix.fullDrain(8, 6, 0.6, 0.4)).isEmpty();
    }

    @Test
    void threeExchangesByWaterLeaveFortyTwoPerCent() {
      assertThat(Mix.diluted(1, 8, 2, 2, 2)).isCloseTo(0.421875, within(1e-12));
      assertThat(Mix.fresh(8, 0.5)).isEqualTo(new Mix.Fill(4, 4));
    }
  }

  @Nested
  class Freezing {
    // handbook tables and label practice, from memory
    @ParameterizedTest
    @CsvSource({
      "ETHYLENE,0,0",
      "ETHYLENE,0.33,-18",
      "ETHYLENE,0.5,-37",
      "ETHYLENE,0.6,-52",
      "PROPYLENE,0.3,-13",
      "PROPYLENE,0.5,-33"
    })
    void followsTheTables(Glycol glycol, double strength, double celsius) {
      assertThat(FreezingPoint.of(glycol, strength)).isCloseTo(celsius, within(1e-9));
    }

    @Test
    void theDiluteLimitIsRaoults() {
      // 1.86 K·kg/mol (cryoscopic constant of water, from memory)
      double strength = 0.03;
      double molality = strength * 1.1135 / 62.07 / ((1 - strength) * 0.9982) * 1000;
      assertThat(FreezingPoint.of(Glycol.ETHYLENE, strength))
          .isCloseTo(-1.86 * molality, within(0.15));
    }

    @Test
    void fallsWithStrengthAndReadsBack() {
      for (Glycol glycol : Glycol.values()) {
        double before = 1;
        for (double c = 0; c <= glycol.highest(); c += 0.01) {
          double celsius = FreezingPoint.of(glycol, c);
          assertThat(celsius).isLessThan(before);
          assertThat(FreezingPoint.strength(glycol, celsius)).isCloseTo(c, within(1e-9));
          before = celsius;
        }
      }
    }

    @Test
    void refusesWhatTheTablesDoNotReach() {
      assertThatThrownBy(() -> FreezingPoint.of(Glycol.ETHYLENE, 0.61))
          .isInstanceOf(IllegalArgumentException.class);
      assertThatThrownBy(() -> FreezingPoint.strength(Glycol.PROPYLENE, -40))
          .isInstanceOf(IllegalArgumentException.class);
    }
  }

  @Nested
  class AFillAccount {
    @Test
    void whatItTookToTheBrimHadBeenLost() {
      FillAccount account =
          FillAccount.of(8000, 0.5, List.of(new Entry(Kind.TO_THE_BRIM, 1900, 0)));
      assertThat(account.now().volume()).isCloseTo(8000, within(1e-9));
      assertThat(account.now().lost()).isCloseTo(1900, within(1e-9));
      // water in place of half-strength coolant: 50 % · (1 − 1.9/8)
      assertThat(account.now().strength()).isCloseTo(0.38125, within(1e-9));
    }

    @Test
    void whatWasDrawnBeforeIsNotLost() {
      FillAccount account =
          FillAccount.of(
              8000, 0.5, List.of(new Entry(Kind.OUT, 300, 0), new Entry(Kind.TO_THE_BRIM, 450, 0)));
      assertThat(account.now().lost()).isCloseTo(150, within(1e-9));
      assertThat(account.now().volume()).isCloseTo(8000, within(1e-9));
    }

    @RepeatedTest(50)
    void conservesVolumeAndGlycolWhateverHappens(RepetitionInfo repetition) {
      Random random = new Random(repetition.getCurrentRepetition());
      double full = 4000 + 8000 * random.nextDouble();
      double strength = 0.6 * random.nextDouble();
      List<Entry> entries = new ArrayList<>();
      for (int i = 0; i < 40; i++) {
        Kind kind = Kind.values()[random.nextInt(Kind.values().length)];
        entries.add(new Entry(kind, 2000 * random.nextDouble(), random.nextDouble()));
      }
      FillAccount account = FillAccount.of(full, strength, entries);
      double in = full;
      double glycolIn = full * strength;
      double out = 0;
      double glycolOut = 0;
      for (int i = 0; i < entries.size(); i++) {
        Entry e = entries.get(i);
        Moment before = account.moments().get(i);
        if (e.kind() == Kind.IN || e.kind() == Kind.TO_THE_BRIM) {
          in += e.millilitres();
          glycolIn += e.millilitres() * e.strength();
        } else if (e.kind() == Kind.IN_SAME) {
          in += e.millilitres();
          glycolIn += e.millilitres() * before.strength();
        } else if (e.kind() == Kind.MEASURED) {
          // what is measured moves the account: only the volume is kept
          glycolIn += account.moments().get(i + 1).glycol() - before.glycol();
          assertThat(account.moments().get(i + 1).volume()).isEqualTo(before.volume());
        } else {
          double gone = Math.min(e.millilitres(), before.volume());
          out += gone;
          glycolOut += gone * before.strength();
        }
      }
      Moment now = account.now();
      assertThat(now.volume() + now.lost() + out).isCloseTo(in, within(1e-6));
      assertThat(now.glycol() + now.lostGlycol() + glycolOut).isCloseTo(glycolIn, within(1e-6));
      assertThat(now.strength()).isBetween(0.0, 1.0);
      assertThat(now.volume()).isNotNegative();
    }
  }
}
