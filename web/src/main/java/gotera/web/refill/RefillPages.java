package gotera.web.refill;

import gotera.coolant.Chemistry;
import gotera.coolant.CoolantMixture;
import gotera.coolant.FreezingPoint;
import gotera.coolant.FreezingPoint.Glycol;
import gotera.coolant.Growth;
import gotera.refill.DryHold;
import gotera.refill.FillAccount;
import gotera.refill.FillSteps.FillStep;
import gotera.refill.Mix;
import gotera.refill.Purge;
import gotera.said.RefillSaid.Source;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.figures.Figures;
import gotera.web.fill.FillService;
import gotera.web.finding.Finding;
import gotera.web.pressure.VerdictWords;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts together what the page of the refill shows. */
@Component
class RefillPages {
  private static final double HUNDRED = 100;

  private final RefillService refills;
  private final FillService fills;
  private final CircuitService circuits;
  private final CircuitWords names;
  private final VerdictWords verdicts;
  private final Words words;

  RefillPages(
      RefillService refills,
      FillService fills,
      CircuitService circuits,
      CircuitWords names,
      VerdictWords verdicts,
      Words words) {
    this.refills = refills;
    this.fills = fills;
    this.circuits = circuits;
    this.names = names;
    this.verdicts = verdicts;
    this.words = words;
  }

  /**
   * What is poured next.
   *
   * @param millilitres how much (mL)
   * @param strength of it (1)
   */
  record Jug(double millilitres, double strength) {}

  /**
   * A step as the page lists it.
   *
   * @param step what is done, and where
   * @param done the finding that says so, or empty
   * @param isDone whether it is done, by that or by its hold
   * @param next whether it comes next
   * @param hold the hold that does it, where one does
   */
  record StepShown(
      FillStep step,
      String name,
      String frees,
      String done,
      boolean isDone,
      boolean next,
      Optional<HoldShown> hold) {}

  /**
   * The hold of a step.
   *
   * @param medium what it is held with
   * @param test the test, or empty
   * @param said what it says, or empty
   * @param fell whether it must not be filled
   */
  record HoldShown(String medium, String test, String said, boolean fell) {}

  /** What is still to pour so that the full system has the strength that is wanted. */
  Optional<Mix.Fill> missing(UUID id) {
    OptionalDouble wanted = refills.wanted(id);
    return fills
        .account(id)
        .filter(a -> wanted.isPresent() && a.full() - a.now().volume() >= 1)
        .flatMap(
            a ->
                Mix.fullDrain(
                    a.full(), a.now().volume(), a.now().strength(), wanted.getAsDouble()));
  }

  /** The next jug: as much as it holds, at the strength that is missing. */
  Optional<Jug> next(UUID id) {
    OptionalDouble jug = refills.jug(id);
    return missing(id)
        .filter(f -> jug.isPresent())
        .map(
            f -> {
              double all = f.concentrate() + f.water();
              return new Jug(Math.min(jug.getAsDouble(), all), f.concentrate() / all);
            });
  }

  void show(UUID id, RefillForm form, Figures figures, Model model) {
    chemistry(id, model);
    mix(id, figures, model);
    steps(id, figures, model);
    purge(id, model);
  }

  private void chemistry(UUID id, Model model) {
    Optional<Chemistry> in = refills.in(id);
    Optional<Chemistry> poured = refills.poured(id);
    model.addAttribute("isIn", in.map(Chemistry::word).orElse(""));
    model.addAttribute("goesIn", poured.map(Chemistry::word).orElse(""));
    model.addAttribute("knownFrom", refills.source(id).map(Source::word).orElse(""));
    if (in.isPresent() && poured.isPresent()) {
      String advice = in.get().with(poured.get()).word();
      model.addAttribute("advice", words.say("chemistry.advice." + advice));
      model.addAttribute("adviceFine", in.get().with(poured.get()) == Chemistry.Advice.SAME);
    }
  }

