package gotera.web.fill;

import gotera.coolant.FreezingPoint;
import gotera.coolant.FreezingPoint.Glycol;
import gotera.range.Range;
import gotera.refill.Dilution;
import gotera.refill.FillAccount;
import gotera.refill.FillAccount.Moment;
import gotera.refill.FillEntryKind;
import gotera.said.FillSaid.StrengthRead;
import gotera.uncertainty.DecisionLimits;
import gotera.web.circuit.CircuitService;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.words.Words;
import gotera.word.Worded;
import gotera.work.Step;
import java.security.Principal;
import java.util.ArrayList;
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

/** Fill up: the account of a system's coolant. */
@Controller
class FillController {
  private static final double HUNDRED = 100;

  private final FillService fills;
  private final Restoring restoring;
  private final CircuitService circuits;
  private final JobService jobs;
  private final Words words;

  FillController(
      FillService fills,
      Restoring restoring,
      CircuitService circuits,
      JobService jobs,
      Words words) {
    this.restoring = restoring;
    this.circuits = circuits;
    this.fills = fills;
    this.jobs = jobs;
    this.words = words;
  }

  /** A line of the account. */
  record Row(
      String when,
      String what,
      String volume,
      String strength,
      String lost,
      String id,
      boolean guided) {}

  @GetMapping("/jobs/{id}/fill-up")
  String page(@PathVariable UUID id, @ModelAttribute FillForm form, Figures figures, Model model) {
    FieldProblems problems = new FieldProblems(words);
    restoring.restore(id, form, problems, figures, model);
    return page(id, form, problems.sentences(), figures, model);
  }

  @PostMapping("/jobs/{id}/fill-up")
  Object write(
      @PathVariable UUID id,
      @ModelAttribute FillForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    Optional<FillEntryKind> kind = Worded.of(FillEntryKind.class, form.what());
    OptionalDouble volume =
        problems.millilitres(
            "fillVolume", form.fillVolume(), figures.units().volume().millilitres(), Range.FILL);
    OptionalDouble strength =
        form.poured().isEmpty()
            ? OptionalDouble.of(0)
            : problems.number("poured", form.poured(), Range.POURED_PERCENT);
    if (kind.filter(FillEntryKind::written).isEmpty()) {
      problems.add("what", "problem.fill-what");
    }
    if (!problems.none()) {
      return Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
    }
    fills.write(
        id,
        kind.orElseThrow(),
        volume.getAsDouble(),
        strength.getAsDouble() / HUNDRED,
        principal.getName());
    return "redirect:/jobs/" + id + "/fill-up";
  }

  @PostMapping("/jobs/{id}/fill-up/strength")
  Object measure(
      @PathVariable UUID id,
      @ModelAttribute FillForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    Glycol glycol = form.glycol().equals("propylene") ? Glycol.PROPYLENE : Glycol.ETHYLENE;
    OptionalDouble celsius =
        problems.celsius("freezes", form.freezes(), figures.units(), Range.COOLANT);
    if (celsius.isPresent()
        && !(celsius.getAsDouble() <= 0 && celsius.getAsDouble() >= glycol.lowest())) {
      problems.add(
          "freezes",
          "problem.freezes",
          form.freezes(),
          figures.temperature(glycol.lowest(), 0),
          figures.temperature(0, 0));
    }
    if (!problems.none()) {
      return Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
    }
    double strength = FreezingPoint.strength(glycol, celsius.getAsDouble());
    fills.measured(
        id, new StrengthRead(glycol, celsius.getAsDouble(), strength), principal.getName());
    return "redirect:/jobs/" + id + "/fill-up";
  }

  @PostMapping("/jobs/{id}/fill-up/{entryId}/withdraw")
  String withdraw(@PathVariable UUID id, @PathVariable UUID entryId, Principal principal) {
    jobs.require(id);
    fills.withdraw(id, entryId, principal.getName());
    return "redirect:/jobs/" + id + "/fill-up";
  }

