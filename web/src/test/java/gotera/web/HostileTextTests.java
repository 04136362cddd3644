package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Text that would be a script, a formula or a picture elsewhere stays a text everywhere. */
@ExtendWith(Application.class)
class HostileTextTests {
  private static final String SCRIPT =
      "\"'><img src=x onerror=document.title='run'><script>document.title='run'</script>{{7*7}}";

  /** Pages of a job with forms, and what makes their other fields right. */
  private static final List<String> FORMS =
      List.of("intake", "cap", "find?joint=radiator.core", "repair", "pressure-test");

  @Test
  void aScriptInAnyTextFieldNeverRuns(Application.Running application) {
    try (Bench bench = Bench.of(application, "lead")) {
      bench.click("Start a test now");
      String job = bench.jobPath();
      for (String page : FORMS) {
        bench.open(job + "/" + page);
        fillEveryTextField(bench);
        harmless(bench, page + " as typed");
        submit(bench);
        harmless(bench, page + " sent back");
        if (page.equals("pressure-test")) {
          bench.open(job + "/" + page);
          bench.settled(() -> bench.page.getByText("Throw it away").click());
          bench.fill("Finest reading you can make", "0.5 kPa");
        }
        // what the page refused is left out, the rest is kept
        for (Locator wrong : bench.page.locator("#bench [aria-invalid=true]").all()) {
          wrong.fill(wrong.getAttribute("id").equals("stamp") ? "18 psi" : "");
        }
        submit(bench);
        harmless(bench, page + " kept");
      }
      bench.page.locator("#gauge").fill(SCRIPT);
      bench.click("Save reading");
      harmless(bench, "reading");
      bench.page.locator("summary").getByText("Curve from a file").click();
      bench.giveFile("<img src=x onerror=run>.csv", SCRIPT + "," + SCRIPT + "\n1,2\n");
      bench.click("Take it");
      bench.shows("#file-problem", "onerror");
      harmless(bench, "file");
      for (String page :
          List.of("history", "hand-over", "find", "repair", "intake", "cap", "inside")) {
        bench.open(job + "/" + page);
        harmless(bench, page);
      }
      assertThat(bench.text(".top-job")).as("kept as typed").isEqualTo(SCRIPT);
      bench.open("/");
      assertThat(bench.text(".jobs")).contains(SCRIPT);
      harmless(bench, "front");
      bench.open("/accounts");
      bench.fill("Name to sign in with", "hostile");
      bench.fill("Whose it is", SCRIPT);
      bench.page.locator("#password").fill("a long enough secret");
      bench.click("Make the account");
      assertThat(bench.text(".table")).contains(SCRIPT);
      harmless(bench, "accounts");
    }
  }

  @Test
  void aFormulaInAnyFieldIsATextInEveryTable(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.click("New job");
      bench.fill("Vehicle", "=HYPERLINK(\"http://elsewhere.example\")");
      bench.fill("Complaint, in the customer’s words", "@SUM(A1:A9)");
      bench.click("Begin the job");
      bench.step("Cap");
      String job = bench.jobPath();
      bench.open(job + "/find?joint=radiator.core");
      bench.fill("Note", "+cmd|' /C calc'!A0");
      bench.click("Wet");
      assertThat(table(bench, application.address() + job + "/places.csv"))
          .contains("'+cmd|' /C calc'!A0")
          .noneMatch(HostileTextTests::runsInASpreadsheet);
      assertThat(table(bench, application.address() + "/jobs.csv"))
          .contains("'=HYPERLINK(\"http://elsewhere.example\")", "'@SUM(A1:A9)")
          .noneMatch(HostileTextTests::runsInASpreadsheet);
    }
  }

  private static boolean runsInASpreadsheet(String cell) {
    return !cell.isEmpty() && "=+-@\t\r".indexOf(cell.charAt(0)) >= 0 && !cell.matches("-?[0-9.]+");
  }

  private static List<String> table(Bench bench, String address) {
    var answer = bench.page.request().get(address);
    assertThat(answer.headers().get("content-disposition")).startsWith("attachment");
    List<String> cells = new ArrayList<>();
    try (var parser =
        org.apache.commons.csv.CSVFormat.RFC4180.parse(new java.io.StringReader(answer.text()))) {
      parser.forEach(row -> row.forEach(cells::add));
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
    return cells;
  }

  private static void fillEveryTextField(Bench bench) {
    bench.page.evaluate("document.querySelectorAll('details').forEach(d => d.open = true)");
    for (Locator field :
        bench
            .page
            .locator("#bench input[type=text], #bench input:not([type]), #bench textarea")
            .all()) {
      field.fill(SCRIPT);
    }
  }

  private static void submit(Bench bench) {
    bench.settled(
        () ->
            bench
                .page
                .locator("#bench form[method=post] button:not([type=button]):not([formaction])")
                .last()
                .click());
  }

  private static void harmless(Bench bench, String where) {
    assertThat(bench.page.title()).as(where).isNotEqualTo("run");
    assertThat(bench.page.locator("img[src=x]").count()).as(where).isZero();
    assertThat(bench.page.content()).as(where).doesNotContain("<script>document");
  }
}
