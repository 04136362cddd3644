package gotera.web.pressure.hold;

import gotera.pressure.law.Medium;
import gotera.pressure.trace.TraceEvent;
import gotera.quantity.Slip;
import gotera.quantity.Typed;
import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.pressure.RunningTest;
import gotera.web.pressure.TypedReading;
import gotera.web.pressure.trace.Reading;
import java.time.Duration;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * A reading as tapped or typed.
 *
 * @param at time since the valve was shut, or since the first reading before that; empty for now
 * @param gauge what the gauge shows; empty where a step says it
 * @param temperature coolant temperature, or empty
 * @param step same, quarter or half: so much below the last reading
 * @param confirmed filled in once a pressure above the limit was confirmed
 * @param later filled in once it was said that readings are written down afterwards
 * @param entryId identifier of this entry, made with the page
 */
public record ReadingForm(
    String at,
    String gauge,
    String temperature,
    String step,
    String confirmed,
    String later,
    String entryId) {
  public static final ReadingForm EMPTY = new ReadingForm("", "", "", "", "", "", "");

  /** Everything absent is empty. */
  public ReadingForm {
    at = Entry.text(at, 20);
    gauge = Entry.text(gauge, 40);
    temperature = Entry.text(temperature, 40);
    step = Entry.text(step, 10);
    confirmed = Entry.text(confirmed, 10);
    later = Entry.text(later, 10);
    entryId = Entry.text(entryId, 36);
  }

  /** The same, written down afterwards. */
  ReadingForm afterwards() {
    return new ReadingForm(at, gauge, temperature, step, confirmed, "true", entryId);
  }

  /** Identifier of this entry, if the page made one. */
  Optional<UUID> entry() {
    return entryId.matches("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}")
        ? Optional.of(UUID.fromString(entryId))
        : Optional.empty();
  }

  /** Whether anything was entered. */
  boolean any() {
    return !gauge.isEmpty() || !step.isEmpty() || !at.isEmpty() || !temperature.isEmpty();
  }

  /**
   * Reads the form.
   *
   * @param fresh an identifier, where the page made none
   */
  Optional<TypedReading> read(
      FieldProblems problems, RunningTest test, UUID fresh, Figures figures) {
    OptionalDouble seconds = seconds(problems, test);
    OptionalDouble pressure = pressure(problems, test, figures);
    OptionalDouble celsius =
        problems.celsiusIfTyped("temperature", temperature, figures.units(), Range.COOLANT);
    if (!problems.none() || seconds.isEmpty() || pressure.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        new TypedReading(
            entry().orElse(fresh),
            new Reading(seconds.getAsDouble(), pressure.getAsDouble(), celsius),
            !at.isEmpty(),
            seconds.getAsDouble() > test.now() + TraceEvent.CLOCKS_APART));
  }

  private OptionalDouble seconds(FieldProblems problems, RunningTest test) {
    if (at.isEmpty()) {
      return OptionalDouble.of(test.now());
    }
    boolean before = at.startsWith("-") || at.startsWith("\u2212");
    Optional<Duration> since =
        problems.take("at", at, Typed.duration(before ? at.substring(1) : at));
    if (since.isEmpty()) {
      return OptionalDouble.empty();
    }
    double length = since.get().toMillis() / 1000.0;
    if (!Range.TRACE_LENGTH.holds(length)) {
      problems.add("at", "problem.too-far");
      return OptionalDouble.empty();
    }
    double seconds = test.origin() + (before ? -length : length);
    if (seconds > test.now() + TraceEvent.CLOCKS_APART && !test.writtenLater() && later.isEmpty()) {
      problems.add(
          "at",
          "problem.ahead-of-clock",
          at,
          Figures.minutesAndSeconds(test.now() - test.origin()));
      return OptionalDouble.empty();
    }
    return OptionalDouble.of(seconds);
  }

  private OptionalDouble pressure(FieldProblems problems, RunningTest test, Figures figures) {
    if (!step.isEmpty() && gauge.isEmpty()) {
      if (test.lastGauge().isEmpty()) {
        problems.add("gauge", "problem.no-reading-yet");
        return OptionalDouble.empty();
      }
      double last = test.lastGauge().getAsDouble();
      double one = test.gaugeStep();
      return OptionalDouble.of(
          switch (step) {
            case "quarter" -> last - one;
            case "half" -> last - 2 * one;
            default -> last;
          });
    }
    OptionalDouble typed = problems.kilopascals("gauge", gauge, figures.unit(), Range.GAUGE);
    if (typed.isEmpty()) {
      return typed;
    }
    // whoever reads a vacuum leaves its minus out
    boolean vacuum = test.medium() == Medium.VACUUM;
    double kilopascals = vacuum ? -Math.abs(typed.getAsDouble()) : typed.getAsDouble();
    double limit = test.limit().pressure().kilopascals();
    if (confirmed.isEmpty() && test.limit().isExceededBy(kilopascals, test.gaugeStep())) {
      problems.add(
          "gauge", "problem.above-limit", figures.pressure(kilopascals), figures.pressure(limit));
      return OptionalDouble.empty();
    }
    if (confirmed.isEmpty()
        && test.lastGauge().isPresent()
        && Slip.ofPoint(kilopascals, test.lastGauge().getAsDouble())) {
      problems.add(
          "gauge",
          "problem.ten-times",
          figures.pressure(kilopascals),
          figures.pressure(test.lastGauge().getAsDouble()));
      return OptionalDouble.empty();
    }
    return OptionalDouble.of(kilopascals);
  }
}
