package gotera.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.evidence.Evidence.AtPlace;
import gotera.testkit.Close;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** One track, one sighting. */
class TrackTests {
  private static final Label WET = new Named("wet");
  private static final Map<Mode, Double> SEES = Map.of(Mode.ALWAYS, 0.8);
  private static final Map<Mode, Double> ACTS = Map.of(Mode.ALWAYS, 1.0);

  private static AtPlace seen(boolean wet) {
    return new AtPlace(WET, "p", wet, SEES, Map.of("above", 0.5), ACTS, 0.04);
  }

  private static Track track(AtPlace... seen) {
    return new Track(WET, "p", ACTS, List.of(seen));
  }

  /** Alone it is what it is without a track, whatever leaks. */
  @Test
  void oneSightingIsItself() {
    for (boolean wet : new boolean[] {true, false}) {
      Close.to("nothing", track(seen(wet)).none(), seen(wet).none(), 1e-12);
      Close.to(
          "itself", track(seen(wet)).one("p", Mode.ALWAYS), seen(wet).one("p", Mode.ALWAYS), 1e-12);
      Close.to(
          "far off",
          track(seen(wet)).one("q", Mode.ALWAYS),
          seen(wet).one("q", Mode.ALWAYS),
          1e-12);
    }
  }

  /** All that can be seen of a place adds up to one, whatever leaks. */
  @Test
  void allThatCanBeSeenAddsUp() {
    for (String leaking : List.of("p", "above", "q")) {
      double sum = 0;
      double none = 0;
      for (int bits = 0; bits < 8; bits++) {
        Track t = track(seen((bits & 1) > 0), seen((bits & 2) > 0), seen((bits & 4) > 0));
        none += t.none();
        sum += leaking.equals("above") ? 0 : t.one(leaking, Mode.ALWAYS);
      }
      Close.to("nothing leaks", none, 1, 1e-9);
      if (!leaking.equals("above")) {
        Close.to(leaking, sum, 1, 1e-9);
      }
    }
  }

  /** A second sighting of the same wet says little more, and never less. */
  @Test
  void fiveSightingsSayLittleMoreThanOne() {
    AtPlace wet = seen(true);
    double one = track(wet).one("p", Mode.ALWAYS) / track(wet).none();
    Track five = track(wet, wet, wet, wet, wet);
    double all = five.one("p", Mode.ALWAYS) / five.none();
    assertThat(all).isGreaterThan(one).isLessThan(2 * one);
    assertThat(five.one("above", Mode.ALWAYS)).isGreaterThan(five.none());
    assertThatThrownBy(() -> track()).isInstanceOf(IllegalArgumentException.class);
  }
}
