package gotera.web.floor;

import gotera.web.figures.Entry;
import gotera.web.figures.Figures;
import gotera.web.job.JobService;
import java.security.Principal;
import java.time.Clock;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The floor: a page for the wall and for the lead. */
@Controller
class FloorController {
  private static final int BAY_LENGTH = 20;

  private final FloorPages pages;
  private final FloorService floor;
  private final FloorWatch watch;
  private final JobService jobs;
  private final Clock clock;

  FloorController(
      FloorPages pages, FloorService floor, FloorWatch watch, JobService jobs, Clock clock) {
    this.pages = pages;
    this.floor = floor;
    this.watch = watch;
    this.jobs = jobs;
    this.clock = clock;
  }

  @GetMapping("/floor")
  String page(Figures figures, Model model) {
    model.addAttribute("changesAt", "/floor/changes");
    model.addAttribute("seq", clock.millis());
    model.addAttribute("groups", pages.groups(figures));
    return "floor/floor";
  }

  @GetMapping(path = "/floor/changes", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter changes() {
    return watch.watch();
  }

  @PostMapping("/floor/{jobId}/bay")
  String bay(
      @PathVariable UUID jobId, @RequestParam(defaultValue = "") String bay, Principal principal) {
    jobs.require(jobId);
    floor.put(jobId, Entry.text(bay, BAY_LENGTH).strip(), principal.getName());
    return "redirect:/floor";
  }
}
