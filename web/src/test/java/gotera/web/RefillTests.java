package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.Bench.Hand;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The refill in the browser: chemistry, mix, steps, purge, label. */
@ExtendWith(Application.class)
class RefillTests {

  /** Drained at tap and block, other chemistry in: mixed, poured by the jug, purged until quiet. */
  @Test
  void fromTheDrainToAQuietFunnel(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      Visit.begin(bench, "Tavel poured", "9 L");
      bench.circuit("2.8 poured", "diesel-along-rear-heater");
      bench.step("Fill up");
      bench.choose("drained");
      bench.fill("How much", "7 L");
      bench.click("Save");
      bench.step("Refill");
      bench.page.locator("#in").selectOption("hybrid");
      bench.page.locator("#source").selectOption("log");
      bench.page.locator("#goesIn").selectOption("universal");
      bench.click("Save both");
      bench.shows("#advice", "Universal types are not followed here");
      bench.page.locator("#goesIn").selectOption("hybrid");
      bench.click("Save both");
      bench.shows("#advice", "The same chemistry goes in");

      bench.fill("Strength wanted, %", "70");
      bench.fill("A jug holds", "2 L");
      bench.click("Work it out");
      bench.shows("#wanted-problem", "60");
      bench.holds("#jug", "2 L");
      bench.fill("Strength wanted, %", "45");
      bench.click("Work it out");
      // 9 · 0.45 − 2 · 0.5 = 3.05 L of concentrate, 3.95 L of water
      bench.shows(".plate", "3.05 L");
      bench.shows(".plate", "3.95 L");
      bench.shows("main", "2 L: 871 mL concentrate, 1.13 L water");
      bench.unfold("Bottles and price");
      bench.fill("A bottle of concentrate", "1.5 L");
      bench.fill("A litre of concentrate costs", "9");
      bench.fill("A litre ready to pour costs", "5");
      bench.settled(
          () ->
              bench.use(bench.page.locator("details:has(#bottle) button:text-is('Work it out')")));
      bench.shows("details:has(#bottle)", "3 bottles of 1.5 L, 1.45 L left over");
      bench.shows("details:has(#bottle) .said-line >> nth=1", "mix it");
      for (int jug = 0; jug < 3; jug++) {
        bench.click("The next jug is in");
      }
      bench.shows("main", "1 L: 436 mL concentrate, 564 mL water");
      bench.click("The next jug is in");
      bench.shows("main", "It is full by the account");
      bench.step("Fill up");
      bench.shows(".plate", "9 L");
      bench.shows(".plate", "45 %");
      bench.step("Refill");

      bench.shows("#fill-steps", "Rear heater blows hot");
      bench.shows("#fill-steps", "air leaves:");
      bench.click("Vacuum");
      bench.shows("#fill-steps", "a vacuum that falls is a leak");
      bench.unfold("What a vacuum leaves");
      bench.fill("Below the air around", "85");
      bench.settled(
          () ->
              bench.use(bench.page.locator("details:has(#vacuum) button:text-is('Work it out')")));
      bench.shows("#vacuum-said", "of 9 L as air");
      bench.click("Pour and burp");
      bench.click("Done: Drains shut");
      bench.shows("#fill-steps .is-done", "Drains shut");
      bench.shows(".rail", "1 of");
      bench.unfold("The maker’s own procedure");
      bench
          .page
          .locator("#procedure")
          .fill("To temperature, six minutes idle, off, cool, to the mark");
      bench.click("Save it for this engine type");
      bench.shows(".maker", "six minutes idle");
      bench.click("Undo: the maker’s procedure");
      bench.counts(".maker", 0);

      bench.click("Watch the funnel");
      bench.fill("Free area, cm²", "60");
      bench.click("Save the funnel");
      look(bench, "0", "", "60", 29);
      look(bench, "0", "20", "84", 24);
      bench.step("Refill");
      bench.shows("#purge-said", "Not at its end");
      bench.shows("#purge-said", "bubbles came within the last ten minutes");
      bench.shows("#purge-said", "no heat in the cabin yet");
      bench.click("cabin gets hot");
      bench.click("needle steady");
      bench.open(bench.jobPath() + "/inside/funnel");
      look(bench, "-3", "", "85", 20);
      look(bench, "-3", "", "85", 8);
      bench.step("Refill");
      bench.shows("#purge-said", "The purge is at its end.");
      bench.click("needle moves");
      bench.shows("#purge-said", "needle was not said to be steady");
      bench.click("Undo: needle moves");
      bench.shows("#purge-said", "The purge is at its end.");
      bench.page.navigate(bench.page.url().replaceAll("/refill.*", "/refill/label"));
      bench.shows("main", "Coolant 45 %");
      bench.shows("main", "hybrid, ethylene glycol");
    }
  }

  /** Topped up again and again: the strength tells the loss, and how it is restored. */
  @Test
  void aFallenStrengthTellsTheLoss(Application.Running application) {
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      Visit.begin(bench, "Corva topped up", "11 L");
      bench.circuit("Old six topped up", "inline-along-carburettors");
      bench.click("Find on it");
      bench.joint("heater-return.pump-end");
      bench.click("Wet");
      bench.unfold("Hose, clamp or bearing");
      bench.click("Splits open when pushed");
      bench.step("Repair");
      bench.shows("#before", "some ");
      bench.click("Hose cut to the length");
      bench.repaired("heater-return.pump-end", "New hose, cut to length; one clamp stripped");
      bench.step("Fill up");
      bench.unfold("Measure the strength");
      bench.fill("It reads, °C", "-22");
      bench.click("Save the reading");
      bench.shows("#diluted", "Strength fell from 50 to 38 %");
      bench.shows("#diluted", "bit by bit");
      bench.unfold("Restore the strength");
      bench.fill("Strength wanted, %", "50");
      bench.click("Work it out");
      bench.shows("details:has(#wanted) .said-line", "Drain 2.");
      bench.refilled();
    }
  }

  static void look(Bench bench, String level, String peas, String lower, int ago) {
    bench.fill("Peas since then", peas);
    bench.fill("Level, mm above the mark", level);
    bench.fill("Upper hose, °C", "88");
    bench.fill("Lower hose, °C", lower);
    bench.ago(ago);
    bench.click("Write the look down");
    bench.shows("#guide-log", lower + " °C");
  }

  @Test
  void nothingIsPouredWhereNothingIsKnown(Application.Running application) {
    Http http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String job = http.job("Fenn 20");
    String before = http.get(job + "/fill-up").text();
    http.get(job + "/refill");
    assertThat(http.post(job + "/refill/pour", Map.of()).status()).isEqualTo(302);
    assertThat(http.get(job + "/fill-up").text().length()).isEqualTo(before.length());
    assertThat(http.post(job + "/refill/steps", Map.of("does", "fly")).status()).isEqualTo(404);
    assertThat(http.post(job + "/refill/purge", Map.of("saw", "fine")).status()).isEqualTo(404);
    assertThat(http.post(job + "/refill/school", Map.of("school", "x")).status()).isEqualTo(404);
    assertThat(http.get(job + "/refill?vacuum=120").status()).isEqualTo(422);
    assertThat(http.get(job + "/refill?bottle=many").status()).isEqualTo(422);
  }
}
