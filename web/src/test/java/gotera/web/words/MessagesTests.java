package gotera.web.words;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.cap.CapTest;
import gotera.cap.TestLimit;
import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitPresets;
import gotera.circuit.DripSpot;
import gotera.circuit.Editing;
import gotera.circuit.Fastening;
import gotera.circuit.Features;
import gotera.circuit.Features.Drive;
import gotera.circuit.Features.Extra;
import gotera.circuit.Features.Fill;
import gotera.decide.OpenPoints.Untested;
import gotera.look.Condition;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.MakerRule;
import gotera.pressure.verdict.Reason;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.Understanding.Problem;
import gotera.suspects.Flag;
import gotera.suspects.Meaning;
import gotera.suspects.Proposal;
import gotera.suspects.Vocabulary;
import gotera.timing.Wait;
import gotera.uncertainty.Contribution.Source;
import gotera.web.job.Step;
import gotera.web.job.StepReporter;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Properties;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Every code that can reach a page has words, and every word can be written. */
class MessagesTests {
  private final Properties messages = load();

  @Test
  void everyCodeOfTheCoreHasWords() {
    Stream.of(VerdictKind.values()).forEach(k -> has("verdict." + k.word() + ".short"));
    Stream.of(Reason.Code.values()).forEach(c -> has("reason." + c.word()));
    Stream.of(TraceEvent.Kind.values()).forEach(k -> has("event." + k.word()));
    Stream.of(MakerRule.Met.values()).forEach(m -> has("maker-rule." + m.word()));
    Stream.of(Purpose.values()).forEach(p -> has("purpose." + p.word()));
    Stream.of(TestLimit.Source.values()).forEach(s -> has("limit." + s.name()));
    Stream.of(AirAndHoses.Source.values()).forEach(s -> has("compliance." + s.word()));
    Stream.of(Problem.values()).forEach(p -> has("problem." + p.name().toLowerCase(Locale.ROOT)));
    for (Source source : Source.values()) {
      String word = source.name().toLowerCase(Locale.ROOT).replace('_', '-');
      has("source." + word);
      has("source." + word + ".advice");
    }
  }

  @Test
  void everyVerdictHasAHeadlineAndADetailWithAndWithoutARate() {
    for (VerdictKind kind : List.of(VerdictKind.LEAK, VerdictKind.TIGHT, VerdictKind.GROSS)) {
      has("verdict." + kind.word());
      has("verdict." + kind.word() + ".detail");
    }
    for (VerdictKind kind : List.of(VerdictKind.NOT_PROVEN, VerdictKind.NOT_COUNTED)) {
      has("verdict." + kind.word());
      has("verdict." + kind.word() + ".detail");
      has("verdict." + kind.word() + ".no-rate");
      has("verdict." + kind.word() + ".detail.no-rate");
    }
    has("verdict.stopped.no-rate");
    has("verdict.stopped.detail.no-rate");
  }

  @Test
  void everyStepJointAndPartHasWords() {
    Stream.of(StepReporter.State.values()).forEach(s -> has("state." + word(s)));
    for (Step step : Step.values()) {
      has("step." + step.word());
    }
    Set<Extra> extras = EnumSet.allOf(Extra.class);
    extras.remove(Extra.NO_HEATER);
    words(CircuitBuilder.of(with(Drive.PETROL, Fill.BOTH, extras)));
    words(CircuitBuilder.of(with(Drive.PETROL, Fill.NECK, Set.of(Extra.BYPASS_HOSE))));
    words(CircuitBuilder.of(with(Drive.ELECTRIC, Fill.TANK, Set.of())));
    CircuitPresets.all().forEach(p -> has("preset." + p.code()));
    CircuitPresets.all().forEach(p -> words(CircuitBuilder.of(p.features())));
  }

  private static Features with(Drive drive, Fill fill, Set<Extra> extras) {
    return new Features(drive, fill, Features.Engine.V, Features.Orientation.ALONG, extras);
  }

  private void words(Circuit circuit) {
    circuit
        .joints()
        .forEach(
            j -> {
              has("joint." + j.code());
              has("shows." + j.code());
            });
    circuit.parts().forEach(p -> has("part." + p.code()));
    circuit.lines().forEach(l -> has("part." + l.code()));
  }

