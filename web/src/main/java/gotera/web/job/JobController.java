package gotera.web.job;

import gotera.web.figures.Conflict;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.words.Words;
import gotera.work.Step;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** New job, intake, the steps of a job. */
@Controller
class JobController {
  /** Answers that a vehicle is none of those that look alike. */
  private static final String ANOTHER = "another";

  private final JobService jobs;
  private final Rail rail;
  private final SkippedSteps skipped;
  private final Words words;

  JobController(JobService jobs, Rail rail, SkippedSteps skipped, Words words) {
    this.jobs = jobs;
    this.rail = rail;
    this.skipped = skipped;
    this.words = words;
  }

  @GetMapping("/jobs/new")
  String newJob(Model model) {
    model.addAttribute("form", IntakeForm.empty());
    return newJobPage(model, Map.of());
  }

  @PostMapping("/jobs/new")
  Object begin(
      @ModelAttribute IntakeForm typed,
      @RequestParam(defaultValue = "") String vehicleIs,
      Figures figures,
      Principal principal,
      Model model) {
    FieldProblems problems = new FieldProblems(words);
    IntakeForm form = meant(problems, typed, vehicleIs, model);
    Optional<Intake> intake = form.read(problems, figures);
    if (intake.isEmpty()) {
      model.addAttribute("form", form);
      return Pages.unprocessable(newJobPage(model, problems.sentences()), model);
    }
    UUID id = jobs.begin(principal.getName());
    jobs.write(id, intake.get(), jobs.require(id).version());
    return goesOn(id);
  }

  /**
   * The form with the vehicle that is meant: a name that only looks like another's is asked back.
   *
   * @param vehicleIs what was answered: the name of the other, or {@value #ANOTHER}
   */
  private IntakeForm meant(
      FieldProblems problems, IntakeForm typed, String vehicleIs, Model model) {
    List<String> alike = jobs.alike(typed.vehicle());
    if (alike.isEmpty() || vehicleIs.equals(ANOTHER)) {
      return typed;
    }
    if (alike.contains(vehicleIs)) {
      return typed.withVehicle(vehicleIs);
    }
    problems.add("vehicle", "problem.vehicle-alike", alike.get(0));
    model.addAttribute("alike", alike);
    return typed;
  }

  private String newJobPage(Model model, Map<String, String> problems) {
    model.addAttribute("problems", problems);
    choices(model);
    return "job/new";
  }

  @GetMapping("/jobs/{id}")
  String job(@PathVariable UUID id) {
    jobs.require(id);
    return goesOn(id);
  }

  /** To the step the job waits for. */
  private String goesOn(UUID id) {
    return "redirect:/jobs/" + id + "/" + rail.waitsFor(id).word();
  }

  @PostMapping("/jobs/{id}/steps/{step}/skip")
  String skip(@PathVariable UUID id, @PathVariable String step, Principal principal) {
    jobs.require(id);
    Step what = require(step);
    if (!what.canBeSkipped()) {
      throw new NotFound("skipping " + step);
    }
    skipped.skip(id, what, principal.getName());
    return goesOn(id);
  }

  @PostMapping("/jobs/{id}/steps/{step}/take-up")
  String takeUp(@PathVariable UUID id, @PathVariable String step, Principal principal) {
    jobs.require(id);
    skipped.takeUp(id, require(step), principal.getName());
    return "redirect:/jobs/" + id + "/" + require(step).word();
  }

  private static Step require(String step) {
    return Step.of(step).orElseThrow(() -> new NotFound("step " + step));
  }

  @GetMapping("/jobs/{id}/intake")
  String intake(@PathVariable UUID id, Figures figures, Model model) {
    return intakePage(id, IntakeForm.of(jobs.require(id), figures), Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}/intake")
  Object write(
      @PathVariable UUID id,
      @ModelAttribute IntakeForm typed,
      @RequestParam(defaultValue = "") String vehicleIs,
      Figures figures,
      Model model) {
    JobView job = jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    IntakeForm form = meant(problems, typed, vehicleIs, model);
    Optional<Intake> intake = form.read(problems, figures);
    if (intake.isPresent()) {
      try {
        jobs.write(id, intake.get(), form.version());
        return goesOn(id);
      } catch (OptimisticLockingFailureException e) {
        problems.add("form", "problem.changed-meanwhile");
        model.addAttribute(
            "conflict",
            Conflict.between(
                form,
                IntakeForm.of(jobs.require(id), figures),
                Map.of(
                    "reason",
                    "reason.",
                    "whereLost",
                    "where.",
                    "ground",
                    "ground.",
                    "puddleAt",
                    "drip-spot.",
                    "trips",
                    "trips."),
                words));
      }
    }
    return Pages.unprocessable(
        intakePage(id, form.withVersion(job.version()), problems.sentences(), figures, model),
        model);
  }

  private String intakePage(
      UUID id, IntakeForm form, Map<String, String> problems, Figures figures, Model model) {
    model.addAttribute("place", new JobPlace(id, Step.INTAKE, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    choices(model);
    return "job/intake";
  }

  private void choices(Model model) {
    model.addAttribute("vehicles", jobs.vehicleNames());
    model.addAttribute("reasons", IntakeForm.REASONS);
    model.addAttribute("places", IntakeForm.PLACES);
    model.addAttribute("signs", IntakeForm.SIGNS);
    model.addAttribute("times", IntakeForm.TIMES);
    model.addAttribute("grounds", IntakeForm.GROUNDS);
    model.addAttribute("trips", IntakeForm.TRIPS);
    model.addAttribute("spots", IntakeForm.SPOTS);
  }
}
