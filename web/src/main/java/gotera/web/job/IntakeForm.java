package gotera.web.job;

import gotera.circuit.DripSpot;
import gotera.range.Range;
import gotera.suspects.Told;
import gotera.suspects.WhereLost;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.word.Worded;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
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
 * @param ground what it stands on
 * @param puddleAt where a puddle lay
 * @param trips how far it is driven
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
    String ground,
    String puddleAt,
    String trips,
    String replacedPart,
    String replacedAgo,
    String lossPerWeek,
    String hotHours,
    String topUp,
    String liquid,
    String strength,
    int version) {
  static final List<String> REASONS = List.of("complaint", "baseline", "purchase", "assembly");
  static final List<String> PLACES = Worded.words(WhereLost.class);
  static final List<String> SIGNS =
      List.of(
          "sweet-smell-cabin",
          "wet-footwell",
          "no-cabin-heat",
          "needle-rises",
          "hoses-hard-cold",
          "bubbles-at-neck",
          "white-smoke",
          "rough-cold-start",
          "pale-emulsion",
          "pink-froth",
          "smell-outside",
          "collapsed-hose",
          "overfilled",
          "coolant-changed",
          "sealer-put-in",
          "head-work",
          "stood-for-weeks");
  static final List<String> TIMES =
      Stream.of(WhereLost.values()).flatMap(w -> w.sign().stream()).toList();
  static final List<String> GROUNDS = orNothing(Worded.words(Told.Surface.class));
  static final List<String> TRIPS = orNothing(Worded.words(Told.Length.class));
  static final List<String> SPOTS = orNothing(Worded.words(DripSpot.class));
  private static final double WEEK = 7;

  /** The first is what stands where nobody said anything. */
  private static List<String> orNothing(List<String> words) {
    return Stream.concat(Stream.of(""), words.stream()).toList();
  }

  /** Everything absent is empty. */
  IntakeForm {
    vehicle = Entry.text(vehicle, 120);
    description = Entry.text(description, 200);
    reason = Entry.choice(reason, REASONS);
    complaint = Entry.text(complaint, 2000);
    whereLost = Entry.choice(whereLost, PLACES);
    signs =
        signs == null
            ? List.of()
            : signs.stream().filter(s -> SIGNS.contains(s) || TIMES.contains(s)).toList();
    otherComplaints = Entry.text(otherComplaints, 2000);
    ground = Entry.choice(ground, GROUNDS);
    puddleAt = Entry.choice(puddleAt, SPOTS);
    trips = Entry.choice(trips, TRIPS);
    replacedPart = Entry.text(replacedPart, 80);
    replacedAgo = Entry.text(replacedAgo, 20);
    lossPerWeek = Entry.text(lossPerWeek, 60);
    hotHours = Entry.text(hotHours, 60);
    topUp = Entry.text(topUp, 60);
    liquid = Entry.text(liquid, 60);
    strength = Entry.text(strength, 60);
  }

  static IntakeForm empty() {
    return new IntakeForm(
        "", "", "", "", "", List.of(), "", "", "", "", "", "", "", "", "", "", "", 0);
  }

  /** Whether a sign was told. */
  public boolean told(String sign) {
    return signs != null && signs.contains(sign);
  }

  static IntakeForm of(JobView job, Figures figures) {
    return new IntakeForm(
        job.vehicle().orElse(""),
        job.description(),
        job.reason(),
        job.complaint(),
        job.whereLost(),
        job.signs(),
        job.otherComplaints(),
        job.told().ground(),
        job.told().puddleAt(),
        job.told().trips(),
        job.replacedPart(),
        job.replacedDays().isPresent() ? Figures.full(job.replacedDays().getAsDouble() / WEEK) : "",
        volume(job.lossMlPerWeek(), figures),
        job.hotHoursPerWeek().isPresent() ? Figures.full(job.hotHoursPerWeek().getAsDouble()) : "",
        volume(job.topUpMl(), figures),
        volume(job.liquidMl(), figures),
        job.strength().isPresent() ? Figures.full(job.strength().getAsDouble() * 100) : "",
        job.version());
  }

  IntakeForm withVersion(int newer) {
    return with(vehicle, newer);
  }

  /** The same of another vehicle. */
  IntakeForm withVehicle(String name) {
    return with(name, version);
  }

  private IntakeForm with(String name, int newer) {
    return new IntakeForm(
        name,
        description,
        reason,
        complaint,
        whereLost,
        signs,
        otherComplaints,
        ground,
        puddleAt,
        trips,
        replacedPart,
        replacedAgo,
        lossPerWeek,
        hotHours,
        topUp,
        liquid,
        strength,
        newer);
  }

  Optional<Intake> read(FieldProblems problems, Figures figures) {
    if (vehicle.isBlank()) {
      problems.add("vehicle", "problem.vehicle");
    }
    double bare = figures.units().volume().millilitres();
    OptionalDouble percent = problems.numberIfTyped("strength", strength, Range.STRENGTH_PERCENT);
    OptionalDouble weeks = problems.numberIfTyped("replacedAgo", replacedAgo, Range.WEEKS_AGO);
    Intake intake =
        new Intake(
            vehicle,
            description,
            reason,
            complaint,
            whereLost,
            signs == null ? List.of() : signs,
            otherComplaints,
            new Intake.Told(ground, puddleAt, trips),
            replacedPart,
            weeks.isPresent() ? OptionalDouble.of(WEEK * weeks.getAsDouble()) : weeks,
            problems.millilitresIfTyped("lossPerWeek", lossPerWeek, bare, Range.LOSS_A_WEEK),
            problems.numberIfTyped("hotHours", hotHours, Range.HOT_HOURS_A_WEEK),
            problems.millilitresIfTyped("topUp", topUp, bare, Range.TOP_UP),
            problems.millilitresIfTyped("liquid", liquid, bare, Range.CAPACITY),
            percent.isPresent()
                ? OptionalDouble.of(percent.getAsDouble() / 100)
                : OptionalDouble.empty());
    return problems.none() ? Optional.of(intake) : Optional.empty();
  }

  private static String volume(OptionalDouble millilitres, Figures figures) {
    return millilitres.isPresent() ? figures.volumeField(millilitres.getAsDouble()) : "";
  }
}
