package gotera.web.pressure.live;

import gotera.web.figures.Figures;
import gotera.web.job.JobPlace;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The page that is read from afar, and what it listens to. */
@Controller
class LiveController {
  private final PressureService tests;
  private final LivePages pages;
  private final LiveFeed feed;

  LiveController(PressureService tests, LivePages pages, LiveFeed feed) {
    this.tests = tests;
    this.pages = pages;
    this.feed = feed;
  }

  @GetMapping("/tests/{testId}/live")
  String page(@PathVariable UUID testId, Figures figures, Model model) {
    PressureTestView test = tests.require(testId);
    model.addAttribute("place", new JobPlace(test.jobId(), test.phase().step(), figures));
    model.addAttribute("live", pages.page(test, figures));
    return "pressure/live";
  }

  @GetMapping(path = "/tests/{testId}/live/feed", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter feed(@PathVariable UUID testId, Figures figures) {
    tests.where(testId);
    return feed.watch(testId, figures);
  }
}
