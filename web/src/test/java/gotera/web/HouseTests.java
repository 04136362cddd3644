package gotera.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import gotera.testkit.house.House;
import gotera.testkit.house.SourceFile;
import gotera.testkit.house.TradeNumbers;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The rules and numbers of the trade live in the core: here they are only asked for. */
class HouseTests {
  @Test
  void noNumberOfTheTradeStandsOutsideTheCore() {
    List<SourceFile> sources = new ArrayList<>(SourceFile.below(Path.of("src/main/java")));
    sources.addAll(SourceFile.below(Path.of("../formats/src/main/java")));
    assertThat(sources).as("the rule saw the sources").hasSizeGreaterThan(200);
    assertThat(TradeNumbers.in(sources)).isEmpty();
  }

  @Test
  void whatLiesBeyondTheAimsHasItsReason() throws IOException {
    List<String> modules = List.of("core", "formats", "drawing", "cli", "web", "testkit");
    Path root = Path.of("..").toRealPath();
    assertThat(House.unnamed(root, modules)).isEmpty();
    assertThat(House.idle(root, modules)).as("reasons for nothing").isEmpty();
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
        .haveSimpleNameNotContaining("JobFile")
        .and()
        .haveSimpleNameNotContaining("Printer")
        .and()
        .resideOutsideOfPackages("..chain..", "..archive..")
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
