package gotera.pressure.law;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.coolant.CoolantMixture;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.Random;
import org.junit.jupiter.api.Test;

class AsCoolantTests {
  private static final AbsolutePressure SEA = AbsolutePressure.STANDARD_ATMOSPHERE;
  private static final CoolantMixture HALF = new CoolantMixture(0.5);
  private static final GaugePressure RATED = new GaugePressure(110);

  @Test
  void aFinePathPassesSomeOneHundredAndSixtyTimesAsMuchAir() {
    // by hand: 3.9 mPa·s, Poiseuille with P² − p_atm²
    Close.to("1/seep", 1 / AsCoolant.ofGas(1, RATED, SEA, HALF).seep(), 159, 1);
  }

  @Test
  void anOpeningIsChokedAndPassesByItsArea() {
    // by hand: 198.6 m/s of air, √(2·110000/1056) = 14.43 m/s of coolant
    Close.to("1/orifice", 1 / AsCoolant.ofGas(1, RATED, SEA, HALF).orifice(), 198.6 / 14.43, 0.05);
  }

  @Test
  void belowChokingAnOpeningPassesLessAirForItsCoolant() {
    double choked = AsCoolant.ofGas(1, new GaugePressure(100), SEA, HALF).orifice();
    double slow = AsCoolant.ofGas(1, new GaugePressure(20), SEA, HALF).orifice();
    // coolant slows with √p: √(20/100); air slows too, so the ratio falls by less
    assertThat(slow).isBetween(choked * Math.sqrt(0.2), choked);
  }

  @Test
  void aVacuumTellsTheSameAsPressureOfTheSamePath() {
    for (Random random : Seeds.of(20).toList()) {
      double coolant = Seeds.between(random, 0.05, 2);
      double perVolume = AsCoolant.ofGas(1, RATED, SEA, HALF).seep();
      double throughput = coolant / perVolume * (110 + 101.325); // kPa·mL/min at the rated pressure
      double p = 110 + 101.325;
      double a = 101.325;
      // the same path from the atmosphere into nothing: by its difference of squares
      double vacuum = throughput * a * a / (p * p - a * a) / 101.325;
      Close.to(
          "coolant (mL/min)", AsCoolant.ofVacuum(vacuum, RATED, SEA, HALF).seep(), coolant, 1e-9);
    }
  }

  @Test
  void anOpeningIntoAVacuumTakesInAirAtTheSpeedOfItsArea() {
    Close.to(
        "1/orifice", 1 / AsCoolant.ofVacuum(1, RATED, SEA, HALF).orifice(), 198.6 / 14.43, 0.05);
  }
}
