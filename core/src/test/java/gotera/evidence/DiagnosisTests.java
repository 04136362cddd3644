package gotera.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.evidence.Diagnosis.Found;
import gotera.evidence.Diagnosis.Look;
import gotera.evidence.Diagnosis.Rate;
import gotera.evidence.PlaceFacts.Acts;
import gotera.evidence.PlaceFacts.State;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class DiagnosisTests {
  private static final List<PlaceFacts> PLACES =
      List.of(
          new PlaceFacts("hose", 0.1, Acts.ALWAYS, 0.85, 0.7, 0.4, 0.05, 2, false),
          new PlaceFacts("radiator", 0.1, Acts.ALWAYS, 0.7, 0.6, 0.4, 0.05, 3, false),
          new PlaceFacts("shaft", 0.1, Acts.ROTATION, 0.4, 0.8, 0.2, 0.05, 2, false),
          new PlaceFacts("cylinder", 0.05, Acts.ALWAYS, 0.7, 0, 0, 0.02, 30, true));
  private static final SignFacts NEVER_SEEN =
      new SignFacts("never-on-the-ground", Map.of("cylinder", 0.85), 0.2);

  @Test
  void aFallOfPressureWithADryOutsideLeadsInside() {
    Diagnosis diagnosis =
        of(
            Set.of(),
            List.of(dry("hose"), dry("radiator"), dry("shaft")),
            Optional.of(new Rate(0.8, 0.05)));
    assertThat(diagnosis.suspects().get(0).place()).isEqualTo("cylinder");
    assertThat(diagnosis.suspects().get(0).reasons())
        .extracting(r -> r.finding().toString())
        .contains("never-on-the-ground");
    assertThat(diagnosis.next().get(0).check().label().toString()).isEqualTo("look:cylinder");
  }

  @Test
  void aTightColdTestLeavesWhatOnlyLeaksTurning() {
    Diagnosis diagnosis = of(Set.of(), List.of(dry("hose")), Optional.of(new Rate(0.0, 0.02)));
    assertThat(diagnosis.suspects().get(0).place()).isEqualTo("shaft");
  }

  @Test
  void whatIsFoundAndMeasuredIsNoSuspectAndTheRestDecides() {
    Diagnosis explained = of(Set.of("hose"), List.of(), Optional.of(new Rate(0.02, 0.05)));
    assertThat(explained.suspects()).extracting(Diagnosis.Suspect::place).doesNotContain("hose");
    double radiator = explained.posterior().marginal("radiator");
    Diagnosis another = of(Set.of("hose"), List.of(), Optional.of(new Rate(0.5, 0.05)));
    assertThat(another.posterior().marginal("radiator")).isGreaterThan(3 * radiator);
  }

  @Test
  void whatWasBehindAShutValveIsNeitherClearedNorBlamed() {
    Found open =
        new Found(Set.of(), List.of(dry("hose")), List.of(), Optional.of(new Rate(0.0, 0.02)));
    Found shut =
        new Found(
            open.explained(), open.looks(), open.signs(), open.rate(), List.of(), Set.of("hose"));
    double cleared = Diagnosis.of(PLACES, open).posterior().marginal("hose");
    double untouched = Diagnosis.of(PLACES, shut).posterior().marginal("hose");
    assertThat(cleared).isLessThan(0.02);
    assertThat(untouched).isCloseTo(0.1, org.assertj.core.api.Assertions.within(0.02));
  }

  @Test
  void findingsOfOtherChecksAreWeighedWithTheRest() {
    Finding glow = new Finding.AtPlace(new Label("glow", "radiator"), "radiator", true, 0.85, 0.03);
    Found found =
        new Found(Set.of(), List.of(), List.of(), Optional.empty(), List.of(glow), Set.of());
    Diagnosis.Suspect first = Diagnosis.of(PLACES, found).suspects().get(0);
    assertThat(first.place()).isEqualTo("radiator");
    assertThat(first.reasons()).extracting(r -> r.finding().toString()).contains("glow:radiator");
  }

  @Test
  void withoutATestMeasuringIsAmongTheChecks() {
    Diagnosis diagnosis = of(Set.of(), List.of(), Optional.empty());
    assertThat(diagnosis.next())
        .extracting(r -> r.check().label().toString())
        .contains("pressure-test", "look:hose");
    assertThat(diagnosis.next())
        .extracting(Check.Ranked::perMinute)
        .isSortedAccordingTo(java.util.Comparator.reverseOrder());
  }

  private static Look dry(String place) {
    return new Look(place, State.PRESSED, false);
  }

  private static Diagnosis of(Set<String> explained, List<Look> looks, Optional<Rate> rate) {
    return Diagnosis.of(PLACES, new Found(explained, looks, List.of(NEVER_SEEN), rate));
  }
}
