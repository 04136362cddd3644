package gotera.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.dial.Dial;
import gotera.dial.DialReading.Read;
import gotera.dial.Dials;
import gotera.dial.NeedleFinder;
import gotera.dial.Picture;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Trace;
import gotera.pressure.verdict.VerdictKind;
import gotera.simulation.StandInVehicle.Outcome;
import gotera.testkit.Seeds;
import gotera.testkit.dial.DrawnDial;
import gotera.testkit.dial.DrawnDial.Trouble;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A whole hold read from pictures of a drawn dial has the verdict of its true curve. */
class CameraHoldTests {
  private static VerdictKind verdict(Trace trace, double gasAtHold) {
    HoldConditions conditions =
        Holds.edited(
            Holds.conditions(gasAtHold, 1),
            e -> e.gauge = new Gauge(0.5, 0.4, OptionalDouble.empty(), 0.05, true));
    return new PressureTest(trace, conditions).analyse().verdict();
  }

  private static Trace filmed(Trace truth, int seed) {
    Random random = new Random(seed);
    DrawnDial drawn = new DrawnDial(random);
    Dial dial = Dials.touched(drawn, 0, 100, 200);
    Picture still = Dials.picture(drawn, 60, Trouble.NOTHING);
    NeedleFinder finder = new NeedleFinder(dial, still);
    Trace.Builder film = Trace.builder();
    for (int i = 0; i < truth.size(); i++) {
      // now and then somebody is in the way
      Trouble trouble = i % 9 == 4 ? Trouble.HAND : Trouble.NOTHING;
      if (finder.read(Dials.picture(drawn, truth.gauge(i), trouble)) instanceof Read read) {
        film.reading(truth.seconds(i), read.kilopascals(), truth.celsius(i));
      }
    }
    truth.events().forEach(film::event);
    return film.build();
  }

  @Test
  void aLeakIsALeak() {
    for (int seed = 1; seed <= Seeds.cases(1, 3); seed++) {
      Outcome hold = Holds.vehicle(4, 120).run(Holds.minutes(20, 15), new Random(seed));
      assertThat(verdict(hold.trace(), hold.gasAtHold())).isEqualTo(VerdictKind.LEAK);
      Trace film = filmed(hold.trace(), seed);
      assertThat(film.size()).isGreaterThan(hold.trace().size() * 3 / 4);
      assertThat(verdict(film, hold.gasAtHold())).isEqualTo(VerdictKind.LEAK);
    }
  }

  @Test
  void whatHoldsIsNoLeak() {
    for (int seed = 1; seed <= Seeds.cases(1, 3); seed++) {
      Outcome hold = Holds.vehicle(0, 120).run(Holds.minutes(20, 15), new Random(seed));
      VerdictKind truth = verdict(hold.trace(), hold.gasAtHold());
      assertThat(verdict(filmed(hold.trace(), seed), hold.gasAtHold())).isEqualTo(truth);
      assertThat(truth).isNotEqualTo(VerdictKind.LEAK);
    }
  }
}
