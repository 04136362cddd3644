package gotera.suspects;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitPresets;
import gotera.circuit.DripSpot;
import gotera.circuit.Editing;
import gotera.circuit.Fastening;
import gotera.circuit.Features;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class VocabularyTests {
  private final Vocabulary vocabulary = Vocabulary.published();

  @Test
  void knowsEveryJointThatIsDrawn() {
    for (Features features : everything()) {
      assertThat(CircuitBuilder.of(features).joints())
          .allSatisfy(j -> assertThat(vocabulary.place(j.code())).as(j.code()).isPresent());
    }
  }

  @Test
  void everyNumberIsAProbabilityAndEveryNameHasAStatus() {
    for (PlaceFacts p : vocabulary.places()) {
      assertThat(
              List.of(
                  p.prior(),
                  p.seen().pressed(),
                  p.seen().running(),
                  p.seen().parked(),
                  p.falseAlarm()))
          .as(p.place())
          .allMatch(x -> x >= 0 && x <= 1);
      assertThat(p.access().minutes()).as(p.place()).isPositive();
    }
    assertThat(vocabulary.entries())
        .hasSizeGreaterThan(vocabulary.places().size() + vocabulary.signs().size())
        .allSatisfy(e -> assertThat(e.status()).as(e.name()).isNotBlank());
  }

  @Test
  void everySignNamesOnlyPlacesThatExist() {
    for (RegionFacts sign : vocabulary.signs()) {
      assertThat(sign.causes()).as(sign.name()).isNotEmpty();
      assertThat(sign.causes().keySet())
          .as(sign.name())
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
    Assessment smell =
        Assessment.of(
            new Case(
                CircuitBuilder.of(CircuitPresets.USUAL),
                List.of(new Observation.Sign("sweet-smell-cabin")),
                false));
    assertThat(smell.suspects().get(0).place()).isEqualTo("heater-core.tubes");
    assertThat(smell.suspects())
        .extracting(Assessment.Suspect::place)
        .contains("upper-hose.housing-end");
  }

  @Test
  void theWordsAreThoseOfTheCircuit() {
    assertThat(vocabulary.words("spot"))
        .containsExactlyElementsOf(Stream.of(DripSpot.values()).map(DripSpot::word).toList());
    assertThat(vocabulary.words("feature"))
        .containsExactlyElementsOf(
            Stream.of(Features.Extra.values()).map(Features.Extra::word).toList());
    assertThat(vocabulary.words("check")).contains("look", "drip", "dye", "combustion-gas");
    assertThat(vocabulary.words("state")).contains("cold-pressure");
  }

  @Test
  void aJointThatTheShopAddedHasTheFactsOfOne() {
    Circuit with =
        Editing.apply(
                CircuitBuilder.of(CircuitPresets.USUAL),
                new CircuitEdit.AddJoint(
                    "added-1", "Sensor", "head", CircuitEdit.Spot.CENTRE, Fastening.SCREW))
            .circuit();
    assertThat(vocabulary.places(with)).extracting(PlaceFacts::place).contains("added-1");
  }

  @Test
  void whatIsElectricHasNothingInsideThatBurns() {
    Features electric = CircuitPresets.of("electric-two-loops").orElseThrow().features();
    assertThat(vocabulary.places(CircuitBuilder.of(electric))).noneMatch(PlaceFacts::inside);
  }

  /** Each preset, and each with every extra. */
  private static List<Features> everything() {
    List<Features> all = new ArrayList<>();
    for (CircuitPresets.Preset preset : CircuitPresets.all()) {
      Features f = preset.features();
      all.add(f);
      Set<Features.Extra> extras = EnumSet.allOf(Features.Extra.class);
      extras.remove(Features.Extra.NO_HEATER);
      all.add(new Features(f.drive(), f.fill(), f.engine(), f.orientation(), extras));
      extras.remove(Features.Extra.OUTLET_OVER_GEARBOX);
      all.add(new Features(f.drive(), f.fill(), f.engine(), f.orientation(), extras));
      extras.remove(Features.Extra.THERMOSTAT_AT_INLET);
      all.add(new Features(f.drive(), f.fill(), f.engine(), f.orientation(), extras));
    }
    return all;
  }

  private Set<String> causes(String sign) {
    return vocabulary.sign(sign).orElseThrow().causes().keySet();
  }
}
