package gotera.web.job;

import gotera.quantity.Typed;
import gotera.web.shell.Entry;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * Intake as typed.
 *
 * @param vehicle the vehicle's name
 * @param description its kind
 * @param reason why it is tested
 * @param complaint what the customer says
 * @param whereLost when and where coolant is lost
 * @param signs other signs told
 * @param otherComplaints other complaints of the visit
 * @param replacedPart a part replaced before
 * @param replacedAgo how many weeks ago
 * @param lossPerWeek loss per week
 * @param hotHours hours hot in a week
 * @param topUp water to the brim
 * @param liquid liquid in the system
 * @param strength strength in percent
 * @param version version of the job that was read
 */
record IntakeForm(
    String vehicle,
    String description,
    String reason,
    String complaint,
    String whereLost,
    @Nullable List<String> signs,
    String otherComplaints,
    String replacedPart,
    String replacedAgo,
    String lossPerWeek,
    String hotHours,
    String topUp,
    String liquid,
    String strength,
    int version) {
  static final List<String> REASONS = List.of("complaint", "baseline", "purchase", "assembly");
  static final List<String> PLACES =
      List.of("unknown", "puddle", "after-drive", "running", "never-seen");
  static final List<String> SIGNS =
      List.of(
          "sweet-smell-cabin",
          "wet-footwell",
          "no-cabin-heat",
          "needle-rises",
          "hoses-hard-cold",
          "white-smoke",
          "rough-cold-start",
          "pale-emulsion",
          "pink-froth");
  private static final double LITRE = 1000;
  private static final double WEEK = 7;

  /** Everything absent is empty. */
  IntakeForm {
    vehicle = Entry.text(vehicle, 120);
    description = Entry.text(description, 200);
    reason = Entry.choice(reason, REASONS);
    complaint = Entry.text(complaint, 2000);
    whereLost = Entry.choice(whereLost, PLACES);
    signs = signs == null ? List.of() : signs.stream().filter(SIGNS::contains).toList();
    otherComplaints = Entry.text(otherComplaints, 2000);
    replacedPart = Entry.text(replacedPart, 80);
    replacedAgo = Entry.text(replacedAgo, 20);
    lossPerWeek = Entry.text(lossPerWeek, 60);
    hotHours = Entry.text(hotHours, 60);
    topUp = Entry.text(topUp, 60);
    liquid = Entry.text(liquid, 60);
    strength = Entry.text(strength, 60);
  }

  static IntakeForm empty() {
    return new IntakeForm("", "", "", "", "", List.of(), "", "", "", "", "", "", "", "", 0);
  }

  /** Whether a sign was told. */
  public boolean told(String sign) {
    return signs != null && signs.contains(sign);
  }

  static IntakeForm of(JobView job) {
    return new IntakeForm(
        job.vehicle().orElse(""),
        job.description(),
        job.reason(),
        job.complaint(),
        job.whereLost(),
        job.signs(),
        job.otherComplaints(),
        job.replacedPart(),
        job.replacedDays().isPresent()
            ? Figures.plain(job.replacedDays().getAsDouble() / WEEK)
            : "",
        litres(job.lossMlPerWeek()),
        job.hotHoursPerWeek().isPresent() ? Figures.plain(job.hotHoursPerWeek().getAsDouble()) : "",
        litres(job.topUpMl()),
        litres(job.liquidMl()),
        job.strength().isPresent() ? Figures.plain(job.strength().getAsDouble() * 100) : "",
        job.version());
  }

  IntakeForm withVersion(int newer) {
    return new IntakeForm(
        vehicle,
        description,
        reason,
        complaint,
        whereLost,
        signs,
        otherComplaints,
        replacedPart,
        replacedAgo,
        lossPerWeek,
        hotHours,
        topUp,
        liquid,
        strength,
        newer);
  }

  Optional<Intake> read(FieldProblems problems) {
    if (vehicle.isBlank()) {
      problems.add("vehicle", "problem.vehicle");
    }
    OptionalDouble percent =
        number(problems.takeIfTyped("strength", strength, Typed.number(strength, "%")));
    if (percent.isPresent() && (percent.getAsDouble() < 0 || percent.getAsDouble() > 60)) {
      problems.add("strength", "problem.strength", strength);
    }
    OptionalDouble liquidMl = volume(problems, "liquid", liquid);
    if (liquidMl.isPresent()
        && (liquidMl.getAsDouble() < 500 || liquidMl.getAsDouble() > 200_000)) {
      problems.add("liquid", "problem.liquid", liquid);
    }
    OptionalDouble weeks = problems.numberIfTyped("replacedAgo", replacedAgo, "weeks", 0, 2000);
    Intake intake =
        new Intake(
            vehicle,
            description,
            reason,
            complaint,
            whereLost,
            signs == null ? List.of() : signs,
            otherComplaints,
            replacedPart,
            weeks.isPresent() ? OptionalDouble.of(WEEK * weeks.getAsDouble()) : weeks,
            volume(problems, "lossPerWeek", lossPerWeek),
            problems.numberIfTyped("hotHours", hotHours, "h", 0.1, 168),
            volume(problems, "topUp", topUp),
            liquidMl,
            percent.isPresent()
                ? OptionalDouble.of(percent.getAsDouble() / 100)
                : OptionalDouble.empty());
    return problems.none() ? Optional.of(intake) : Optional.empty();
  }

  private static OptionalDouble volume(FieldProblems problems, String field, String typed) {
    return number(
        problems.takeIfTyped(field, typed, Typed.volume(typed, LITRE)).map(v -> v.millilitres()));
  }

  private static OptionalDouble number(Optional<Double> value) {
    return value.isPresent() ? OptionalDouble.of(value.get()) : OptionalDouble.empty();
  }

  private static String litres(OptionalDouble millilitres) {
    return millilitres.isPresent() ? Figures.plain(millilitres.getAsDouble() / LITRE) + " L" : "";
  }
}
