package gotera.web.words;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitPresets;
import gotera.circuit.Editing;
import gotera.circuit.Fastening;
import gotera.circuit.Features;
import gotera.circuit.Features.Drive;
import gotera.circuit.Features.Extra;
import gotera.circuit.Features.Fill;
import gotera.pressure.verdict.VerdictKind;
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
  void everyJointAndPartHasWords() {
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
    assertThat(TestWords.words().say(key, 0, 1, 2, 3, 4, 5, 6, 7, 8)).as(key).doesNotContain("{");
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
