package gotera.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.device.Sequence.Range;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

class SequenceTests {
  @Test
  void saysWhatIsMissing() {
    Sequence some =
        Sequence.NONE.with(new Range(1, 5)).with(new Range(8, 8)).with(new Range(11, 12));
    assertThat(some.through()).isEqualTo(5);
    assertThat(some.highest()).isEqualTo(12);
    assertThat(some.gaps()).containsExactly(new Range(6, 7), new Range(9, 10));
    assertThat(some.text()).isEqualTo("1-5,8-8,11-12");
    assertThat(some.with(new Range(6, 10)).ranges()).containsExactly(new Range(1, 12));
    assertThat(Sequence.NONE.gaps()).isEmpty();
    assertThat(Sequence.NONE.with(new Range(3, 3)).through()).isZero();
  }

  /** Whatever comes in whatever order, it knows what a plain set knows. */
  @Test
  void isASetWhateverTheOrder() {
    Random random = new Random(5);
    for (int run = 0; run < 200; run++) {
      Sequence sequence = Sequence.NONE;
      Set<Long> plain = new TreeSet<>();
      for (int i = 0; i < 40; i++) {
        long from = 1 + random.nextInt(100);
        long to = from + random.nextInt(8);
        sequence = sequence.with(new Range(from, to));
        for (long n = from; n <= to; n++) {
          plain.add(n);
        }
        sequence = Sequence.read(sequence.text());
      }
      for (long n = 1; n <= 110; n++) {
        assertThat(sequence.has(n)).isEqualTo(plain.contains(n));
      }
      long known = sequence.ranges().stream().mapToLong(Range::size).sum();
      long missing = sequence.gaps().stream().mapToLong(Range::size).sum();
      assertThat(known).isEqualTo(plain.size());
      assertThat(known + missing).isEqualTo(sequence.highest());
    }
  }

  @Test
  void refusesWhatIsNone() {
    assertThatThrownBy(() -> Sequence.read("1-2;4")).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Range(0, 3)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Range(4, 3)).isInstanceOf(IllegalArgumentException.class);
  }
}
