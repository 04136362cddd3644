package gotera.web.demo;

import gotera.web.finding.Measure;
import gotera.web.finding.Measures;
import gotera.web.guide.GuideService;
import gotera.web.guide.GuideService.Taken;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;

/** A check for combustion gas that is under way while the demonstration is looked at. */
final class DemoGuides {
  private static final String GAS = "gas-check";

  private final GuideService guides;
  private final UUID job;
  private final String by;

  private DemoGuides(GuideService guides, UUID job, String by) {
    this.guides = guides;
    this.job = job;
    this.by = by;
  }

  static void put(GuideService guides, UUID job, String by) {
    DemoGuides steps = new DemoGuides(guides, job, by);
    steps.taken("set-up", "neck", Measures.NONE.and(Measure.SQUARE_CENTIMETRES, 15), 720);
    steps.taken("filled-blue", "", Measures.NONE, 690);
    steps.taken(
        "level",
        "",
        Measures.NONE
            .and(Measure.MILLIMETRES, 62)
            .and(Measure.MILLILITRES, 90)
            .and(Measure.CELSIUS, 19),
        640);
    steps.taken("started", "", Measures.NONE, 560);
    steps.taken("warmed", "", Measures.NONE.and(Measure.CELSIUS, 37), 330);
    steps.taken("warmed", "", Measures.NONE.and(Measure.CELSIUS, 54), 80);
    steps.taken(
        "level",
        "",
        Measures.NONE
            .and(Measure.MILLIMETRES, 58)
            .and(Measure.MILLILITRES, 110)
            .and(Measure.CELSIUS, 57),
        20);
  }

  private void taken(String step, String subject, Measures measures, int secondsAgo) {
    guides.write(
        job,
        GAS,
        new Taken(step, subject, measures, Optional.empty(), Duration.ofSeconds(secondsAgo)),
        by);
  }
}
