package gotera.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import gotera.testkit.house.SourceFile;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The rules and numbers of the trade live in the core: here they are only asked for. */
class HouseTests {
  /** Zero, halves for rounding, and how units and time are counted. */
  private static final Set<Double> NO_NUMBERS_OF_THE_TRADE =
      Set.of(0.0, 0.5, 100.0, 1000.0, 60_000.0, 1e-9, 1e-6, 1e4, 1e9);

  /** Where figures are laid out, pictures squeezed, and the demonstration's data invented. */
  private static final List<String> ELSEWHERE = List.of("/demo/", "/figures/Figures", "/photo/");

  @Test
  void noNumberOfTheTradeStandsOutsideTheCore() {
    List<SourceFile> sources = new ArrayList<>(SourceFile.below(Path.of("src/main/java")));
    sources.addAll(SourceFile.below(Path.of("../formats/src/main/java")));
    assertThat(sources).as("the rule saw the sources").hasSizeGreaterThan(200);
    List<String> found = new ArrayList<>();
    for (SourceFile file : sources) {
      String path = file.path().toString().replace('\\', '/');
      if (ELSEWHERE.stream().noneMatch(path::contains)) {
        file.numbers().stream()
            .filter(n -> !NO_NUMBERS_OF_THE_TRADE.contains(n.value()))
            .forEach(n -> found.add(path + ":" + n.line() + " " + n.text()));
      }
    }
    assertThat(found).isEmpty();
  }

  @Test
  void noSourceNamesAJudgementOutsideTheCore() {
    assertThat(SourceFile.below(Path.of("src/main/java/gotera/web/pressure")))
        .as("guard: the room is there")
        .isNotEmpty();
    for (String room : List.of("pressure", "cap", "level", "fill", "dye", "look", "evidence")) {
      for (SourceFile file : SourceFile.below(Path.of("src/main/java/gotera/web", room))) {
        assertThat(file.path()).content().doesNotContain("our judgement");
      }
    }
  }

  @Test
  void formatsAreForWhatComesInAndGoesOut() {
    noClasses()
        .that()
        .haveSimpleNameNotContaining("TraceController")
        .and()
        .haveSimpleNameNotContaining("JobFileController")
        .and()
        .haveSimpleNameNotContaining("HoldText")
        .should()
        .dependOnClassesThat()
        .resideInAPackage("gotera.formats..")
        .check(
            new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("gotera.web"));
  }
}
