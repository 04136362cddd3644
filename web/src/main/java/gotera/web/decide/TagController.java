package gotera.web.decide;

import gotera.coolant.CoolantMixture;
import gotera.coolant.FreezingPoint;
import gotera.coolant.FreezingPoint.Glycol;
import gotera.web.figures.Entry;
import gotera.web.figures.Figures;
import gotera.web.fill.FillService;
import gotera.web.frame.NotFound;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Tags to print and hang on a vehicle. */
@Controller
class TagController {
  /** What a tag can say. */
  static final List<String> SAYS =
      List.of("do-not-start", "curing", "empty", "no-pressure", "water-only");

  private final FillService fills;
  private final JobService jobs;
  private final Words words;
  private final Clock clock;

  TagController(FillService fills, JobService jobs, Words words, Clock clock) {
    this.fills = fills;
    this.jobs = jobs;
    this.words = words;
    this.clock = clock;
  }

  @GetMapping("/jobs/{id}/tag")
  String tag(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String says,
      @RequestParam(defaultValue = "") String until,
      Figures figures,
      Model model) {
    String what =
        SAYS.stream().filter(says::equals).findFirst().orElseThrow(() -> new NotFound(says));
    model.addAttribute("job", jobs.require(id));
    model.addAttribute("says", words.say("tag." + what));
    model.addAttribute("until", Entry.text(until, 60));
    model.addAttribute("detail", detail(id, what, figures));
    model.addAttribute("printed", Figures.moment(clock.instant()));
    return "decide/tag";
  }

  private String detail(UUID id, String what, Figures figures) {
    if (!what.equals("water-only")) {
      return words.say("tag.detail." + what);
    }
    CoolantMixture now = fills.mixture(id);
    double freezes = FreezingPoint.of(Glycol.ETHYLENE, now.strength());
    return words.say(
        "tag.detail.water-only",
        Figures.fixed(100 * now.strength(), 0),
        figures.temperature(freezes, 0));
  }
}
