package gotera.web.circuit;

import gotera.circuit.DripSpot;
import gotera.look.LookState;
import gotera.web.figures.Entry;
import gotera.web.frame.NotFound;
import gotera.web.job.JobService;
import gotera.word.Worded;
import java.security.Principal;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Where it drips, and the way back. */
@Controller
class DripController {
  private final DripService drips;
  private final JobService jobs;

  DripController(DripService drips, JobService jobs) {
    this.drips = drips;
    this.jobs = jobs;
  }

  @PostMapping("/jobs/{id}/drips")
  String drip(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String spot,
      @RequestParam(defaultValue = "") String state,
      Principal principal) {
    jobs.require(id);
    DripSpot seen =
        Worded.of(DripSpot.class, Entry.text(spot, 40))
            .orElseThrow(() -> new NotFound("spot " + spot));
    LookState then = Worded.of(LookState.class, state).orElse(LookState.COLD);
    drips.write(id, seen, then, principal.getName());
    return "redirect:/jobs/" + id + "/find";
  }

  @PostMapping("/jobs/{id}/drips/undo")
  String undoDrip(@PathVariable UUID id, Principal principal) {
    jobs.require(id);
    drips.undo(id, principal.getName());
    return "redirect:/jobs/" + id + "/find";
  }
}
