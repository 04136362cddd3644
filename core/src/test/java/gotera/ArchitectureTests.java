package gotera;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaPackage;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The layout of the core, and that these rules saw it. */
class ArchitectureTests {
  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .withImportOption(location -> !location.contains("testkit"))
          .importPackages("gotera");

  @Test
  void theRulesSawTheCore() {
    assertThat(CORE).hasSizeGreaterThan(50);
    assertThat(CORE.contain("gotera.pressure.PressureTest")).isTrue();
    assertThat(CORE.contain("gotera.fitting.LinearPosterior")).isTrue();
  }

  @Test
  void foldersFormNoCycle() {
    slices().matching("gotera.(**)").should().beFreeOfCycles().check(CORE);
  }

  @Test
  void theCoreKnowsTheLanguageAndTwoFoldersKnowHipparchus() {
    classes()
        .should()
        .onlyDependOnClassesThat()
        .resideInAnyPackage(
            "gotera..",
            "java.lang..",
            "java.util..",
            "java.time..",
            "org.hipparchus..",
            "org.jspecify..")
        .allowEmptyShould(false)
        .check(CORE.that(areNot("gotera.suspects.Vocabulary")));
    noClasses()
        .that()
        .resideOutsideOfPackages("gotera.fitting..", "gotera.uncertainty..")
        .should()
        .dependOnClassesThat()
        .resideInAPackage("org.hipparchus..")
        .check(CORE);
  }

  /** One class reads the tables of numbers that ship beside it. */
  private static DescribedPredicate<JavaClass> areNot(String name) {
    return DescribedPredicate.describe("not " + name, c -> !c.getFullName().equals(name));
  }

  @Test
  void theStandInVehicleIsWrittenApartFromTheEstimator() {
    noClasses()
        .that()
        .resideInAPackage("gotera.simulation..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "gotera.pressure.law..",
            "gotera.pressure.compliance..",
            "gotera.coolant..",
            "gotera.fitting..")
        .check(CORE);
  }

  @Test
  void everyFolderIsNullMarked() {
    for (JavaPackage p : CORE.getPackage("gotera").getSubpackagesInTree()) {
      if (!p.getClasses().isEmpty()) {
        assertThat(p.tryGetAnnotationOfType("org.jspecify.annotations.NullMarked"))
            .as(p.getName())
            .isPresent();
      }
    }
  }
}
