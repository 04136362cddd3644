package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.account.AccountService;
import gotera.web.account.Role;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Whole jobs in the browser, from an empty job to the proof. Curves are simulated. */
@ExtendWith(Application.class)
class JourneyTests {

  /**
   * A small van that is wet under the front: test first, name it later; a drip is heard below the
   * rating; the hose end, not the radiator; new clamp; proven by a hold with draws. By mouse.
   */
  @Test
  void aDrippingHoseEndIsSeenRepairedAndProvenTight(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.click("Start a test now");
      bench.fill("Stamped on the cap", "18 psi");
      bench.fill("Finest reading you can make", "0.1 kPa");
      bench.page.getByText("digits").first().click();
      bench.click("Begin pumping");
      bench.shows(".limit-line", "124.1 kPa");
      bench.shows(".limit-line", "18.0 psi");
      bench.reading("40");
      bench.reading("95");
      bench.click("Place seen: stop");
      bench.shows(".so-far summary", "Place seen, not measured");

      // Find: looks like the radiator's base, is the hose end above it
      bench.click("Radiator, lower seam, not looked at");
      bench.click("Dry here");
      bench.click("Lower hose, radiator end, not looked at");
      bench.shows(".joint-about", "look at clamp and hose end first");
      bench.fill("Gauge at that moment, kPa", "55");
      bench.fill("Note", "Clamp rusted through, its break is dull");
      bench.click("Wet");
      bench.shows(".so-far-sites", "Lower hose, radiator end");

      bench.step("Intake");
      bench.fill("Vehicle", "Orvia 16");
      bench.fill("Kind", "small van, in line across");
      bench.fill("Water to the brim", "1.4");
      bench.fill("Liquid in the system", "6.2 L");
      bench.click("Save intake");
      bench.step("Cap");
      bench.shows(".plate", "124.1 kPa · 18.0 psi");
      bench.shows(".plate", "from the cap");
      bench.page.getByText("seals good").click();
      bench.click("Save the cap");
      bench.shows(".said", "Place seen, not measured");

      bench.step("Repair");
      bench.holds("#joint", "lower-hose.radiator-end");
      bench.fill("Done", "New clamp beyond the bead");
      bench.click("Save the note");

      SimulatedHold hold = new SimulatedHold(6200, 124.1, List.of(), 61);
      bench.click("To the re-test");
      bench.hold(hold, "0.1 kPa", "6.2 L");
      bench.closed(hold);
      bench.shows(".said", "Tight, at most 0.0");
      bench.finish();

      bench.shows(".statement", "The computed leak rate is zero: at most 0.0");
      bench.shows(".statement", "the repair is proven in this condition");
      bench.shows(".statement", "stands alone with its bound");
      assertThat(bench.page.locator(".curve-wide .curve-earlier").count()).isPositive();
      bench.page.locator("summary").getByText("Where does this come from?").click();
      bench.shows("#figures", "Upper limit");
      bench.shows("#figures", "measured by draws or strokes");
      bench.page.getByText("To print").click();
      bench.page.waitForURL("**/report");
      bench.shows(".paper", "Orvia 16");
      bench.shows(".paper", "New clamp beyond the bead");
      bench.shows(".paper", "is less than 0.0");
    }
  }

  /**
   * A small van that cannot be pumped past half its rating: spray at a core tube, new radiator,
   * proven by readings typed one by one. By keyboard alone.
   */
  @Test
  void aGrossLeakIsBoundedFoundRepairedAndProvenTight(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.press("n");
      bench.focus("#vehicle");
      bench.type("Orvia 16 second");
      bench.focus("#complaint");
      bench.type("Water runs out as fast as it goes in");
      bench.focus("#liquid");
      bench.type("6.2");
      bench.press("Enter");
      bench.by(Bench.Hand.KEYBOARD).step("Cap");

      bench.focus("#stamp");
      bench.type("1.2 bar");
      bench.press("Enter");
      bench.focus("#gaugeStep");
      bench.type("0.1 kPa");
      bench.press("Enter");
      bench.focus("#gauge");
      bench.type("58");
      bench.press("Enter");
      bench.page.keyboard().press("Escape");
      bench.press("v");
      for (String reading : List.of("0:02 60", "0:10 47", "0:20 36", "0:30 28")) {
        bench.focus("#gauge");
        bench.type(reading.split(" ")[1]);
        bench.focus("#at");
        bench.type(reading.split(" ")[0]);
        bench.press("Enter");
        bench.writtenAfterwards();
      }
      bench.shows(".said", "Gross leak, more than");
      bench.page.keyboard().press("Escape");
      bench.press("f");
      bench.press("Enter");
      bench.shows(".so-far summary", "Gross leak, more than");

      bench.focus(".rail a[href$='/find']");
      bench.press("Enter");
      bench.focus("#joint-radiator\\.core");
      bench.press("Enter");
      bench.focus("#note");
      bench.type("Spray from a tube in the middle");
      bench.page.keyboard().press("Escape");
      bench.press("w");
      bench.shows(".joint-list .mark-wet", "Radiator core");

      bench.focus(".rail a[href$='/repair']");
      bench.press("Enter");
      bench.focus("#note");
      bench.type("New radiator; tap, mounts and bushings moved over");
      bench.focus("text=Save the note");
      bench.press("Enter");

      bench.focus(".rail a[href$='/re-test']");
      bench.press("Enter");
      bench.focus(".more summary");
      bench.page.keyboard().press("Enter");
      bench.focus("#thermometerStep");
      bench.type("0.05");
      bench.focus("#soakHours");
      bench.press("Enter");
      SimulatedHold hold = new SimulatedHold(6200, 120, List.of(), 71);
      bench.page.keyboard().press("Escape");
      bench.press("v");
      for (int minute = 0; minute <= 34; minute += 2) {
        String[] reading = hold.at(minute);
        bench.focus("#gauge");
        bench.type(reading[0]);
        bench.focus("#temperature");
        bench.type(reading[1]);
        bench.focus("#at");
        bench.type(minute + ":00");
        bench.press("Enter");
        bench.writtenAfterwards();
      }
      String[][] draws = {hold.draw(20), hold.draw(2)};
      for (int i = 0; i < 2; i++) {
        bench.focus("#draws summary");
        bench.page.keyboard().press("Enter");
        String[] fields = {"before", "volume", "after"};
        String[] typed = {draws[i][0], i == 0 ? "20" : "2", draws[i][1]};
        for (int k = 0; k < 3; k++) {
          bench.focus("#" + fields[k]);
          bench.page.keyboard().press("Control+a");
          bench.type(typed[k]);
        }
        bench.press("Enter");
      }
      bench.page.keyboard().press("Escape");
      bench.press("f");
      bench.press("Enter");
      bench.shows(".statement", "The computed leak rate is zero: at most");
    }
  }

  @Test
  void theUnitChangesEverywhereAndIsKept(Application.Running application) {
    // of somebody else: what one chose stays with the account
    application
        .bean(AccountService.class)
        .put("chooses-units", "Chooses Units", Application.PASSWORD, Role.TECHNICIAN);
    try (Bench bench = Bench.of(application, "chooses-units")) {
      bench.open(bench.demoJob("Halde 31"));
      bench.page.waitForURL("**/jobs/**");
      bench.step("Pressure test");
      bench.shows("#gauge-now", "kPa");
      bench.click("psi");
      bench.shows("#gauge-now", "psi");
      bench.open("/");
      assertThat(bench.page.locator(".units [aria-pressed=true]").innerText()).isEqualTo("psi");
    }
  }
}
