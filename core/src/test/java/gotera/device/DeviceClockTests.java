package gotera.device;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.device.DeviceClock.Exchange;
import gotera.device.DeviceClock.Known;
import java.util.Random;
import org.junit.jupiter.api.Test;

class DeviceClockTests {
  /** A clock that began 5000 s behind and runs fast, over a network of changing delay. */
  private static final double AHEAD = -5000;

  private static double device(double ours, double drift) {
    return AHEAD + ours * (1 + drift);
  }

  private static Exchange exchange(double ours, double drift, Random random) {
    double out = 0.005 + 0.2 * random.nextDouble() * random.nextDouble();
    double back = 0.005 + 0.2 * random.nextDouble() * random.nextDouble();
    return new Exchange(
        device(ours, drift),
        ours + out,
        ours + out + 0.002,
        device(ours + out + 0.002 + back, drift));
  }

  @Test
  void isExactOverANetworkWithoutDelay() {
    DeviceClock clock = DeviceClock.UNKNOWN.heard(new Exchange(10, 1010, 1010, 10));
    assertThat(clock.known(10, 1010).offset()).isEqualTo(1000);
  }

  /** The example of RFC 5905's equations: 100 s behind, 3 s out and 1 s back: wrong by one. */
  @Test
  void isWrongByHalfTheDifferenceOfTheWays() {
    Exchange uneven = new Exchange(0, 103, 103, 4);
    assertThat(uneven.offset()).isEqualTo(101);
    assertThat(uneven.delay()).isEqualTo(4);
  }

  @Test
  void knowsOffsetAndDriftWithinWhatItSays() {
    int within = 0;
    int runs = 300;
    for (int run = 0; run < runs; run++) {
      Random random = new Random(run);
      double drift = 60e-6 * random.nextGaussian();
      DeviceClock clock = DeviceClock.UNKNOWN;
      for (double ours = 0; ours < 1800; ours += 2) {
        clock = clock.heard(exchange(ours, drift, random));
      }
      double at = device(1800, drift);
      Known known = clock.known(at, 1800);
      assertThat(known.offset() - (1800 - at)).isBetween(-0.02, 0.02);
      within += Math.abs(known.drift() + drift / (1 + drift)) <= 2 * known.driftU() ? 1 : 0;
    }
    assertThat(within).isGreaterThan(runs * 9 / 10);
  }

  /** However much is learned later, readings stay in order, and none goes far from its time. */
  @Test
  void placesInOrderAndNearTheTruth() {
    Random random = new Random(3);
    double drift = 8e-5;
    DeviceClock clock = DeviceClock.UNKNOWN;
    double reached = device(0, drift);
    double before = Double.NEGATIVE_INFINITY;
    for (double ours = 0; ours < 3600; ours += 1) {
      // the first message is slow, so that all begins half a second wrong
      double arrived = ours + (ours == 0 ? 0.5 : 0.01);
      clock = clock.placing(reached, device(ours, drift), arrived);
      for (double t = ours - 0.9; t <= ours; t += 0.1) {
        double placed = clock.ours(device(t, drift));
        assertThat(placed).isGreaterThan(before);
        before = placed;
        assertThat(placed - t).isBetween(-0.1, ours < 120 ? 0.6 : 0.1);
      }
      reached = device(ours, drift);
      clock = clock.heard(exchange(ours, drift, random));
    }
    assertThat(clock.stretches().size()).isLessThan(20);
    assertThat(clock.exchanges().size()).isLessThanOrEqualTo(24);
  }

  @Test
  void placesWhatComesTwiceWhereItWas() {
    DeviceClock clock = DeviceClock.UNKNOWN.placing(10, 10, 1010);
    double first = clock.ours(10);
    DeviceClock later = clock.heard(new Exchange(20, 1025, 1025, 20)).placing(20, 20, 1025);
    assertThat(later.ours(10)).isEqualTo(first);
  }

  @Test
  void takesNothingImpossible() {
    DeviceClock clock = DeviceClock.UNKNOWN;
    assertThat(clock.heard(new Exchange(10, 20, 19, 11))).isEqualTo(clock);
    assertThat(clock.heard(new Exchange(10, 20, 20, 9))).isEqualTo(clock);
    assertThat(clock.heard(new Exchange(10, 20, 25, 11))).isEqualTo(clock);
    assertThat(clock.heard(new Exchange(Double.NaN, 20, 25, 11))).isEqualTo(clock);
  }
}
