package gotera.dye;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.Reach;
import java.time.Instant;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * What is known of the dye in a circuit.
 *
 * @param scannedBefore whether somebody scanned before it went in
 * @param dosed when it went in
 * @param run how long it has run since, together (min)
 * @param reached the branches it has flowed through
 * @param rounds scan rounds begun since
 * @param glows what each joint's glow is
 * @param dark joints that were scanned since and do not glow
 */
public record Dye(
    boolean scannedBefore,
    Optional<Instant> dosed,
    double run,
    Set<Branch> reached,
    int rounds,
    Map<String, Glow> glows,
    Set<String> dark) {
  /** Glow has grown when its size has, by this factor and this much (our judgement, untested). */
  private static final double GROWN_FACTOR = 1.25;

  private static final double GROWN_BY = 2; // mm

  /** Keeps its own copies. */
  public Dye {
    reached = Set.copyOf(reached);
    glows = Map.copyOf(glows);
    dark = Set.copyOf(dark);
  }

  /** What follows from the steps, in order of time. */
  public static Dye of(Circuit circuit, List<DyeStep> steps) {
    Account account = new Account(circuit);
    steps.forEach(account::add);
    return account.dye();
  }

  /** What is known so far. */
  private static final class Account {
    private final Circuit circuit;
    private boolean scannedBefore;
    private Optional<Instant> dosed = Optional.empty();
    private double run;
    private int rounds;
    private final Set<Branch> reached = EnumSet.noneOf(Branch.class);
    private final Map<String, OptionalDouble> before = new HashMap<>();
    private final Map<String, OptionalDouble> sizes = new HashMap<>();
    private final Map<String, Glow> glows = new HashMap<>();
    private final Set<String> dark = new HashSet<>();
    private final Set<String> onceDark = new HashSet<>();

    Account(Circuit circuit) {
      this.circuit = circuit;
    }

    void add(DyeStep step) {
      if (step instanceof DyeStep.Scanned s) {
        scanned(s);
      } else if (step instanceof DyeStep.Dosed d) {
        dosed = Optional.of(d.at());
      } else if (step instanceof DyeStep.Ran r) {
        run += r.minutes();
        reached.addAll(Reach.byFlow(circuit, r.thermostatOpen(), r.heaterOpen()).branches());
      } else if (step instanceof DyeStep.Repaired r) {
        repaired(r.joint());
      } else if (step instanceof DyeStep.Round) {
        rounds++;
      } else {
        scannedBefore = true;
      }
    }

    private void repaired(String joint) {
      if (glows.containsKey(joint)) {
        before.put(joint, sizes.getOrDefault(joint, OptionalDouble.empty()));
        glows.put(joint, Glow.OLD);
      }
    }

    private void scanned(DyeStep.Scanned s) {
      sizes.put(s.joint(), s.millimetres());
      if (!s.glows()) {
        glows.remove(s.joint());
        onceDark.add(s.joint());
        before.remove(s.joint());
        if (dosed.isPresent()) {
          dark.add(s.joint());
        }
      } else if (dosed.isEmpty()) {
        before.put(s.joint(), s.millimetres());
        glows.put(s.joint(), Glow.OLD);
      } else {
        glows.put(s.joint(), now(s.joint(), s.millimetres()));
        dark.remove(s.joint());
      }
    }

    /** Growth is told by two sizes; without both nothing has grown as far as anybody knows. */
    private Glow now(String joint, OptionalDouble size) {
      OptionalDouble old = before.get(joint);
      if (old == null) {
        return scannedBefore || onceDark.contains(joint) ? Glow.NEW_GLOW : Glow.UNSCANNED;
      }
      boolean grown =
          old.isPresent()
              && size.isPresent()
              && size.getAsDouble() > old.getAsDouble() * GROWN_FACTOR
              && size.getAsDouble() > old.getAsDouble() + GROWN_BY;
      return grown ? Glow.GROWN : Glow.UNCHANGED;
    }

    Dye dye() {
      return new Dye(scannedBefore, dosed, run, reached, rounds, glows, dark);
    }
  }

  /**
   * What the lamp says of a joint: glow that counts, or none where dye has been. Empty where it
   * says nothing: not scanned, old glow that has not grown, or dark where no dye was.
   */
  public Optional<Glow> says(Joint joint) {
    Glow glow = glows.get(joint.code());
    if (dosed.isEmpty()) {
      return Optional.empty();
    }
    if (glow != null) {
      return Optional.of(glow).filter(Glow::counts);
    }
    return dark.contains(joint.code()) && reached.contains(joint.branch())
        ? Optional.of(Glow.DARK)
        : Optional.empty();
  }

  /** Branches of a circuit that it has not flowed through. */
  public Set<Branch> unreached(Circuit circuit) {
    Set<Branch> still = EnumSet.noneOf(Branch.class);
    circuit.joints().stream()
        .map(Joint::branch)
        .filter(b -> !reached.contains(b))
        .forEach(still::add);
    return still;
  }
}
