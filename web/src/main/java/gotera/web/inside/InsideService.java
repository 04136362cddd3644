package gotera.web.inside;

import gotera.combustion.GasColour;
import gotera.suspects.Checked;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.Bubbles;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.Hiss;
import gotera.suspects.Checked.Hissed;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Checked.TwoTemperatures;
import gotera.suspects.Observation;
import gotera.suspects.Observation.GasChecked;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingService.New;
import gotera.web.finding.Measure;
import gotera.web.finding.Measures;
import gotera.word.Worded;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** What was found inside a job's engine, and in its fluids. */
@Service
public class InsideService {
  static final String GAS = "gas";
  static final String BUBBLES = "bubbles";
  static final String CYLINDER = "cylinder";
  static final String FLUID = "fluid";
  static final String HOSES = "hoses";
  static final String HISS = "hiss";

  /** Conditions without which a gas check says nothing (common practice, no source). */
  static final List<String> GAS_CONDITIONS =
      List.of(
          "coolant-drawn-in", "engine-cold", "fluid-not-blue", "bulb-against-vacuum", "no-control");

  /** Conditions without which bubbles say nothing (common practice, no source). */
  static final List<String> BUBBLE_CONDITIONS = List.of("not-warm", "not-steady", "too-short");

  private static final String POOLED = "pooled";
  static final String PLUG = "plug";

  /** How a spark or glow plug can look beside the others. */
  static final List<String> PLUGS = List.of("like-others", "washed-clean", "wet", "sooty");

  private static final List<String> CHECKS =
      Stream.concat(
              Stream.of(GAS, BUBBLES, CYLINDER, PLUG, FLUID, HOSES, HISS),
              Worded.words(Noted.class).stream())
          .toList();

  private final FindingService findings;

  InsideService(FindingService findings) {
    this.findings = findings;
  }

  /**
   * Something that was found.
   *
   * @param finding as it was written
   * @param what what it is
   */
  public record Found(Finding finding, Observation what) {
    /** When. */
    public Instant at() {
      return finding.at();
    }
  }

  /** Everything that says something of the suspects, in order of time. */
  public List<Found> all(UUID jobId) {
    return written(jobId).stream()
        .flatMap(f -> observation(f).map(o -> new Found(f, o)).stream())
        .toList();
  }

  /** Everything that was written, in order of time. */
  public List<Finding> written(UUID jobId) {
    List<Finding> all = new ArrayList<>();
    CHECKS.forEach(check -> all.addAll(findings.of(jobId, check)));
    all.sort(Comparator.comparing(Finding::at));
    return all;
  }

  private static Optional<? extends Observation> observation(Finding f) {
    List<String> unmet = f.unmet().stream().sorted().toList();
    return switch (f.check()) {
      case GAS -> Worded.of(GasColour.class, f.saw()).map(c -> new GasChecked(c, unmet));
      case BUBBLES ->
          Worded.of(Bubbles.class, f.saw()).map(b -> new Bubbled(b, OptionalDouble.empty(), unmet));
      case CYLINDER -> cylinder(f);
      case FLUID ->
          Worded.of(Fluid.class, f.subject())
              .flatMap(at -> Worded.of(Checked.Look.class, f.saw()).map(l -> new FluidSeen(at, l)));
      case HOSES ->
          Optional.of(
              new TwoTemperatures(
                  f.measures().celsius().orElse(0),
                  f.measures().lowerCelsius().orElse(0),
                  f.measures().minutes().orElse(0)));
      case HISS -> Worded.of(Hiss.class, f.saw()).map(h -> new Hissed(h, f.measures().celsius()));
      default -> Worded.of(Noted.class, f.check()).flatMap(n -> n.sign(f.saw()));
    };
  }

  /** A row that names no cylinder is none. */
  private static Optional<InCylinder> cylinder(Finding f) {
    return f.subject().matches("[1-9]\\d?")
        ? Optional.of(
            new InCylinder(
                Integer.parseInt(f.subject()),
                !f.saw().equals("dry"),
                f.measures().millilitres(),
                f.measures().minutes(),
                f.saw().equals(POOLED)))
        : Optional.empty();
  }

  void gas(UUID jobId, GasColour colour, Set<String> unmet, String by) {
    write(jobId, GAS, colour.word(), unmet, by);
  }

  void bubbles(UUID jobId, Bubbles bubbles, Set<String> unmet, String by) {
    write(jobId, BUBBLES, bubbles.word(), unmet, by);
  }

  private void write(UUID jobId, String check, String saw, Set<String> unmet, String by) {
    findings.write(jobId, new New(check, "", saw, Measures.NONE, unmet, "", Optional.empty()), by);
  }

  /** What was drawn off, or what stands over the piston (mm) and is a volume by the bore. */
  void cylinder(UUID jobId, InCylinder seen, OptionalDouble depth, String by) {
    String saw = seen.pooled() ? POOLED : seen.wet() ? "wet" : "dry";
    findings.write(
        jobId,
        New.of(
            CYLINDER,
            Integer.toString(seen.number()),
            saw,
            Measures.drawnOff(seen.caught(), seen.minutes()).and(Measure.MILLIMETRES, depth)),
        by);
  }

  void plug(UUID jobId, int number, String saw, String by) {
    findings.write(jobId, New.of(PLUG, Integer.toString(number), saw), by);
  }

  void noted(UUID jobId, Noted check, String saw, String by) {
    findings.write(jobId, New.of(check.word(), "", saw), by);
  }

  void fluid(UUID jobId, FluidSeen seen, String by) {
    findings.write(jobId, New.of(FLUID, seen.at().word(), seen.saw().word()), by);
  }

  void hoses(UUID jobId, TwoTemperatures taken, String by) {
    findings.write(
        jobId,
        New.of(
            HOSES,
            "",
            "taken",
            Measures.hoses(taken.upper(), taken.lower()).and(Measure.MINUTES, taken.idling())),
        by);
  }

  void hiss(UUID jobId, Hissed hissed, String by) {
    findings.write(
        jobId,
        New.of(
            HISS,
            "",
            hissed.saw().word(),
            Measures.temperatures(hissed.coolant(), OptionalDouble.empty())),
        by);
  }
}
