package gotera.web.decide;

import gotera.coolant.CoolantMixture;
import gotera.coolant.FreezingPoint;
import gotera.timing.Wait;
import gotera.web.figures.Entry;
import gotera.web.figures.Figures;
import gotera.web.fill.FillService;
import gotera.web.frame.NotFound;
import gotera.web.job.JobService;
import gotera.web.timer.WaitService;
import gotera.web.words.Words;
import java.time.Clock;
import java.util.List;
import java.util.OptionalDouble;
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
  private final WaitService waits;
  private final JobService jobs;
  private final Words words;
  private final Clock clock;

  TagController(FillService fills, WaitService waits, JobService jobs, Words words, Clock clock) {
    this.waits = waits;
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
    model.addAttribute("says", title(id, what));
    String typed = Entry.text(until, 60);
    model.addAttribute("until", typed.isEmpty() ? waiting(id, what) : List.of(typed));
    model.addAttribute("detail", detail(id, what, figures));
    model.addAttribute("printed", Figures.moment(clock.instant()));
    return "decide/tag";
  }

  /** Water only is said of water only. */
  private String title(UUID id, String what) {
    CoolantMixture now = fills.mixture(id);
    return what.equals("water-only") && !now.isWater()
        ? words.say("tag.weak", Figures.fixed(100 * now.strength(), 0))
        : words.say("tag." + what);
  }

  /** Until when, by what is waited for: what sets where it cures, else everything. */
  private List<String> waiting(UUID id, String what) {
    return waits.open(id).stream()
        .filter(w -> !what.equals("curing") || w.kind() == Wait.Kind.CURE)
        .map(w -> words.say("tag.until", w.at(), w.what()))
        .toList();
  }

  private String detail(UUID id, String what, Figures figures) {
    if (!what.equals("water-only")) {
      return words.say("tag.detail." + what);
    }
    CoolantMixture now = fills.mixture(id);
    double strength = now.strength();
    OptionalDouble freezes = FreezingPoint.ifKnown(fills.glycol(id), strength);
    return freezes.isPresent()
        ? words.say(
            "tag.detail.water-only",
            Figures.fixed(100 * strength, 0),
            figures.temperature(freezes.getAsDouble(), 0))
        : words.say("tag.detail.too-strong", Figures.fixed(100 * strength, 0));
  }
}
