package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.Bench.Hand;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Deciding, in the browser: ways by expected cost, the customer's sheet, its link. */
@ExtendWith(Application.class)
class DecideTests {

  private static void clampAtFault(Bench bench, String vehicle) {
    bench.job(vehicle, "Wet under the front");
    bench.beads("lower-hose.radiator-end");
    bench.unfold("Hose, clamp or bearing");
    bench.click("Clamp rusted");
    bench.shows("#felt", "Clamp rusted");
  }

  /** Five complaints on one sheet: each its own line, two accepted, one refused, one put off. */
  @Test
  void everyLineOfTheSheetIsItsOwnDecision(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      clampAtFault(bench, "Brenka sheet");
      bench.step("Decide");
      bench.shows(".claim", "Lower hose, radiator end");
      bench.shows(".claim", "first bead came here");
      bench.shows(".claim", "Not tested:");
      bench.shows(".way-best", "New clamp: Lower hose, radiator end");
      bench.shows(".way-best", "EUR");
      bench.shows(".way-best", "ends after");
      bench.settled(() -> bench.use(bench.page.locator(".way-best button")));
      bench.settled(() -> bench.use(bench.page.locator(".way-row button").nth(1)));
      for (String other :
          List.of("Squeak from the belt side", "Wiper torn", "Door sticks", "Lamp dim")) {
        bench.fill("Another complaint or work", other);
        bench.fill("Price", "30");
        bench.click("Put it on the sheet");
        bench.shows("#quote", other);
      }
      bench.counts("#quote > li", 6);
      bench.shows(".rail", "6 open on the sheet");
      bench.click("Yes: Squeak");
      bench.shows(".field-wrong", "the name of who decides");
      decide(bench, "Squeak from the belt side", "Yes", "");
      decide(bench, "Wiper torn", "No", "");
      decide(bench, "Door sticks", "Later", LocalDate.now().plusDays(20).toString());
      bench.shows("#quote", "put off to " + LocalDate.now().plusDays(20));
      decide(bench, "New clamp: Lower hose, radiator end", "Yes", "");
      assertThat(bench.page.locator("#quote li:has-text('refused')").count())
          .as("the other way, and the wiper")
          .isEqualTo(2);
      bench.shows(".rail", "1 open on the sheet");
      bench.click("Open again: Wiper");
      bench.shows(".rail", "2 open on the sheet");
      bench.click("Off the sheet: Lamp");
      bench.counts("#quote > li", 5);
      bench.open(bench.jobPath() + "/history");
      bench.shows("main", "Sheet: Squeak from the belt side: accepted");
      bench.step("Hand over");
      bench.shows("#open-points", "Door sticks: put off to");
      bench.shows("#open-points", "not decided: Wiper torn");
      bench.choose("customer-decides");
      bench.click("Close the job");
      bench.open("/jobs/closed");
      bench.shows("main", "Brenka sheet");
    }
  }

  private static void decide(Bench bench, String line, String how, String day) {
    var row = bench.page.locator("#quote > li:has-text('" + line + "')").first();
    row.locator("input[name=name]").fill("A. Fleet");
    if (!day.isEmpty()) {
      row.locator("input[name=until]").fill(day);
    }
    bench.settled(() -> bench.use(row.locator("button:text-is('" + how + "')")));
  }

  /** The customer decides by the link alone, sees nothing else, and may change their mind. */
  @Test
  void aCustomerDecidesByLink(Application.Running application) {
    Http desk = Http.signedIn(application.address(), "desk", Application.PASSWORD);
    Http technician = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String job = desk.job("Fenn 20");
    technician.get(job + "/decide");
    technician.post(job + "/quote/lines", Map.of("what", "A squeak", "price", "30"));
    desk.get(job + "/decide");
    desk.post(job + "/quote/links", Map.of());
    String link = desk.get(job + "/decide").find("(/quote/[A-Za-z0-9_-]{30,})");
    Http customer = new Http(application.address());
    Http.Answer page = customer.get(link);
    assertThat(page.status()).isEqualTo(200);
    assertThat(page.text()).contains("Fenn 20", "A squeak", "30").doesNotContain("/jobs/");
    assertThat(page.header("Cache-Control")).isEqualTo("no-store");
    String line = page.find("name=\"line\" value=\"([0-9a-f-]{36})\"");
    Http.Answer nameless = customer.post(link, Map.of("line", line, "decision", "accepted"));
    assertThat(nameless.status()).isEqualTo(422);
    assertThat(nameless.text()).contains("Please give the name");
    Map<String, String> yes = Map.of("line", line, "decision", "accepted", "name", "B. Driver");
    assertThat(customer.post(link, yes).status()).isEqualTo(302);
    assertThat(desk.get(job + "/decide").text()).contains("B. Driver");
    Map<String, String> no = Map.of("line", line, "decision", "refused", "name", "B. Driver");
    customer.post(link, no);
    assertThat(customer.get(link).text()).contains("refused");
    assertThat(
            customer.post(link, Map.of("line", "x", "decision", "accepted", "name", "B")).status())
        .isEqualTo(404);
    String report = link.replace("/quote/", "/report/");
    assertThat(customer.get(report).status()).as("no report by it").isEqualTo(404);
    String withdraw =
        desk.get(job + "/decide").find("action=\"(/jobs/[^\"]+/quote/links/[^\"]+)\"");
    desk.post(withdraw, Map.of());
    assertThat(customer.get(link).status()).as("withdrawn").isEqualTo(404);
    assertThat(customer.post(link, yes).status()).as("withdrawn").isEqualTo(404);
  }

  /** The table comes out and goes in; with a mistake in it nothing goes in. */
  @Test
  void pricesGoInAsATableOrNotAtAll(Application.Running application) {
    Http lead = Http.signedIn(application.address(), "lead", Application.PASSWORD);
    String before = lead.get("/prices.csv").text();
    assertThat(before).startsWith("kind,parts,hours,days").contains("clamp,3.5,,0");
    lead.get("/prices");
    String wrong = "kind,parts,hours,days\nclamp,cheap,0.2,1\nclamps,4,0.2,1\n";
    Http.Answer refused = lead.post("/prices/table", Map.of("table", wrong));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.text()).contains("row 2: parts cheap", "row 3: clamps", "clamp,cheap");
    assertThat(lead.get("/prices.csv").text()).isEqualTo(before);
    lead.post("/prices/table", Map.of("table", "kind,parts,hours,days\nsensor,9,0.25,2\n"));
    assertThat(lead.get("/prices.csv").text()).contains("sensor,9.0,0.25,2.0");
    assertThat(lead.post("/prices/table", Map.of("table", before)).status()).isEqualTo(302);
    assertThat(lead.get("/prices.csv").text()).isEqualTo(before);
    for (String text : List.of("", "nonsense", "a,b\n1", "kind\n\"open", "kind,kind\nclamp,cap")) {
      assertThat(lead.post("/prices/table", Map.of("table", text)).status())
          .as(text)
          .isEqualTo(422);
    }
    Http.Answer rates =
        lead.post(
            "/prices",
            Map.of("currency", "E", "hour", "much", "retest", "-1", "comeBack", "", "tax", "200"));
    assertThat(rates.status()).isEqualTo(422);
    assertThat(rates.text()).contains("three letters", "much");
  }

  @Test
  void tagsSayWhatIsSoNow(Application.Running application) {
    Http technician = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String job = technician.job("Fenn 20");
    assertThat(technician.get(job + "/tag?says=do-not-start").text())
        .contains("Do not start", "Fenn 20");
    assertThat(technician.get(job + "/tag?says=water-only").text()).contains("safe against frost");
    assertThat(technician.get(job + "/tag?says=fine").status()).isEqualTo(404);
  }

  /** Before a place is found nothing is offered but by the lead, and then as a try. */
  @Test
  void withoutAFindARepairIsTheLeadsTry(Application.Running application) {
    Http technician = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String job = technician.begin().job();
    assertThat(technician.get(job + "/decide").text())
        .contains("No place is found yet")
        .doesNotContain("way-best");
    technician.post(job + "/decide/ways/0", Map.of());
    assertThat(technician.get(job + "/decide").text())
        .contains("Only the lead offers a repair as a try")
        .contains("Nothing on it yet");
    Http lead = Http.signedIn(application.address(), "lead", Application.PASSWORD);
    lead.get(job + "/decide");
    lead.post(job + "/decide/ways/0", Map.of());
    assertThat(lead.get(job + "/decide").text()).contains("As a try, no place is found:");
    technician.post(
        job + "/find",
        Map.of(
            "joint",
            "upper-hose.radiator-end",
            "saw",
            "wet",
            "state",
            "cold-pressure",
            "dried",
            "true"));
    assertThat(technician.get(job + "/decide").text())
        .contains("way-best")
        .doesNotContain("No place is found yet");
  }
}