  private void mix(UUID id, Figures figures, Model model) {
    OptionalDouble wanted = refills.wanted(id);
    Optional<FillAccount> account = fills.account(id);
    Glycol glycol = fills.glycol(id);
    model.addAttribute("known", account.isPresent());
    model.addAttribute(
        "wantedNow",
        wanted.isPresent() ? Figures.plain(Math.rint(HUNDRED * wanted.getAsDouble())) : "");
    model.addAttribute(
        "jugNow", refills.jug(id).isPresent() ? figures.volume(refills.jug(id).getAsDouble()) : "");
    model.addAttribute("glycolNow", glycol.word());
    if (wanted.isEmpty() || account.isEmpty()) {
      return;
    }
    FillAccount.Moment now = account.get().now();
    model.addAttribute(
        "frost",
        FreezingPoint.ifKnown(glycol, wanted.getAsDouble()).stream()
            .mapToObj(t -> figures.temperature(t, 0))
            .findFirst()
            .orElse(words.say("refill.no-frost")));
    model.addAttribute("isInNow", figures.volume(now.volume()));
    model.addAttribute("strengthNow", Figures.fixed(HUNDRED * now.strength(), 0) + " %");
    double clean = fills.cleanLeft(id);
    if (clean >= 1) {
      model.addAttribute("clean", words.say("refill.clean", figures.volume(clean)));
    }
    pouring(id, account.get(), wanted.getAsDouble(), figures, model);
    Growth growth =
        Growth.between(new CoolantMixture(wanted.getAsDouble()), Growth.FILLED, Growth.RUNNING);
    model.addAttribute(
        "room", words.say("refill.room", figures.volume(account.get().full() * growth.share())));
  }

  /** What is still to be poured, or why nothing is. */
  private void pouring(UUID id, FillAccount account, double wanted, Figures figures, Model model) {
    double gap = account.full() - account.now().volume();
    Optional<Mix.Fill> missing = missing(id);
    if (gap < 1) {
      model.addAttribute("pourSays", words.say("refill.full"));
    } else if (missing.isEmpty()) {
      Mix.Reach reach = Mix.reach(account.full(), account.now().volume(), account.now().strength());
      boolean tooWeak = reach.highest() < wanted;
      model.addAttribute(
          "pourSays",
          words.say(
              tooWeak ? "refill.cannot" : "refill.strong",
              Figures.fixed(HUNDRED * (tooWeak ? reach.highest() : reach.lowest()), 0)));
    } else {
      model.addAttribute("concentrate", figures.volume(missing.get().concentrate()));
      model.addAttribute("water", figures.volume(missing.get().water()));
      model.addAttribute("booked", fills.entries(id));
      next(id)
          .ifPresent(
              j ->
                  model.addAttribute(
                      "jugSays",
                      words.say(
                          "refill.jug",
                          figures.volume(j.millilitres()),
                          figures.volume(j.millilitres() * j.strength()),
                          figures.volume(j.millilitres() * (1 - j.strength())))));
    }
  }

  private void steps(UUID id, Figures figures, Model model) {
    List<StepShown> shown = new ArrayList<>();
    boolean nextFound = false;
    for (FillStep s : refills.steps(id)) {
      String done = refills.done(id, s).map(Finding::id).map(UUID::toString).orElse("");
      boolean isDone = refills.isDone(id, s);
      boolean next = !isDone && !nextFound;
      nextFound |= next;
      String frees =
          s.frees().stream()
              .map(c -> names.part(circuits.circuit(id), c))
              .collect(Collectors.joining(", "));
      String at = s.at().contains(".") ? names.joint(id, s.at()) : "";
      shown.add(
          new StepShown(
              s,
              words.say("fill-step." + s.does().word(), at),
              frees.isEmpty() ? "" : words.say("refill.frees", frees),
              done,
              isDone,
              next,
              hold(id, s, figures)));
    }
    model.addAttribute("airFirst", refills.airFirst(id));
    shown.stream()
        .flatMap(s -> s.hold().stream())
        .filter(HoldShown::fell)
        .findFirst()
        .ifPresent(h -> model.addAttribute("fell", words.say("refill.fell." + h.medium())));
    model.addAttribute("school", refills.school(id).word());
    model.addAttribute("steps", shown);
  }

  private Optional<HoldShown> hold(UUID id, FillStep step, Figures figures) {
    Optional<DryHolds.Held> held = refills.hold(id, step);
    return step.does()
        .hold()
        .map(
            m ->
                new HoldShown(
                    m.word(),
                    held.map(h -> h.test().id().toString()).orElse(""),
                    held.map(h -> verdicts.said(h.test(), figures).headline()).orElse(""),
                    held.filter(h -> h.says() == DryHold.FELL).isPresent()));
  }

  private void purge(UUID id, Model model) {
    Optional<Purge> purge = refills.purge(id);
    model.addAttribute("watched", purge.isPresent());
    purge.ifPresent(
        p -> {
          model.addAttribute("purgeEnded", p.ended());
          model.addAttribute("quiet", Figures.fixed(p.quiet(), 0));
          model.addAttribute(
              "purgeMissing",
              p.missing().stream().map(m -> words.say("purge.missing." + m.word())).toList());
        });
    model.addAttribute(
        "purgeSaid",
        refills.said(id).stream()
            .map(
                f ->
                    new RefillSaid(
                        f.id().toString(), words.say("purge.saw." + f.said().sign().word())))
            .toList());
  }

  /** Something said, as the page lists it. */
  record RefillSaid(String id, String text) {}
}
