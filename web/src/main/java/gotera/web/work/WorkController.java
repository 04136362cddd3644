package gotera.web.work;

import gotera.range.Range;
import gotera.repair.WorkSums;
import gotera.repair.WorkSums.Sum;
import gotera.web.decide.Money;
import gotera.web.decide.PriceService;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import gotera.web.work.WorkService.Entry;
import gotera.web.work.WorkService.Time;
import gotera.word.Worded;
import gotera.work.Step;
import java.security.Principal;
import java.util.Arrays;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The sheet of time and cost. */
@Controller
class WorkController {
  private static final String AT = "/repair/work";
  private static final String MINUTES = "minutes";
  private static final WorkForm BLANK = new WorkForm("", "", "", "", "", "");

  private final WorkService work;
  private final PriceService prices;
  private final Money money;
  private final JobService jobs;
  private final Words words;

  WorkController(WorkService work, PriceService prices, Money money, JobService jobs, Words words) {
    this.work = work;
    this.prices = prices;
    this.money = money;
    this.jobs = jobs;
    this.words = words;
  }

  /** A line as typed. */
  record WorkForm(
      String kind, String work, String minutes, String step, String price, String needless) {
    WorkForm {
      step = gotera.web.figures.Entry.text(step, 20);
      kind = gotera.web.figures.Entry.choice(kind, Worded.words(WorkKind.class));
      work = gotera.web.figures.Entry.text(work, 200);
      minutes = gotera.web.figures.Entry.text(minutes, 20);
      price = gotera.web.figures.Entry.text(price, 20);
      needless = gotera.web.figures.Entry.text(needless, 5);
    }
  }

  /** A line as the page shows it. */
  record WorkLine(
      String id,
      String kind,
      String what,
      String minutes,
      String clock,
      boolean timed,
      String price,
      String needless) {}

  /** A clock that runs. */
  record Running(String step, String since, String minutes) {}

  @GetMapping("/jobs/{id}" + AT)
  String page(@PathVariable UUID id, Figures figures, Principal principal, Model model) {
    return page(id, BLANK, Map.of(), principal.getName(), figures, model);
  }

  @PostMapping("/jobs/{id}" + AT + "/clock")
  String start(
      @PathVariable UUID id, @RequestParam(defaultValue = "") String step, Principal principal) {
    jobs.require(id);
    work.start(
        id, Step.of(step).orElseThrow(() -> new NotFound("step " + step)), principal.getName());
    return "redirect:/jobs/" + id + AT;
  }

  @PostMapping("/jobs/{id}" + AT + "/clock/stop")
  String stop(@PathVariable UUID id, Principal principal) {
    jobs.require(id);
    work.stop(principal.getName());
    return "redirect:/jobs/" + id + AT;
  }

  @PostMapping("/jobs/{id}" + AT + "/{entryId}/minutes")
  Object correct(
      @PathVariable UUID id,
      @PathVariable UUID entryId,
      @RequestParam(defaultValue = "") String minutes,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble typed =
        problems.number(MINUTES, gotera.web.figures.Entry.text(minutes, 20), Range.WORKED);
    if (!problems.none()) {
      String said = problems.sentences().getOrDefault(MINUTES, "");
      return Pages.unprocessable(
          page(id, BLANK, Map.of("minutes-" + entryId, said), principal.getName(), figures, model),
          model);
    }
    work.correct(id, entryId, typed.getAsDouble());
    return "redirect:/jobs/" + id + AT;
  }

  @PostMapping("/jobs/{id}" + AT)
  Object write(
      @PathVariable UUID id,
      @ModelAttribute WorkForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    WorkKind kind =
        Worded.of(WorkKind.class, form.kind()).orElseThrow(() -> new NotFound(form.kind()));
    if (form.work().isEmpty()) {
      problems.add("work", "work.what-missing");
    }
    OptionalDouble minutes = problems.numberIfTyped(MINUTES, form.minutes(), Range.WORKED);
    OptionalDouble price = problems.numberIfTyped("price", form.price(), Range.PRICE);
    if (!problems.none()) {
      return Pages.unprocessable(
          page(id, form, problems.sentences(), principal.getName(), figures, model), model);
    }
    boolean needless = form.needless().equals("true");
    Time time = Time.typed(minutes, Step.of(form.step()));
    work.write(
        id, new Entry(id, kind, form.work(), time, price, needless, ""), principal.getName());
    return "redirect:/jobs/" + id + AT;
  }

  @PostMapping("/jobs/{id}" + AT + "/{entryId}/withdraw")
  String withdraw(@PathVariable UUID id, @PathVariable UUID entryId, Principal principal) {
    jobs.require(id);
    work.withdraw(id, entryId, principal.getName());
    return "redirect:/jobs/" + id + AT;
  }

  private String page(
      UUID id,
      WorkForm form,
      Map<String, String> problems,
      String who,
      Figures figures,
      Model model) {
    jobs.require(id);
    String currency = prices.rates().currency();
    WorkSums sums = work.sums(id);
    model.addAttribute("place", new JobPlace(id, Step.REPAIR, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("kinds", Worded.words(WorkKind.class));
    model.addAttribute("lines", work.entries(id).stream().map(e -> line(e, currency)).toList());
    clock(id, who, model);
    model.addAttribute("needed", said(sums.needed(), currency));
    model.addAttribute("tools", said(sums.tools(), currency));
    model.addAttribute("needless", said(sums.needless(), currency));
    return "work/work";
  }

  /** Somebody's clock, and what the clocks say of each step. */
  private void clock(UUID id, String who, Model model) {
    model.addAttribute("steps", Arrays.stream(Step.values()).map(Step::word).toList());
    model.addAttribute(
        "running",
        work.entries(id).stream()
            .filter(e -> e.time().running() && e.by().equals(who))
            .findFirst()
            .map(WorkController::running)
            .orElse(null));
    model.addAttribute(
        "bySteps",
        work.bySteps(id).entrySet().stream()
            .map(
                s ->
                    words.say(
                        "work.of-step",
                        words.say("step." + s.getKey().word()),
                        Figures.plain(s.getValue())))
            .toList());
  }

  private static Running running(Entry e) {
    return new Running(
        e.what(),
        e.time().from().map(Figures::moment).orElse(""),
        Figures.plain(e.time().minutes().orElse(0)));
  }

  /** Time and money in words. */
  private String said(Sum sum, String currency) {
    return words.say("work.sum", Figures.plain(sum.minutes()), price(sum.price(), currency));
  }

  private WorkLine line(Entry e, String currency) {
    return new WorkLine(
        e.id().toString(),
        words.say("work.kind." + e.kind().word()),
        e.what(),
        e.time().minutes().isPresent() ? Figures.plain(e.time().minutes().getAsDouble()) : "",
        e.time().from().map(f -> words.say("work.clocked", Figures.moment(f), e.by())).orElse(""),
        e.kind() == WorkKind.LABOUR && !e.time().running(),
        e.price().isPresent() ? price(e.price().getAsDouble(), currency) : "",
        e.needless() ? words.say("strip.needless") : "");
  }

  private String price(double amount, String currency) {
    return currency.isEmpty() ? Figures.plain(amount) : money.say(amount, currency);
  }
}
