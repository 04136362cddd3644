package gotera.web.pressure.plan;

import gotera.drawing.Plan;
import gotera.drawing.PlanDrawing;
import gotera.pressure.PressedFirst;
import gotera.pressure.TestPlan;
import gotera.pressure.setup.KeptCompliance;
import gotera.pressure.setup.Usual;
import gotera.web.cap.CapService;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.job.NamedJobs;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.setup.SetupForm;
import gotera.web.settings.WorkshopProperties;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** How long a hold must last, before anybody pumps. Nothing is stored. */
@Controller
class PlanController {
  private static final int POINTS = 25;

  /** Of so many points one stands in the table. */
  private static final int TABLED = 5;

  private final PressureService tests;
  private final CapService caps;
  private final JobService jobs;
  private final NamedJobs named;
  private final WorkshopProperties workshop;
  private final Words words;

  PlanController(
      PressureService tests,
      CapService caps,
      JobService jobs,
      NamedJobs named,
      WorkshopProperties workshop,
      Words words) {
    this.workshop = workshop;
    this.tests = tests;
    this.caps = caps;
    this.jobs = jobs;
    this.named = named;
    this.words = words;
  }

  /**
   * What the plan says.
   *
   * @param minutes the shortest hold, or that there is none
   * @param kind word of a verdict's class whose colour it takes
   * @param sentences what limits it and what would help
   * @param drawing minutes over air
   * @param table the same in figures
   * @param from where the minutes come from
   */
  record Answer(
      String minutes,
      String kind,
      List<String> sentences,
      String drawing,
      List<TableRow> table,
      String from) {}

  /** The shortest hold for an amount of trapped air. */
  record TableRow(String air, String minutes) {}

  @GetMapping("/jobs/{id}/{step:pressure-test|re-test}/plan")
  String page(
      @PathVariable UUID id,
      @PathVariable String step,
      @ModelAttribute PlanForm typed,
      @RequestParam Map<String, String> all,
      Figures figures,
      Model model) {
    Phase phase = phase(step);
    PlanForm form = typed.blank() ? usual(id, phase, figures) : typed;
    model.addAttribute("place", new JobPlace(id, phase.step(), figures));
    model.addAttribute("carried", Carried.ofSetUp(all));
    model.addAttribute("address", "/jobs/" + id + "/" + phase.step().word() + "/plan");
    planned(form, figures, model);
    return "pressure/plan";
  }

  /** The set-up goes to its plan, and loses nothing of what stands in it. */
  @PostMapping("/jobs/{id}/{step:pressure-test|re-test}/plan")
  String fromSetUp(
      @PathVariable UUID id,
      @PathVariable String step,
      @RequestParam Map<String, String> all,
      Figures figures) {
    Phase phase = phase(step);
    Map<String, String> typed = new HashMap<>(all);
    typed.put("warmth", all.getOrDefault("soak", ""));
    return "redirect:"
        + Carried.toPlan(id, phase, Entry.over(usual(id, phase, figures), typed), all);
  }

  /** Begins the planned test: its set-up, with all that was planned. */
  @GetMapping("/jobs/{id}/{step:pressure-test|re-test}/plan/begin")
  String begin(
      @PathVariable UUID id,
      @PathVariable String step,
      @ModelAttribute PlanForm form,
      @RequestParam Map<String, String> all) {
    jobs.require(id);
    return "redirect:" + Carried.toSetUp(id, phase(step), form, measured(id), all);
  }

  private boolean measured(UUID id) {
    return KeptCompliance.newest(tests.all(id).stream().map(PressureTestView::past).toList())
        .isPresent();
  }

  private PlanForm usual(UUID id, Phase phase, Figures figures) {
    return PlanForm.of(jobs.require(id), phase, caps.of(id), tests.all(id), figures);
  }

  private static Phase phase(String step) {
    return step.equals(Phase.RE_TEST.step().word()) ? Phase.RE_TEST : Phase.SEARCH;
  }

  /** The same without a job: a bench plans before a vehicle comes. */
  @GetMapping("/tools/plan")
  String bench(@ModelAttribute PlanForm typed, Figures figures, Model model) {
    withoutJob(typed, figures, model);
    return "pressure/plan-bench";
  }

  private FieldProblems withoutJob(PlanForm typed, Figures figures, Model model) {
    model.addAttribute("address", "/tools/plan");
    model.addAttribute("jobs", named.newest());
    model.addAttribute("untouched", typed.blank());
    if (!typed.blank()) {
      return planned(typed, figures, model);
    }
    planned(PlanForm.usual(figures), figures, model);
    // nobody has typed anything that could be wrong
    FieldProblems none = new FieldProblems(words);
    model.addAttribute("problems", none.sentences());
    return none;
  }

  /** Begins the planned test in a job that is chosen. */
  @GetMapping("/tools/plan/begin")
  Object beginInJob(
      @ModelAttribute PlanForm form,
      @RequestParam Optional<UUID> job,
      Figures figures,
      Model model) {
    Optional<UUID> chosen = named.open(job);
    if (chosen.isPresent()) {
      UUID id = chosen.get();
      return "redirect:" + Carried.toSetUp(id, Phase.SEARCH, form, measured(id), Map.of());
    }
    withoutJob(form, figures, model).add("job", "plan.begin-job");
    return Pages.unprocessable("pressure/plan-bench", model);
  }

