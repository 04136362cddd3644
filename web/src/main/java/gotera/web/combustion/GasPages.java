package gotera.web.combustion;

import gotera.circuit.Features.Drive;
import gotera.combustion.GasCheck;
import gotera.combustion.GasCheck.Move;
import gotera.combustion.GasCheck.Says;
import gotera.combustion.GasForecast;
import gotera.combustion.GasStep;
import gotera.combustion.NotCounted;
import gotera.said.GasCheckSaid;
import gotera.warming.NeckLevel;
import gotera.warming.WarmUp;
import gotera.web.circuit.EngineTypeService;
import gotera.web.figures.Figures;
import gotera.web.finding.Finding;
import gotera.web.guide.Clock;
import gotera.web.guide.GuideService;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Makes the page of the gas check. */
@Component
class GasPages {
  private static final double LITRE = 1000;

  private final GasService gas;
  private final GuideService guides;
  private final EngineTypeService types;
  private final JobService jobs;
  private final Words words;

  GasPages(
      GasService gas, GuideService guides, EngineTypeService types, JobService jobs, Words words) {
    this.gas = gas;
    this.guides = guides;
    this.types = types;
    this.jobs = jobs;
    this.words = words;
  }

  GasPage page(UUID jobId, Figures figures) {
    jobs.require(jobId);
    List<Finding<GasCheckSaid>> run = gas.now(jobId);
    boolean ended = GuideService.ended(run);
    List<GasStep> steps = GasService.steps(run);
    GasCheck check = GasCheck.of(steps);
    Optional<NeckLevel> neck = gas.neck(jobId, run);
    Optional<WarmUp> warming = GasForecast.warming(steps);
    return new GasPage(
        check.next().word(),
        check.next().ordinal() + 1,
        Move.values().length - 1,
        types.features(jobId).drive() == Drive.DIESEL,
        ended ? List.of() : clocks(check, steps, neck, warming),
        neck.map(n -> neck(n, check, steps, warming, figures)).orElse(List.of()),
        check.level().map(GasStep.Level::gap),
        neck.flatMap(n -> GasForecast.climb(steps, n))
            .filter(GasForecast.Climb::faster)
            .isPresent(),
        check.notCounted().stream()
            .map(NotCounted::word)
            .map(w -> words.say("unmet." + w))
            .toList(),
        check.says() == Says.OPEN ? "" : check.says().word(),
        neck.isPresent(),
        ended,
        guides.lines(run, figures));
  }

  private List<Clock> clocks(
      GasCheck check, List<GasStep> steps, Optional<NeckLevel> neck, Optional<WarmUp> warming) {
    List<Clock> clocks = new ArrayList<>();
    Clock.of(words.say("gas-check.clock.draw"), check.drawing(), GasCheck.DRAWS)
        .ifPresent(clocks::add);
    Optional<Instant> started = at(steps, GasStep.Started.class);
    if (check.next() == Move.WARM_UP && started.isPresent()) {
      warming
          .flatMap(w -> w.until(GasForecast.USUALLY_OPENS).map(f -> opens(w, f, started.get())))
          .ifPresent(clocks::add);
    }
    boolean told = check.next() == Move.DONE || check.next() == Move.CONTROL;
    if (!told && started.isPresent() && check.level().isPresent()) {
      Instant from = later(started.get(), check.level().get().at());
      neck.flatMap(n -> GasForecast.reaches(steps, n))
          .map(f -> Clock.to(words.say("gas-check.clock.level"), from, f.minutes(), f.u(), true))
          .ifPresent(clocks::add);
    }
    return clocks;
  }

  private Clock opens(WarmUp warming, WarmUp.Forecast foreseen, Instant started) {
    Instant read = started.plus(Duration.ofMillis((long) (60_000 * warming.last())));
    return Clock.to(
        words.say("gas-check.clock.opens"), read, foreseen.minutes(), foreseen.u(), false);
  }

  private List<String> neck(
      NeckLevel neck,
      GasCheck check,
      List<GasStep> steps,
      Optional<WarmUp> warming,
      Figures figures) {
    List<String> said = new ArrayList<>();
    check.level().ifPresent(l -> said.add(words.say("gas-check.gap", Figures.plain(l.gap()))));
    warming.ifPresent(
        w -> {
          double rate = w.rate(w.last());
          double climb = neck.climb(w.celsius(w.last()), rate);
          said.add(
              words.say(
                  "gas-check.climbs",
                  Figures.fixed(climb, 0),
                  Figures.twoDigits(rate),
                  Figures.plain(neck.liquid() / LITRE),
                  Figures.plain(neck.area())));
        });
    if (check.next() == Move.WARM_UP || check.next() == Move.DRAW) {
      GasForecast.gapNeeded(steps, neck)
          .ifPresent(mm -> said.add(words.say("gas-check.needed", Figures.fixed(mm, 0))));
    }
    if (check.used().out() > 0) {
      said.add(words.say("gas-check.out", figures.volume(check.used().out())));
    }
    return said;
  }

  private static Optional<Instant> at(List<GasStep> steps, Class<? extends GasStep> kind) {
    return steps.stream().filter(kind::isInstance).map(GasStep::at).reduce((a, b) -> b);
  }

  private static Instant later(Instant a, Instant b) {
    return a.isAfter(b) ? a : b;
  }
}
