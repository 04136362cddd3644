package gotera.web.job;

import gotera.web.figures.Entry;
import gotera.web.words.Words;
import java.security.Principal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Closes jobs with their ending, opens them again, puts nameless ones aside. */
@Controller
class EndingController {
  private final JobService jobs;
  private final List<InTheWay> inTheWay;
  private final Words words;

  EndingController(JobService jobs, List<InTheWay> inTheWay, Words words) {
    this.jobs = jobs;
    this.inTheWay = inTheWay;
    this.words = words;
  }

  @PostMapping("/jobs/{id}/close")
  String close(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String ending,
      @RequestParam(defaultValue = "") String endingNote,
      RedirectAttributes once) {
    jobs.require(id);
    Optional<Ending> how = Ending.of(ending);
    String problem = how.map(h -> problem(id, h)).orElse(words.say("problem.ending"));
    if (!problem.isEmpty()) {
      once.addFlashAttribute("endingProblem", problem);
      once.addFlashAttribute("endingNote", Entry.text(endingNote, 2000));
      return "redirect:/jobs/" + id + "/hand-over";
    }
    jobs.close(id, how.orElseThrow(), Entry.text(endingNote, 2000));
    return "redirect:/";
  }

  /** A job is closed only as nothing stands in the way of. */
  private String problem(UUID id, Ending how) {
    List<String> open = inTheWay.stream().flatMap(w -> w.of(id, how).stream()).toList();
    return open.isEmpty()
        ? ""
        : words.say(
            how == Ending.PROVEN ? "problem.in-the-way" : "problem.not-so",
            String.join("; ", open));
  }

  @PostMapping("/jobs/{id}/reopen")
  String reopen(@PathVariable UUID id) {
    jobs.reopen(id);
    return "redirect:/jobs/" + id;
  }

  @PostMapping("/jobs/{id}/discard")
  String discard(@PathVariable UUID id, Principal principal) {
    return jobs.discard(id, principal.getName()) ? "redirect:/" : "redirect:/jobs/" + id;
  }
}
