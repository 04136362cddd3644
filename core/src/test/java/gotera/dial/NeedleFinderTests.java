package gotera.dial;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.dial.DialReading.Read;
import gotera.testkit.Seeds;
import gotera.testkit.dial.DrawnDial;
import gotera.testkit.dial.DrawnDial.Trouble;
import java.util.EnumMap;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Needles of drawn dials, a hundred here; ten thousand with {@code -Dgotera.dials=10000}. */
class NeedleFinderTests {
  private static final int FRAMES = Integer.getInteger("gotera.dials", Seeds.cases(100, 300));

  private record Seen(Trouble trouble, boolean read, double off, double u) {}

  private static Seen frame(int seed) {
    Random random = new Random(seed);
    DrawnDial dial = new DrawnDial(random);
    double truth = 3 + 194 * random.nextDouble();
    Trouble trouble = Trouble.values()[seed % Trouble.values().length];
    Dial touched = seed % 3 == 0 ? Dials.touched(dial, 0, 100, 200) : Dials.touched(dial, 0, 200);
    // when it was touched the needle stood somewhere, and the light was about the same
    Picture still = Dials.picture(dial, 200 * random.nextDouble(), Trouble.NOTHING);
    DialReading reading =
        new NeedleFinder(touched, still).read(Dials.picture(dial, truth, trouble));
    return reading instanceof Read read
        ? new Seen(trouble, true, Math.abs(read.kilopascals() - truth), read.u())
        : new Seen(trouble, false, 0, 0);
  }

  @Test
  void readsToAQuarterOfADivisionOrNotAtAll() {
    Map<Trouble, Integer> all = new EnumMap<>(Trouble.class);
    Map<Trouble, Integer> read = new EnumMap<>(Trouble.class);
    Map<Trouble, Integer> quarter = new EnumMap<>(Trouble.class);
    double worst = 0;
    int off = 0;
    int covered = 0;
    for (Seen s :
        IntStream.range(0, FRAMES).parallel().mapToObj(NeedleFinderTests::frame).toList()) {
      all.merge(s.trouble(), 1, Integer::sum);
      if (s.read()) {
        read.merge(s.trouble(), 1, Integer::sum);
        quarter.merge(s.trouble(), s.off() <= DrawnDial.DIVISION / 4 ? 1 : 0, Integer::sum);
        worst = Math.max(worst, s.off());
        off += s.off() >= DrawnDial.DIVISION ? 1 : 0;
        covered += s.off() <= 2 * s.u() ? 1 : 0;
      }
    }
    int reads = read.values().stream().mapToInt(i -> i).sum();
    int quarters = quarter.values().stream().mapToInt(i -> i).sum();
    System.out.printf(
        "dials: %s frames, read %s, within a quarter %s (%.1f %%), worst %.2f kPa, off by a division %d, within two u %.1f %%%n",
        all, read, quarter, 100.0 * quarters / reads, worst, off, 100.0 * covered / reads);
    assertThat(worst).as("off by a division, unsaid").isLessThan(DrawnDial.DIVISION);
    assertThat(quarters).isGreaterThanOrEqualTo((int) (0.95 * reads));
    assertThat(read.get(Trouble.NOTHING)).isGreaterThan(all.get(Trouble.NOTHING) * 9 / 10);
  }
}
