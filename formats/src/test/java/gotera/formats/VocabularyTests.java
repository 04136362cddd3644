package gotera.formats;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.CircuitPresets;
import gotera.evidence.Diagnosis;
import gotera.evidence.PlaceFacts;
import gotera.evidence.SignFacts;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class VocabularyTests {
  private final Vocabulary vocabulary = Vocabulary.published();

  @Test
  void knowsEveryJointThatIsDrawn() {
    assertThat(CircuitPresets.inlineAcrossCapOnRadiator().joints())
        .allSatisfy(j -> assertThat(vocabulary.place(j.code())).as(j.code()).isPresent());
  }

  @Test
  void everyNumberIsAProbabilityAndEveryNameHasAStatus() {
    for (PlaceFacts p : vocabulary.places()) {
      assertThat(
              List.of(p.prior(), p.seenPressed(), p.seenRunning(), p.seenParked(), p.falseAlarm()))
          .as(p.place())
          .allMatch(x -> x >= 0 && x <= 1);
      assertThat(p.minutes()).as(p.place()).isPositive();
    }
    assertThat(vocabulary.entries())
        .hasSize(vocabulary.places().size() + vocabulary.signs().size())
        .allSatisfy(e -> assertThat(e.status()).as(e.name()).isNotBlank());
  }

  @Test
  void everySignNamesOnlyPlacesThatExist() {
    for (SignFacts sign : vocabulary.signs()) {
      assertThat(sign.causes()).as(sign.sign()).isNotEmpty();
      assertThat(sign.causes().keySet())
          .as(sign.sign())
          .allSatisfy(place -> assertThat(vocabulary.place(place)).as(place).isPresent());
    }
  }

  @Test
  void outsideLeavesTheInsideOutAndAnyDoesNot() {
    assertThat(causes("puddle-overnight")).doesNotContain("inside.cylinder");
    assertThat(causes("loss-after-drive")).contains("inside.cylinder", "radiator.core");
  }

  @Test
  void aSmellInTheCabinRanksTheHeaterCoreAndTheTopHose() {
    Diagnosis diagnosis =
        Diagnosis.of(
            vocabulary.places(),
            new Diagnosis.Found(
                Set.of(),
                List.of(),
                List.of(vocabulary.sign("sweet-smell-cabin").orElseThrow()),
                Optional.empty()));
    assertThat(diagnosis.suspects().get(0).place()).isEqualTo("heater-core.tubes");
    assertThat(diagnosis.suspects())
        .extracting(Diagnosis.Suspect::place)
        .contains("upper-hose.housing-end");
  }

  private Set<String> causes(String sign) {
    return vocabulary.sign(sign).orElseThrow().causes().keySet();
  }
}
