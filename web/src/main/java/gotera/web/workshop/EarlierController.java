package gotera.web.workshop;

import gotera.web.figures.Figures;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import gotera.web.workshop.Earlier.Past;
import gotera.work.Step;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** What was done on this vehicle, and on others of its engine type, in earlier jobs. */
@Controller
class EarlierController {
  private final Earlier earlier;
  private final JobService jobs;
  private final Words words;

  EarlierController(Earlier earlier, JobService jobs, Words words) {
    this.earlier = earlier;
    this.jobs = jobs;
    this.words = words;
  }

  /** An earlier job as the page shows it. */
  record Row(
      String address,
      String vehicle,
      String when,
      String complaint,
      String repaired,
      String ending,
      String worked) {}

  @GetMapping("/jobs/{id}/earlier")
  String page(@PathVariable UUID id, Figures figures, Model model) {
    Optional<UUID> vehicle = jobs.require(id).vehicleId();
    model.addAttribute("place", new JobPlace(id, Step.INTAKE, figures));
    model.addAttribute("same", vehicle.map(v -> rows(earlier.ofVehicle(v, id))).orElse(List.of()));
    model.addAttribute("type", vehicle.map(v -> rows(earlier.ofType(v))).orElse(List.of()));
    return "workshop/earlier";
  }

  private List<Row> rows(List<Past> past) {
    return past.stream()
        .map(
            p ->
                new Row(
                    "/jobs/" + p.id() + "/history",
                    p.vehicle(),
                    Figures.moment(p.begun()),
                    p.complaint(),
                    String.join(
                        ", ",
                        p.repaired().stream()
                            .map(j -> words.knows("joint." + j) ? words.say("joint." + j) : j)
                            .toList()),
                    p.ending().isEmpty()
                        ? words.say("earlier.open")
                        : words.say("ending." + p.ending()),
                    p.minutes() > 0 ? words.say("earlier.worked", Figures.plain(p.minutes())) : ""))
        .toList();
  }
}
