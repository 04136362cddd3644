package gotera.web.dye;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.Reach;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import gotera.web.finding.FindingService.New;
import gotera.web.photo.Photograph;
import java.time.Instant;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What dye and lamp have shown in a job. */
@Service
public class DyeService {
  static final String CHECK = "dye";

  /** Glow has grown when its size has, by this share and this much (mm) (our judgement). */
  private static final double GROWN_SHARE = 1.25;

  private static final double GROWN_BY = 2;

  private static final int GATE_THERMOSTAT = 1;
  private static final int GATE_HEATER = 2;

  private final FindingService findings;

  DyeService(FindingService findings) {
    this.findings = findings;
  }

  /** What a joint's glow is. */
  public enum Glow {
    /** Not there before the dye went in. */
    NEW,
    /** There before, and larger now. */
    GROWN,
    /** There before, and no larger: it has no weight. */
    UNCHANGED,
    /** Seen before the dye went in, not scanned since. */
    OLD
  }

  /**
   * What is known of the dye.
   *
   * @param scannedBefore whether somebody scanned before it went in
   * @param dosed when it went in
   * @param run how long it has run since, together (min)
   * @param reached the branches it has flowed through
   * @param rounds scan rounds begun since
   * @param glows what each joint's glow is
   * @param dark joints that were scanned since and do not glow
   */
  public record Known(
      boolean scannedBefore,
      Optional<Instant> dosed,
      double run,
      Set<Branch> reached,
      int rounds,
      Map<String, Glow> glows,
      Set<String> dark) {
    /** Keeps its own copies. */
    public Known {
      reached = Set.copyOf(reached);
      glows = Map.copyOf(glows);
      dark = Set.copyOf(dark);
    }
  }

  void scannedBefore(UUID jobId, String by) {
    findings.write(jobId, New.of(CHECK, "", "scanned-before"), by);
  }

  void dosed(UUID jobId, String compatible, OptionalDouble millilitres, String by) {
    findings.write(
        jobId,
        new New(
            CHECK,
            "",
            "dosed-" + compatible,
            millilitres,
            OptionalDouble.empty(),
            "",
            Optional.empty()),
        by);
  }

  void ran(UUID jobId, double minutes, boolean thermostat, boolean heater, String by) {
    int gates = (thermostat ? GATE_THERMOSTAT : 0) + (heater ? GATE_HEATER : 0);
    findings.write(
        jobId,
        new New(
            CHECK,
            "",
            "ran",
            OptionalDouble.of(minutes),
            OptionalDouble.of(gates),
            "",
            Optional.empty()),
        by);
  }

  void round(UUID jobId, String by) {
    findings.write(jobId, New.of(CHECK, "", "round"), by);
  }

  void scanned(
      UUID jobId,
      String joint,
      boolean glows,
      OptionalDouble millimetres,
      String note,
      Optional<Photograph> photograph,
      String by) {
    findings.write(
        jobId,
        new New(
            CHECK,
            joint,
            glows ? "glow" : "dark",
            millimetres,
            OptionalDouble.empty(),
            note,
            photograph),
        by);
  }

  /** Everything that is known. */
  public Known known(UUID jobId, Circuit circuit) {
    boolean scannedBefore = false;
    Optional<Instant> dosed = Optional.empty();
    double run = 0;
    int rounds = 0;
    Set<Branch> reached = EnumSet.noneOf(Branch.class);
    Map<String, Double> before = new LinkedHashMap<>();
    Map<String, Glow> glows = new LinkedHashMap<>();
    Set<String> dark = new java.util.LinkedHashSet<>();
    for (Finding f : findings.of(jobId, CHECK)) {
      double size = f.amount().orElse(0);
      if (f.saw().startsWith("dosed-")) {
        dosed = Optional.of(f.at());
      } else if (f.saw().equals("scanned-before")) {
        scannedBefore = true;
      } else if (f.saw().equals("ran")) {
        run += size;
        int gates = (int) f.second().orElse(0);
        reached.addAll(
            Reach.byFlow(circuit, (gates & GATE_THERMOSTAT) != 0, (gates & GATE_HEATER) != 0)
                .branches());
      } else if (f.saw().equals("round")) {
        rounds++;
      } else if (dosed.isEmpty()) {
        note(f, size, before, glows);
      } else if (f.saw().equals("glow")) {
        glows.put(f.subject(), against(before.get(f.subject()), size));
        dark.remove(f.subject());
      } else {
        glows.remove(f.subject());
        dark.add(f.subject());
      }
    }
    return new Known(scannedBefore, dosed, run, reached, rounds, glows, dark);
  }

  private static void note(
      Finding f, double size, Map<String, Double> before, Map<String, Glow> glows) {
    if (f.saw().equals("glow")) {
      before.put(f.subject(), size);
      glows.put(f.subject(), Glow.OLD);
    } else {
      before.remove(f.subject());
      glows.remove(f.subject());
    }
  }

  private static Glow against(@org.jspecify.annotations.Nullable Double before, double now) {
    if (before == null) {
      return Glow.NEW;
    }
    return now > before * GROWN_SHARE && now > before + GROWN_BY ? Glow.GROWN : Glow.UNCHANGED;
  }

  /**
   * What the lamp says of joints since a moment: new or grown glow, or none where dye has been. Old
   * glow that has not grown says nothing, nor does a dark joint that no dye has reached.
   */
  public Map<String, Boolean> seen(UUID jobId, Circuit circuit, Instant since) {
    Known known = known(jobId, circuit);
    Map<String, Boolean> seen = new LinkedHashMap<>();
    if (known.dosed().filter(d -> d.isAfter(since)).isEmpty()) {
      return seen;
    }
    known
        .glows()
        .forEach(
            (joint, glow) -> {
              if (glow == Glow.NEW || glow == Glow.GROWN) {
                seen.put(joint, true);
              }
            });
    for (Joint joint : circuit.joints()) {
      if (known.dark().contains(joint.code()) && known.reached().contains(joint.branch())) {
        seen.put(joint.code(), false);
      }
    }
    return seen;
  }
}
