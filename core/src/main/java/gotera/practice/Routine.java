package gotera.practice;

import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Action;
import gotera.suspects.Action.Whole;
import gotera.suspects.Checked;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.Bubbles;
import gotera.suspects.Checked.CapTried;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Observation;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Scanned;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;

/**
 * A seasoned hand with a fixed order: look, cap, hold, look under pressure, inside where it falls
 * and all is dry, run, take off what hides, dye, inside. What is wet is dried and watched, from the
 * top.
 */
public final class Routine {
  private static final int MOST_UNCOVERED = 4;

  private final PracticeVehicle vehicle;
  private final PracticeBench bench;
  private final List<HiddenLeak> leaks;
  private final List<String> course = new ArrayList<>();
  private final Set<String> hidden = new LinkedHashSet<>();
  private int wrong;

  private Routine(PracticeVehicle vehicle, Random random) {
    this.vehicle = vehicle;
    this.bench = new PracticeBench(vehicle, random);
    this.leaks = vehicle.leaks();
  }

  /** A visit in the fixed order, again from the start after each repair while it leaks. */
  public static Outcome plays(PracticeVehicle vehicle, Random random) {
    Routine routine = new Routine(vehicle, random);
    boolean lost = !vehicle.leaks().isEmpty();
    boolean repaired = routine.search(lost);
    for (int i = 0; repaired && i < 3 && !routine.proven(); i++) {
      repaired = routine.search(true);
    }
    return new Outcome(
        routine.leaks,
        routine.leaks.size() - vehicle.leaks().size(),
        routine.wrong,
        routine.bench.minutes(),
        0,
        routine.course);
  }

  private boolean proven() {
    List<Observation> seen = bench.does(new Action.OfTheWhole(Whole.RE_TEST), false);
    boolean tight =
        seen.stream()
            .anyMatch(
                o ->
                    o instanceof Held h
                        && h.verdict() != VerdictKind.LEAK
                        && h.verdict() != VerdictKind.GROSS);
    return tight && wet(seen).isEmpty();
  }

  /** Whether something was found and repaired. */
  private boolean search(boolean lost) {
    return around(LookState.COLD)
        || cap()
        || pressed(lost)
        || lost && (running() || uncover() || dye() || within());
  }

  private boolean cap() {
    return vehicle.circuit.joints().stream()
        .map(j -> j.code())
        .filter(j -> j.equals("cap.neck") || j.endsWith("tank.cap"))
        .anyMatch(
            c ->
                bench.does(new Action.TryCap(c), false).stream()
                        .anyMatch(o -> o instanceof CapTried t && !t.passed())
                    && repair(c));
  }

  private boolean pressed(boolean lost) {
    Held held = (Held) bench.does(new Action.OfTheWhole(Whole.PRESSURE_TEST), false).get(0);
    boolean falls = held.verdict() == VerdictKind.LEAK || held.verdict() == VerdictKind.GROSS;
    return falls && (around(LookState.PRESSED) || uncover() || lost && within());
  }

  private boolean running() {
    return around(LookState.RUNNING);
  }

  private boolean around(LookState state) {
    List<Observation> seen = bench.does(new Action.LookRound(state, List.of()), false);
    seen.stream()
        .filter(o -> o instanceof Looked l && l.saw() == Sight.HIDDEN)
        .forEach(o -> hidden.add(((Looked) o).place()));
    LookState then = state == LookState.COLD ? LookState.PRESSED : state;
    return wet(seen).stream().anyMatch(p -> beads(p, then, false));
  }

  private boolean beads(String place, LookState then, boolean uncover) {
    boolean bead =
        bench.does(new Action.Look(place, then, true), uncover).stream()
            .anyMatch(o -> o instanceof Looked l && l.wet());
    return bead && repair(place);
  }

  private boolean uncover() {
    List<String> next = hidden.stream().limit(MOST_UNCOVERED).toList();
    hidden.removeAll(next);
    return next.stream().anyMatch(p -> beads(p, LookState.PRESSED, true));
  }

  private boolean dye() {
    List<Observation> seen = bench.does(new Action.OfTheWhole(Whole.DYE), false);
    List<String> glowing =
        sorted(
            seen.stream()
                .filter(o -> o instanceof Scanned s && s.glow().counts())
                .map(o -> ((Scanned) o).place())
                .toList());
    return glowing.stream().anyMatch(p -> beads(p, LookState.RUNNING, true))
        || glowing.stream().anyMatch(p -> beads(p, LookState.PRESSED, true));
  }

  private boolean within() {
    if (!vehicle.burns) {
      return false;
    }
    int signs = 0;
    for (Fluid fluid : List.of(Fluid.DIPSTICK, Fluid.COOLANT_SURFACE, Fluid.GEARBOX)) {
      Observation seen = bench.does(new Action.LookAtFluid(fluid), false).get(0);
      boolean odd = seen instanceof FluidSeen f && f.saw() != Checked.Look.CLEAN;
      if (odd && fluid == Fluid.GEARBOX && cooler("gearbox-cooler.core")
          || odd && fluid == Fluid.COOLANT_SURFACE && cooler("oil-cooler.core")) {
        return true;
      }
      signs += odd ? 1 : 0;
    }
    signs += shows(Whole.COMBUSTION_GAS) ? 1 : 0;
    signs += shows(Whole.BUBBLES) ? 1 : 0;
    if (signs < 2) {
      signs += shows(Whole.CYLINDER) ? 2 : 0;
    }
    return signs >= 2 && repair("inside.head-gasket");
  }

  private boolean cooler(String place) {
    return vehicle.circuit.joint(place).isPresent() && repair(place);
  }

  private boolean shows(Whole what) {
    Observation seen = bench.does(new Action.OfTheWhole(what), false).get(0);
    return seen instanceof GasChecked g && g.colour() != gotera.combustion.GasColour.BLUE
        || seen instanceof Bubbled b && b.result() != Bubbles.QUIET
        || seen instanceof InCylinder c && c.wet();
  }

  private boolean repair(String place) {
    boolean helped = vehicle.mend(Repairs.mended(place, vehicle));
    wrong += helped ? 0 : 1;
    course.add(Math.round(bench.minutes()) + " min REPAIR " + place + (helped ? "" : ", nothing"));
    return true;
  }

  /** Wet places, the topmost first. */
  private List<String> wet(List<Observation> seen) {
    return sorted(
        seen.stream()
            .filter(o -> o instanceof Looked l && l.wet())
            .map(o -> ((Looked) o).place())
            .toList());
  }

  private List<String> sorted(List<String> places) {
    return places.stream()
        .sorted(
            Comparator.comparingDouble(
                p -> vehicle.circuit.joint(p).map(j -> j.at().y()).orElse(0.0)))
        .toList();
  }
}
