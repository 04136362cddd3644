package gotera.formats;

import gotera.range.Range;
import gotera.retest.Circumstance;
import gotera.retest.Repeat;
import gotera.retest.Shown;
import gotera.standing.Happened;
import gotera.standing.LeaksAgain;
import gotera.standing.Visit;
import gotera.suspects.Observation;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads and writes when each finding of a job happened, and what was repeated after its repair: its
 * standing follows from both.
 */
final class ProofJson {
  private static final String HAPPENED = "happened";

  /** The first moment that a file may name; before it stand those that only have an order. */
  static final Instant FIRST = Instant.parse("1990-01-01T00:00:00Z");

  private static final Instant LAST = Instant.parse("2200-01-01T00:00:00Z");

  private static final List<String> REPEATS = List.of("hold", "dry-run", "drive", "marks");

  private ProofJson() {}

  /** When something happened; empty where that is not said. */
  static Optional<Instant> happened(JsonMembers m) {
    Optional<String> text = m.text(HAPPENED);
    Optional<Instant> at = text.flatMap(ProofJson::moment);
    if (text.isPresent() && at.isEmpty()) {
      m.refuse(HAPPENED, text.get(), "a moment like 2026-11-30T14:05:00Z");
    }
    return at;
  }

  private static Optional<Instant> moment(String text) {
    try {
      return Optional.of(Instant.parse(text)).filter(t -> !t.isBefore(FIRST) && t.isBefore(LAST));
    } catch (DateTimeException e) {
      return Optional.empty();
    }
  }

  private static Instant required(JsonMembers m) {
    if (!m.has(HAPPENED)) {
      m.refuse(HAPPENED, "nothing", "a moment like 2026-11-30T14:05:00Z");
    }
    return happened(m).orElse(FIRST);
  }

  /** What was observed, with what was repeated and what failed. */
  static Visit read(Optional<JsonMembers> proof, List<Happened<Observation>> observed) {
    List<Shown> shown = new ArrayList<>();
    List<Happened<Repeat>> repeated = new ArrayList<>();
    List<LeaksAgain> failed = new ArrayList<>();
    proof.ifPresent(
        p -> {
          p.elements("showed").forEach(m -> shown(m).ifPresent(shown::add));
          p.elements("repeated").forEach(m -> repeat(m).ifPresent(repeated::add));
          p.elements("failed").forEach(m -> failed(m).ifPresent(failed::add));
          p.refuseUnknown();
        });
    return new Visit(observed, shown, repeated, failed);
  }

  private static Optional<Shown> shown(JsonMembers m) {
    Optional<Circumstance> when = m.requiredChoice("when", Circumstance.class);
    OptionalDouble from = m.number("from_kpa", Range.GAUGE);
    OptionalDouble after = m.number("after_min", Range.RAN);
    m.refuseUnknown();
    return when.map(w -> new Shown(w, from, after));
  }

  private static Optional<Happened<Repeat>> repeat(JsonMembers m) {
    Instant at = required(m);
    Optional<Repeat> repeat =
        switch (m.requiredText("by", "one of " + REPEATS)
            .flatMap(b -> m.known("by", b, REPEATS, "what was repeated"))
            .orElse("")) {
          case "hold" -> hold(m);
          case "dry-run" ->
              m.required("minutes", Range.RAN).stream()
                  .mapToObj(t -> (Repeat) new Repeat.DryRun(t))
                  .findFirst();
          case "drive" -> Optional.of(new Repeat.Drive());
          case "marks" -> marks(m);
          default -> Optional.empty();
        };
    m.refuseUnknown();
    return repeat.map(r -> new Happened<>(at, r));
  }

  private static Optional<Repeat> hold(JsonMembers m) {
    OptionalDouble rate = m.required("upper_bound_ml_per_min", Range.SITE_RATE);
    OptionalDouble upTo = m.required("up_to_kpa", Range.GAUGE);
    return rate.isPresent() && upTo.isPresent()
        ? Optional.of(new Repeat.Hold(rate.getAsDouble(), upTo.getAsDouble()))
        : Optional.empty();
  }

  /** Without a bound over the hours hot there were none. */
  private static Optional<Repeat> marks(JsonMembers m) {
    OptionalDouble hot = m.number("hot_ml_per_min", Range.SITE_RATE);
    OptionalDouble standing = m.required("standing_ml_per_min", Range.SITE_RATE);
    OptionalDouble days = m.required("days", Range.WATCHED_DAYS);
    return standing.isPresent() && days.isPresent()
        ? Optional.of(
            new Repeat.Marks(
                hot.orElse(Double.POSITIVE_INFINITY), standing.getAsDouble(), days.getAsDouble()))
        : Optional.empty();
  }

  private static Optional<LeaksAgain> failed(JsonMembers m) {
    Instant at = required(m);
    Optional<Circumstance> when = m.requiredChoice("when", Circumstance.class);
    Optional<LeaksAgain.By> by = m.requiredChoice("by", LeaksAgain.By.class);
    String place = m.text("place").orElse("");
    m.refuseUnknown();
    return when.flatMap(w -> by.map(b -> new LeaksAgain(w, b, place, at)));
  }

  /** When it happened, where that is known. */
  static void write(ObjectNode n, Instant at) {
    if (!at.isBefore(FIRST)) {
      n.put(HAPPENED, at.toString());
    }
  }

  /** What was repeated, and what failed; nothing where nothing was. */
  static void write(ObjectNode job, Visit visit) {
    if (visit.shown().isEmpty() && visit.repeated().isEmpty() && visit.failed().isEmpty()) {
      return;
    }
    ObjectNode n = job.putObject("proof");
    ArrayNode showed = n.putArray("showed");
    for (Shown s : visit.shown()) {
      ObjectNode line = showed.addObject().put("when", s.when().word());
      s.gauge().ifPresent(kpa -> line.put("from_kpa", kpa));
      s.after().ifPresent(min -> line.put("after_min", min));
    }
    ArrayNode repeated = n.putArray("repeated");
    for (Happened<Repeat> r : visit.repeated()) {
      ObjectNode line = repeated.addObject().put(HAPPENED, r.at().toString());
      write(line, r.what());
    }
    ArrayNode failed = n.putArray("failed");
    for (LeaksAgain leak : visit.failed()) {
      ObjectNode line = failed.addObject().put(HAPPENED, leak.at().toString());
      line.put("when", leak.when().word()).put("by", leak.by().word());
      if (!leak.place().isEmpty()) {
        line.put("place", leak.place());
      }
    }
  }

  private static void write(ObjectNode n, Repeat repeat) {
    if (repeat instanceof Repeat.Hold hold) {
      n.put("by", "hold").put("upper_bound_ml_per_min", hold.rate()).put("up_to_kpa", hold.upTo());
    } else if (repeat instanceof Repeat.DryRun run) {
      n.put("by", "dry-run").put("minutes", run.minutes());
    } else if (repeat instanceof Repeat.Marks marks) {
      n.put("by", "marks").put("standing_ml_per_min", marks.standing()).put("days", marks.days());
      if (Double.isFinite(marks.hot())) {
        n.put("hot_ml_per_min", marks.hot());
      }
    } else {
      n.put("by", "drive");
    }
  }
}
