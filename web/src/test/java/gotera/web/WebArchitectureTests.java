package gotera.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaPackage;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import gotera.web.storage.Write;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.annotation.Transactional;

/** The layout of the application, and that these rules saw it. */
class WebArchitectureTests {
  private static final JavaClasses WEB =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("gotera.web");

  @Test
  void theRulesSawTheApplication() {
    assertThat(WEB).hasSizeGreaterThan(60);
    assertThat(WEB.contain("gotera.web.pressure.hold.PressureController")).isTrue();
  }

  @Test
  void featuresFormNoCycle() {
    slices().matching("gotera.web.(*)..").should().beFreeOfCycles().check(WEB);
    slices().matching("gotera.web.(**)").should().beFreeOfCycles().check(WEB);
  }

  @Test
  void controllersKnowNoDatabase() {
    noClasses()
        .that()
        .haveSimpleNameEndingWith("Controller")
        .should()
        .dependOnClassesThat()
        .haveSimpleNameEndingWith("Records")
        .check(WEB);
  }

  @Test
  void everyFeatureIsNullMarkedAndSaysWhatBelongsThere() throws IOException {
    for (JavaPackage p : WEB.getPackage("gotera.web").getSubpackagesInTree()) {
      assertThat(p.tryGetAnnotationOfType("org.jspecify.annotations.NullMarked"))
          .as(p.getName())
          .isPresent();
      assertThat(
              Files.readString(
                  Path.of("src/main/java", p.getName().replace('.', '/'), "package-info.java")))
          .contains("Not here:");
    }
  }

  @Test
  void templatesCarryNoScriptOrStyleOfTheirOwn() throws IOException {
    List<Path> templates;
    try (Stream<Path> files = Files.walk(Path.of("src/main/resources/templates"))) {
      templates = files.filter(f -> f.toString().endsWith(".html")).toList();
    }
    assertThat(templates).hasSizeGreaterThan(10);
    for (Path template : templates) {
      assertThat(Files.readString(template))
          .as(template.toString())
          .doesNotContain("style=\"")
          .doesNotContain("<style")
          .doesNotContainPattern("<script(?![^>]*src=)")
          .doesNotContainPattern("\\son[a-z]+=\"");
    }
  }

  /** A call within a class goes past what Spring puts around it: then nothing holds together. */
  @Test
  void whatIsWrittenIsWrittenInATransaction() {
    List<String> past =
        WEB.stream()
            .flatMap(c -> c.getMethodCallsFromSelf().stream())
            .filter(
                call ->
                    call.getOriginOwner().equals(call.getTargetOwner())
                        && call.getTarget()
                            .resolveMember()
                            .filter(m -> m.isAnnotatedWith(Write.class))
                            .isPresent()
                        && !call.getOrigin().isAnnotatedWith(Write.class)
                        && !call.getOrigin().isAnnotatedWith(Transactional.class))
            .map(Object::toString)
            .toList();
    assertThat(past).isEmpty();
  }

  /**
   * What is proven, and what takes it back, one class concludes; docs/standing.md names who asks.
   */
  @Test
  void theStandingIsConcludedOnce() throws IOException {
    assertThat(
            callers(
                "gotera.standing.Standing.of",
                "gotera.standing.LeaksTwice.of",
                "gotera.retest.CombinedProof.of",
                "gotera.retest.Showings.of"))
        .containsExactly("ProofService");
    String page = Files.readString(Path.of("../docs/standing.md"));
    assertThat(
            callers(
                "gotera.web.retest.ProofService.of",
                "gotera.web.retest.ProofService.twice",
                "gotera.web.job.TakenBack.by",
                "gotera.web.job.TakenBack.twice",
                "gotera.web.job.InTheWay.of",
                "gotera.web.retest.ProofPages.page"))
        .hasSizeGreaterThan(5)
        .allSatisfy(asks -> assertThat(page).contains("`" + asks + "`"));
  }

  /** Simple names of the classes that call one of some methods. */
  private static java.util.Set<String> callers(String... methods) {
    List<String> wanted = List.of(methods);
    return WEB.stream()
        .flatMap(c -> c.getMethodCallsFromSelf().stream())
        .filter(c -> wanted.contains(c.getTargetOwner().getName() + "." + c.getTarget().getName()))
        .map(c -> c.getOriginOwner().getSimpleName())
        .filter(name -> !name.isEmpty())
        .collect(java.util.stream.Collectors.toCollection(java.util.TreeSet::new));
  }
}
