package gotera.web.timer;

import gotera.range.Range;
import gotera.timing.Wait.Kind;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.frame.Pages;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import gotera.word.Worded;
import java.security.Principal;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Waits: all of them on one page, begun and ended from anywhere. */
@Controller
class WaitController {
  private final WaitService waits;
  private final JobService jobs;
  private final Words words;

  WaitController(WaitService waits, JobService jobs, Words words) {
    this.waits = waits;
    this.jobs = jobs;
    this.words = words;
  }

  /** A wait as typed. */
  record WaitForm(String kind, String minutes, String waitNote, String back) {
    WaitForm {
      kind = Entry.text(kind, 20);
      minutes = Entry.text(minutes, 20);
      waitNote = Entry.text(waitNote, 200);
      back = Entry.text(back, 200);
    }
  }

  /** A kind to choose. */
  record KindChoice(String value, String text) {}

  @GetMapping("/waits")
  String page(Model model) {
    model.addAttribute("waits", waits.open());
    return "timer/waits";
  }

  @GetMapping("/jobs/{id}/waits")
  String begin(
      @PathVariable UUID id, @RequestParam(defaultValue = "other") String kind, Model model) {
    return page(id, new WaitForm(kind, "", "", ""), Map.of(), model);
  }

  @PostMapping("/jobs/{id}/waits")
  Object begin(
      @PathVariable UUID id, @ModelAttribute WaitForm form, Principal principal, Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble lasts = problems.number("minutes", form.minutes(), Range.WAIT);
    Optional<Kind> kind = Worded.of(Kind.class, form.kind());
    if (lasts.isEmpty() || kind.isEmpty()) {
      return Pages.unprocessable(page(id, form, problems.sentences(), model), model);
    }
    waits.begin(
        id,
        kind.get(),
        Duration.ofSeconds(Math.round(60 * lasts.getAsDouble())),
        form.waitNote(),
        principal.getName());
    // only to a step of this job, never to where somebody else's link says
    boolean step = form.back().matches("[a-z-]+(/[a-z-]+)?");
    return "redirect:/jobs/" + id + (step ? "/" + form.back() : "");
  }

  @PostMapping("/waits/{waitId}/end")
  String end(
      @PathVariable UUID waitId,
      @RequestParam(defaultValue = "") String back,
      Principal principal) {
    UUID job = waits.end(waitId, principal.getName());
    // ending another job's wait does not throw anybody out of a page
    return "redirect:" + (back.isEmpty() ? "/jobs/" + job : Entry.ownPath(back));
  }

  private String page(UUID id, WaitForm form, Map<String, String> problems, Model model) {
    jobs.require(id);
    List<KindChoice> kinds =
        Arrays.stream(Kind.values())
            .map(k -> new KindChoice(k.word(), words.say("wait." + k.word())))
            .toList();
    model.addAttribute("jobId", id);
    model.addAttribute("form", form);
    model.addAttribute("kinds", kinds);
    model.addAttribute("problems", problems);
    model.addAttribute("waits", waits.open());
    return "timer/begin";
  }
}
