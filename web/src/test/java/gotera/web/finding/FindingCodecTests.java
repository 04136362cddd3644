package gotera.web.finding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.said.Said;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Everything that can be said is written as the row that stored workshops hold, and read again. */
class FindingCodecTests {
  private static final Path GOLDEN = Path.of("src/test/resources/gotera/web/finding/rows.csv");

  /** A line of the golden file: the type of what was said, and its row. */
  record Golden(String type, Row row) {
    static Golden of(String line) {
      String[] cells = line.split(";", -1);
      return new Golden(
          cells[0],
          new Row(
              cells[1],
              cells[2],
              cells[3],
              measures(cells[4]),
              Set.copyOf(words(cells[5])),
              cells[6]));
    }

    private static List<String> words(String cell) {
      return cell.isEmpty() ? List.of() : Arrays.asList(cell.split(" "));
    }

    private static Measures measures(String cell) {
      Measures measures = Measures.NONE;
      List<Boolean> gates = new ArrayList<>();
      for (String one : words(cell)) {
        String[] pair = one.split("=");
        if (pair[0].equals("thermostat") || pair[0].equals("heater")) {
          gates.add(Boolean.valueOf(pair[1]));
        } else {
          measures = measures.and(Measure.valueOf(pair[0]), Double.parseDouble(pair[1]));
        }
      }
      return gates.isEmpty()
          ? measures
          : new Measures(
              measures.values(), Optional.of(new Measures.Gates(gates.get(0), gates.get(1))));
    }
  }

  static List<Golden> golden() {
    try (Stream<String> lines = Files.lines(GOLDEN)) {
      return lines.filter(l -> !l.startsWith("#")).map(Golden::of).toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @ParameterizedTest
  @MethodSource("golden")
  void aStoredRowSaysWhatItSaidAndIsWrittenTheSame(Golden golden) {
    Said said = FindingCodec.read(golden.row());
    assertThat(said.getClass().getSimpleName()).isEqualTo(golden.type());
    assertThat(FindingCodec.write(said)).isEqualTo(golden.row());
    assertThat(FindingCodec.read(FindingCodec.write(said))).isEqualTo(said);
  }

  @Test
  void everyTypeOfWhatCanBeSaidHasItsRows() {
    Set<String> seen =
        golden().stream()
            .map(g -> FindingCodec.read(g.row()).getClass().getName())
            .collect(Collectors.toSet());
    assertThat(leaves(Said.class)).hasSizeGreaterThan(50).isSubsetOf(seen);
  }

  @Test
  void everyWordOfEveryFormIsRead() {
    Set<String> known = new TreeSet<>();
    for (Form<?> form : FindingCodec.FORMS) {
      for (String word : form.saw()) {
        known.add(form.check() + " " + word);
        assertThat(
                FindingCodec.FORMS.stream()
                    .filter(f -> f.check().equals(form.check()) && f.saw().contains(word))
                    .map(f -> f.subject()))
            .as("told apart by their subject: %s %s", form.check(), word)
            .doesNotHaveDuplicates();
      }
    }
    assertThat(known).hasSizeGreaterThan(130);
  }

  /** Whatever a row says that no form says is nobody's default. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "safe;;soft-ish;;;",
        "safe;;temperature;;;",
        "safe;cap.neck;soft;;;",
        "dye;radiator.core;shimmers;;;",
        "dye;;glow;;;",
        "dye;matched;ran;MINUTES=3;;",
        "dye;perhaps;dosed;;;",
        "drip;engine-mount;lukewarm;;;",
        "drip;the-moon;cold;;;",
        "gas;;mauve;;;",
        "gas;;blue;;some-other-day;",
        "cylinder;0;wet;;;",
        "cylinder;third;wet;;;",
        "cylinder;;wet;;;",
        "fluid;ashtray;clean;;;",
        "funnel;;water;;;",
        "fill;;brim;;;",
        "chemistry;out;hybrid;;;",
        "chemistry;in;hybrid;;;a-dream",
        "tea-leaves;;dry;;;",
        ";;;;;"
      })
  void aRowThatSaysNothingKnownIsRefused(String row) {
    Golden unknown = Golden.of("?;" + row);
    assertThatThrownBy(() -> FindingCodec.read(unknown.row())).isInstanceOf(Row.Unknown.class);
  }

  /** The records that a sealed type can be, whatever lies between. */
  private static Set<String> leaves(Class<?> type) {
    Class<?>[] permitted = type.getPermittedSubclasses();
    return permitted == null
        ? Set.of(type.getName())
        : Arrays.stream(permitted)
            .flatMap(p -> leaves(p).stream())
            .collect(Collectors.toCollection(TreeSet::new));
  }
}
