package gotera.web.pressure;

import gotera.quantity.GaugePressure;
import gotera.quantity.Temperature;
import gotera.quantity.Typed;
import gotera.web.shell.Entry;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import java.time.Duration;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * A reading as tapped or typed.
 *
 * @param at time since the valve was shut; empty for now
 * @param gauge what the gauge shows; empty where a step says it
 * @param temperature coolant temperature, or empty
 * @param step same, quarter or half: so much below the last reading
 * @param confirmed filled in once a pressure above the limit was confirmed
 * @param entryId identifier of this entry, made with the page
 */
record ReadingForm(
    String at, String gauge, String temperature, String step, String confirmed, String entryId) {
  static final ReadingForm EMPTY = new ReadingForm("", "", "", "", "", "");

  /** Everything absent is empty. */
  ReadingForm {
    at = Entry.text(at, 20);
    gauge = Entry.text(gauge, 40);
    temperature = Entry.text(temperature, 40);
    step = Entry.text(step, 10);
    confirmed = Entry.text(confirmed, 10);
    entryId = Entry.text(entryId, 36);
  }

  /** Identifier of this entry, if the page made one. */
  Optional<UUID> entry() {
    return entryId.matches("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}")
        ? Optional.of(UUID.fromString(entryId))
        : Optional.empty();
  }

  /** A reading understood. */
  record Reading(double seconds, double kilopascals, OptionalDouble celsius) {}

  /**
   * Reads the form.
   *
   * @param now time on the test's clock (s)
   */
  Optional<Reading> read(
      FieldProblems problems, PressureTestView test, double now, Figures figures) {
    Optional<Double> seconds =
        at.isEmpty()
            ? Optional.of(now)
            : problems
                .take("at", at, Typed.duration(at))
                .map(Duration::toMillis)
                .map(ms -> test.valveShut().orElse(0.0) + ms / 1000.0);
    Optional<Double> pressure = pressure(problems, test, figures);
    Optional<Temperature> celsius =
        problems.takeIfTyped("temperature", temperature, Typed.temperature(temperature));
    if (!problems.none() || seconds.isEmpty() || pressure.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        new Reading(
            seconds.get(),
            pressure.get(),
            celsius.isPresent()
                ? OptionalDouble.of(celsius.get().celsius())
                : OptionalDouble.empty()));
  }

  private Optional<Double> pressure(
      FieldProblems problems, PressureTestView test, Figures figures) {
    if (!step.isEmpty() && gauge.isEmpty()) {
      if (test.trace().size() == 0) {
        problems.add("gauge", "problem.no-reading-yet");
        return Optional.empty();
      }
      double last = test.trace().gauge(test.trace().size() - 1);
      double one = test.conditions().gauge().resolution();
      return Optional.of(
          switch (step) {
            case "quarter" -> last - one;
            case "half" -> last - 2 * one;
            default -> last;
          });
    }
    Optional<GaugePressure> typed =
        problems.take("gauge", gauge, Typed.pressure(gauge, figures.unit()));
    double limit = test.conditions().limit().pressure().kilopascals();
    if (typed.isPresent() && typed.get().kilopascals() < -100) {
      problems.add("gauge", "problem.implausible", gauge, "");
      return Optional.empty();
    }
    if (typed.isPresent() && typed.get().kilopascals() > 1.05 * limit && confirmed.isEmpty()) {
      problems.add(
          "gauge",
          "problem.above-limit",
          figures.pressure(typed.get().kilopascals()),
          figures.pressure(limit));
      return Optional.empty();
    }
    return typed.map(GaugePressure::kilopascals);
  }
}