  private String page(
      UUID id, FillForm form, Map<String, String> problems, Figures figures, Model model) {
    JobView job = jobs.require(id);
    model.addAttribute("place", new JobPlace(id, Step.FILL_UP, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute(
        "kinds",
        Arrays.stream(FillEntryKind.values())
            .filter(FillEntryKind::written)
            .map(FillEntryKind::word)
            .toList());
    model.addAttribute("twoFillers", circuits.circuit(id).joint("tank.cap").isPresent());
    model.addAttribute("known", job.liquidMl().isPresent());
    Optional<FillAccount> account = fills.account(id);
    model.addAttribute("rows", rows(fills.lines(id), account, figures));
    fills
        .lastMeasured(id)
        .ifPresent(
            m ->
                model.addAttribute(
                    "measured",
                    words.say(
                        "fill.measured",
                        figures.temperature(m.said().celsius(), 0),
                        Figures.fixed(m.said().strength() * HUNDRED, 0),
                        Figures.moment(m.at()))));
    account.ifPresent(a -> summary(a, job, fills.glycol(id), figures, model));
    if (job.strength().isPresent() && job.liquidMl().isPresent()) {
      fills
          .lastMeasured(id)
          .map(m -> m.said().strength())
          .filter(now -> now > 0 && now < job.strength().getAsDouble())
          .ifPresent(now -> model.addAttribute("diluted", diluted(job, now, figures)));
    }
    return "fill/fill-up";
  }

  /** What the fall of the strength says of the loss, where water was topped up. */
  private String diluted(JobView job, double now, Figures figures) {
    double full = job.liquidMl().orElseThrow();
    double before = job.strength().orElseThrow();
    Dilution lost = Dilution.of(full, before, now);
    double u = Dilution.u(full, before, now, FreezingPoint.READ_U, FreezingPoint.READ_U);
    return words.say(
        "fill.diluted",
        Figures.fixed(before * HUNDRED, 0),
        Figures.fixed(now * HUNDRED, 0),
        figures.volume(lost.bitByBit()),
        figures.volume(DecisionLimits.TWO_SIDED * u),
        figures.volume(lost.atOnce()));
  }

  private void summary(
      FillAccount account, JobView job, Glycol glycol, Figures figures, Model model) {
    Moment now = account.now();
    double percent = now.strength() * HUNDRED;
    model.addAttribute("volume", figures.volume(now.volume()));
    model.addAttribute("strength", Figures.fixed(percent, 0) + " %");
    model.addAttribute(
        "lost", now.lost() > 0 ? figures.volume(now.lost()) : words.say("fill.nothing-lost"));
    model.addAttribute("assumed", job.strength().isEmpty());
    if (account.isOverfull()) {
      model.addAttribute(
          "over",
          words.say("fill.over", figures.volume(now.volume()), figures.volume(account.full())));
    }
    OptionalDouble frost = FreezingPoint.ifKnown(glycol, now.strength());
    model.addAttribute("glycol", glycol.word());
    model.addAttribute(
        "freezing",
        frost.isPresent()
            ? figures.temperature(frost.getAsDouble(), 0)
            : words.say("fill.too-strong", Figures.plain(HUNDRED * glycol.highest())));
  }

  private List<Row> rows(
      List<FillService.FillLine> lines, Optional<FillAccount> account, Figures figures) {
    List<Row> rows = new ArrayList<>();
    for (int i = 0; i < lines.size(); i++) {
      FillService.FillLine line = lines.get(i);
      int after = i + 1;
      Optional<Moment> moment = account.map(a -> a.moments().get(after));
      String what =
          line.kind() == FillEntryKind.MEASURED
              ? words.say("fill.saw.measured", Figures.fixed(line.strength() * HUNDRED, 0))
              : words.say("fill.saw." + line.kind().word())
                  + " "
                  + figures.volume(line.millilitres());
      rows.add(
          new Row(
              Figures.moment(line.at()),
              line.kind().in() && line.kind().strengthMatters()
                  ? words.say("fill.of", what, Figures.fixed(line.strength() * HUNDRED, 0))
                  : what,
              moment.map(m -> figures.volume(m.volume())).orElse(""),
              moment.map(m -> Figures.fixed(m.strength() * HUNDRED, 0) + " %").orElse(""),
              moment.map(m -> figures.volume(m.lost())).orElse(""),
              line.written().map(UUID::toString).orElse(""),
              line.kind().guided()));
    }
    return rows;
  }
}
