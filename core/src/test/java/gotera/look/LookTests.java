package gotera.look;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitPresets;
import gotera.circuit.DripSpot;
import gotera.circuit.DripTrace;
import gotera.evidence.Finding;
import gotera.look.WalkRound.Seen;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

class LookTests {
  @Test
  void dryEverywhereNeedsEveryPlace() {
    assertThat(WalkRound.of(25, Collections.nCopies(25, Seen.DRY)).dryEverywhere()).isTrue();
    assertThat(WalkRound.of(25, Collections.nCopies(24, Seen.DRY)).dryEverywhere()).isFalse();
    assertThat(WalkRound.of(2, List.of(Seen.DRY, Seen.HIDDEN)).dryEverywhere()).isFalse();
  }

  @Test
  void whatIsHiddenIsNotOpenAndWhatWasOnlyCleanedIs() {
    WalkRound round = WalkRound.of(5, List.of(Seen.HIDDEN, Seen.CLEANED, Seen.WET, Seen.STAINED));
    assertThat(round.open()).isEqualTo(2);
    assertThat(round.hidden()).isEqualTo(1);
    assertThat(round.wet()).isEqualTo(1);
    assertThat(round.stained()).isEqualTo(1);
  }

  @Test
  void aDripAccusesWhatCanFeedItAndTheNamelessInItsRegion() {
    DripTrace trace =
        DripTrace.of(CircuitBuilder.of(CircuitPresets.USUAL), DripSpot.CABIN_FLOOR, false);
    Finding.InRegion finding = (Finding.InRegion) DripFinding.of(trace);
    assertThat(finding.causes()).containsKeys("heater-core.tubes", "elsewhere.cabin").hasSize(2);
    assertThat(finding.seen()).isTrue();
  }
}