  @Test
  void everythingAboutACircuitHasWords() {
    for (Fastening fastening : Fastening.values()) {
      has("fastening." + fastening.word());
      has("letting-go." + fastening.word());
    }
    for (Branch branch : Branch.values()) {
      has("branch." + branch.word());
      if (branch.canBeLoopedOff()) {
        has("joint.loop." + branch.word());
        has("shows.loop." + branch.word());
      }
    }
    Stream.of(Drive.values()).forEach(v -> has("drive." + v.word()));
    Stream.of(Fill.values()).forEach(v -> has("fill." + v.word()));
    Stream.of(Features.Engine.values()).forEach(v -> has("engine." + v.word()));
    Stream.of(Features.Orientation.values()).forEach(v -> has("orientation." + v.word()));
    Stream.of(Extra.values()).forEach(v -> has("extra." + v.word()));
    Stream.of(CircuitEdit.Spot.values()).forEach(v -> has("spot." + word(v)));
    Stream.of(CircuitEdit.Region.values()).forEach(v -> has("region." + word(v)));
    Stream.of(Editing.Problem.values()).forEach(v -> has("problem.edit-" + word(v)));
    Stream.of(DripSpot.values()).forEach(v -> has("drip-spot." + v.word()));
    Stream.of(Wait.Kind.values()).forEach(v -> has("wait." + v.word()));
    Stream.of(CapTest.Problem.values()).forEach(v -> has("cap-test." + word(v)));
  }

  @Test
  void everythingThatSpeaksForOrAgainstAPlaceHasWords() {
    Vocabulary vocabulary = Vocabulary.published();
    vocabulary.signs().forEach(s -> has("evidence." + s.name()));
    for (Condition condition : Condition.values()) {
      has("evidence." + condition.word());
      has("evidence." + condition.word() + ".here");
      has("condition." + condition.word());
    }
    Stream.of(
            "wet",
            "dry",
            "bead",
            "stays-dry",
            "stain",
            "damp-paper",
            "dry-paper",
            "glow",
            "no-glow")
        .forEach(
            k -> {
              has("evidence." + k);
              has("evidence." + k + ".here");
            });
    Stream.of(
            "drip",
            "gas",
            "no-gas",
            "gas-bubbles",
            "no-bubbles",
            "wet-cylinder",
            "dry-cylinders",
            "hiss-outward",
            "hiss-inward",
            "hiss-nothing",
            "oil-cap-emulsion",
            "oil-cap-clean",
            "dipstick-emulsion",
            "dipstick-clean",
            "pink-gearbox",
            "gearbox-clean",
            "pink-coolant",
            "oil-film",
            "coolant-clean",
            "hold-falls",
            "hold-steady",
            "hold-rest",
            "hold-explained",
            "hot-hold-falls",
            "hot-hold-steady",
            "level-falls",
            "level-stands",
            "more-is-lost",
            "lost-at-all")
        .forEach(k -> has("evidence." + k));
  }

  @Test
  void everyRuleAndProposalHasWords() {
    Stream.of(Flag.Kind.values()).forEach(k -> has("flag." + k.word()));
    Stream.of(Meaning.values()).forEach(m -> has("meaning." + m.word()));
    Stream.of(Untested.values()).forEach(u -> has("untested." + u.word()));
    Stream.of(Proposal.Why.values()).forEach(w -> has("evidence.why." + w.word()));
    Stream.of(Proposal.First.values()).forEach(f -> has("evidence.first." + f.word()));
    Stream.of(
            "repair",
            "look",
            "dry-and-look",
            "count-drops",
            "pressure-test",
            "dye",
            "combustion-gas",
            "bubbles",
            "cylinder",
            "cap-test",
            "fluid.dipstick",
            "fluid.coolant-surface",
            "fluid.gearbox")
        .forEach(k -> has("evidence.next." + k));
  }

  private static String word(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  @Test
  void everyKeyWrittenOutInTheCodeAndTheTemplatesHasWords() throws IOException {
    Pattern inCode = Pattern.compile("(?:say|add)\\([^\"]*\"([a-z-]+\\.[a-z.-]*[a-z])\"\\s*[,)]");
    int seen = 0;
    try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
      for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
        Matcher m = inCode.matcher(Files.readString(file));
        while (m.find()) {
          has(m.group(1));
          seen++;
        }
      }
    }
    assertThat(seen).as("keys seen in the code").isGreaterThan(30);
    Pattern inTemplates = Pattern.compile("#\\{([a-z0-9-]+(?:\\.[A-Za-z0-9-]+)+)[(}]");
    seen = 0;
    try (Stream<Path> files = Files.walk(Path.of("src/main/resources/templates"))) {
      for (Path file : files.filter(f -> f.toString().endsWith(".html")).toList()) {
        Matcher m = inTemplates.matcher(Files.readString(file));
        while (m.find()) {
          has(m.group(1));
          seen++;
        }
      }
    }
    assertThat(seen).as("keys seen in the templates").isPositive();
  }

  @Test
  void apostrophesAreTypographicSoThatNoBlankIsSwallowed() {
    messages.forEach((key, text) -> assertThat((String) text).as((String) key).doesNotContain("'"));
  }

  private void has(String key) {
    assertThat(messages.getProperty(key)).as(key).isNotBlank();
    assertThat(TestWords.words().say(key, 0, 1, 2, 3, 4, 5, 6)).as(key).doesNotContain("{");
  }

  private static Properties load() {
    Properties properties = new Properties();
    try (InputStream stream =
        Objects.requireNonNull(MessagesTests.class.getResourceAsStream("/messages.properties"))) {
      properties.load(new InputStreamReader(stream, StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
    return properties;
  }
}