  /** Puts on the page what was typed and what follows; what was wrong can still be added to. */
  private FieldProblems planned(PlanForm form, Figures figures, Model model) {
    FieldProblems problems = new FieldProblems(words);
    Optional<PlanReading> plan = PlanReading.of(form, problems, figures, workshop.altitude());
    model.addAttribute("form", form);
    model.addAttribute("problems", problems.sentences());
    model.addAttribute("purposes", SetupForm.PURPOSES);
    model.addAttribute("warmths", PlanForm.WARMTHS);
    model.addAttribute("known", PlanForm.KNOWN);
    model.addAttribute("mostAir", Usual.MOST_PLANNED_AIR);
    plan.ifPresent(p -> model.addAttribute("answer", answer(p, figures)));
    return problems;
  }

  private Answer answer(PlanReading reading, Figures figures) {
    double limit = reading.purpose().usual();
    OptionalDouble shortest = reading.plan().shortest(limit);
    List<Plan.Point> points = new ArrayList<>();
    double most = Math.max(Usual.MOST_PLANNED_AIR, reading.air());
    for (int i = 1; i <= POINTS; i++) {
      double air = most * i / POINTS;
      OptionalDouble minutes = reading.hold().with(air).shortest(limit);
      points.add(new Plan.Point(air, minutes));
    }
    String drawing =
        PlanDrawing.of(
            new Plan(
                points,
                reading.air(),
                shortest,
                new Plan.Words(
                    words.say("plan.title"),
                    words.say("plan.air"),
                    words.say("plan.minutes"),
                    words.say("plan.now", figures.volume(reading.air())))));
    return new Answer(
        shortest.isPresent()
            ? words.say("plan.shortest", Figures.plain(shortest.getAsDouble()))
            : words.say("plan.none"),
        shortest.isPresent() ? "tight" : "not-proven",
        sentences(reading, shortest, figures),
        drawing,
        table(points, figures),
        words.say(
            "plan.from",
            Figures.fixed(reading.plan().thermalSensitivity(), 1),
            Figures.driftHalfWidth(reading.plan().driftU()),
            Figures.halfWidthPercent(reading.plan().system().relativeUncertainty())));
  }

  /** What a hold of so many minutes shows, and what a shorter one would. */
  private void enough(TestPlan plan, double minutes, double limit, List<String> sentences) {
    sentences.add(
        words.say(
            "plan.then", Figures.plain(limit), Figures.bound(plan.after(minutes).detection())));
    double left = plan.pressureLeft(minutes);
    if (left < TestPlan.PRESSURE_LEFT) {
      sentences.add(
          words.say(
              "plan.falls",
              Figures.fixed(100 * left, 0),
              Figures.fixed(100 * TestPlan.PRESSURE_LEFT, 0)));
    }
    double before = plan.shorter(minutes);
    sentences.add(
        words.say(
            "plan.shorter", Figures.plain(before), Figures.bound(plan.after(before).detection())));
  }

  private List<String> sentences(PlanReading reading, OptionalDouble shortest, Figures figures) {
    TestPlan plan = reading.plan();
    double limit = reading.purpose().usual();
    List<String> sentences = new ArrayList<>();
    if (shortest.isPresent()) {
      enough(plan, shortest.getAsDouble(), limit, sentences);
    } else if (plan.temperatureForbids(limit)) {
      OptionalDouble hours = plan.stand(limit);
      sentences.add(
          hours.isPresent()
              ? words.say("plan.stand", Figures.plain(hours.getAsDouble()))
              : words.say("plan.no-stand"));
    } else {
      sentences.add(words.say("plan.gauge-or-air"));
    }
    PressedFirst.of(plan, limit)
        .map(a -> words.say("plan.again", Figures.plain(a.pressed()), Figures.plain(a.held())))
        .ifPresent(sentences::add);
    if (plan.wantsMeasuredAir()) {
      sentences.add(words.say("plan.measure"));
    }
    reading
        .rule()
        .ifPresent(
            r ->
                sentences.add(
                    words.say(
                        "plan.rule",
                        figures.pressure(r.rule().pressure().kilopascals()),
                        Figures.plain(r.rule().minutes()),
                        figures.pressure(r.rule().drop()),
                        Figures.twoDigits(r.letsThrough()))));
    return sentences;
  }

  private List<TableRow> table(List<Plan.Point> points, Figures figures) {
    return IntStream.range(0, points.size())
        .filter(i -> i % TABLED == TABLED - 1)
        .mapToObj(points::get)
        .map(
            p ->
                new TableRow(
                    figures.volume(p.air()),
                    p.minutes().isPresent()
                        ? Figures.plain(p.minutes().getAsDouble()) + " min"
                        : words.say("plan.never")))
        .toList();
  }
}
