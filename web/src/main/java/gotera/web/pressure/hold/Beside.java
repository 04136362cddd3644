package gotera.web.pressure.hold;

import gotera.balance.Complaint;
import gotera.coolant.Viscosity;
import gotera.pressure.PressureTestResult.Rate;
import gotera.pressure.law.AsCoolant;
import gotera.pressure.law.Medium;
import gotera.pressure.verdict.VerdictKind;
import gotera.web.figures.Figures;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.hold.PressurePage.Origin;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** What a rate means beside itself: hot, in coolant, in a week, against the complaint. */
@Component
class Beside {
  private final JobService jobs;
  private final Words words;

  Beside(JobService jobs, Words words) {
    this.jobs = jobs;
    this.words = words;
  }

  List<Origin> of(PressureTestView test, Figures figures) {
    List<Origin> beside = new ArrayList<>();
    test.result().rate().ifPresent(rate -> fill(beside, test, rate, figures));
    return beside;
  }

  private void fill(List<Origin> beside, PressureTestView test, Rate rate, Figures figures) {
    beside.add(
        say(
            "lets-through",
            finite(rate.limits().detection()),
            Figures.minutesAndSeconds(length(test))));
    if (rate.asCoolant().isPresent()) {
      AsCoolant coolant = rate.asCoolant().get();
      AsCoolant bound = bound(coolant, rate);
      beside.add(
          say(
              test.conditions().medium() == Medium.VACUUM ? "vacuum-as-coolant" : "as-coolant",
              Figures.twoDigits(Math.max(0, coolant.seep())),
              Figures.twoDigits(Math.max(0, coolant.orifice())),
              Figures.twoDigits(bound.seep()),
              Figures.twoDigits(bound.orifice())));
      return;
    }
    double hot = Viscosity.hotOverCold(test.conditions().coolant());
    boolean leak = test.result().verdict() == VerdictKind.LEAK;
    beside.add(
        say(
            "hot",
            leak
                ? Figures.twoDigits(hot * rate.rate())
                : Double.isFinite(rate.upper())
                    ? "\u2264 " + Figures.bound(hot * rate.upper())
                    : words.say("verdict.no-bound"),
            Figures.fixed(hot, 1),
            Figures.percent(test.conditions().coolant().strength())));
    complaint(beside, test, rate, figures);
  }

  private void complaint(List<Origin> beside, PressureTestView test, Rate rate, Figures figures) {
    JobView job = jobs.require(test.jobId());
    if (job.lossMlPerWeek().isEmpty()
        || job.hotHoursPerWeek().isEmpty()
        || !(job.lossMlPerWeek().getAsDouble() > 0)
        || !(job.hotHoursPerWeek().getAsDouble() > 0)) {
      return;
    }
    Complaint complaint =
        new Complaint(job.lossMlPerWeek().getAsDouble(), job.hotHoursPerWeek().getAsDouble());
    String answer =
        switch (complaint.against(rate.rate(), rate.u(), test.conditions().coolant())) {
          case EXPLAINED -> "complaint-explained";
          case MORE_IS_LOST -> "complaint-more";
          case LESS_IS_LOST -> "complaint-less";
        };
    beside.add(
        say(
            answer,
            Figures.twoDigits(complaint.rate()),
            figures.volume(complaint.lossPerWeek()),
            Figures.plain(complaint.hotHoursPerWeek())));
  }

  /** As the upper limit would be in coolant. */
  private static AsCoolant bound(AsCoolant coolant, Rate rate) {
    if (rate.rate() == 0) {
      return coolant;
    }
    double up = rate.upper() / rate.rate();
    return new AsCoolant(coolant.seep() * up, coolant.orifice() * up);
  }

  private String finite(double bound) {
    return Double.isFinite(bound) ? Figures.bound(bound) : words.say("verdict.no-bound");
  }

  private static double length(PressureTestView test) {
    return test.result().window().map(w -> w.to() - w.from()).orElse(0.0);
  }

  private Origin say(String key, Object... figures) {
    return new Origin(
        words.say("beside." + key),
        words.say("beside." + key + ".value", figures),
        words.say("beside." + key + ".from", figures));
  }
}
