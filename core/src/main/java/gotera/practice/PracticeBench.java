package gotera.practice;

import gotera.circuit.Circuit.Joint;
import gotera.dye.Glow;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Action;
import gotera.suspects.Checked.CapTried;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Observation.Scanned;
import gotera.suspects.Observation.Scope;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.regex.Pattern;

/** A practice vehicle at the bench: what is done to it takes minutes, and is answered. */
public final class PracticeBench {
  private static final OptionalDouble NONE = OptionalDouble.empty();

  /** What a tester sits in place of, and what lies behind that. */
  private static final Set<String> NOT_IN_A_HOLD =
      Set.of("cap.neck", "overflow-hose.bottle-end", "bottle.body", "second-tank.cap");

  /** What must come off before a place is seen, in minutes. */
  private static final Map<Pattern, Double> COVERS =
      Map.of(
          Pattern.compile("timing-cover\\..*|pump\\.block-gasket"), 25.0,
          Pattern.compile("(rear-)?heater-core\\.tubes"), 7.0,
          Pattern.compile("block\\..*"), 5.0,
          Pattern.compile("coolant-pipe\\.body"), 15.0,
          Pattern.compile("battery-plate\\.body"), 30.0,
          Pattern.compile("exhaust-cooler\\.core"), 12.0,
          Pattern.compile("intake\\.gasket-rear"), 4.0);

  /** How well an open place is seen. */
  private static final double OPEN = 0.93;

  /** The same where it is seen badly. */
  private static final Map<Pattern, Double> SEEN =
      Map.of(
          Pattern.compile("(second-)?head\\.gasket"), 0.6,
          Pattern.compile("block\\.core-plug-rear"), 0.7,
          Pattern.compile("pump\\.(gasket|block-gasket)"), 0.8);

  private static final double UNHIDE = 8;
  private static final double WARM_UP = 15;
  private static final double COOL_DOWN = 30;
  private static final double PUMP_UP = 8;
  private static final double WALK = 10;
  private static final double LOOK = 2;
  private static final double DRY_AND_WATCH = 5;
  private static final double HOLD = 20;
  private static final double DYE = 40;
  private static final double CAP = 8;
  private static final double COUNT = 3;

  /** Noise of a hold (mL/min), and its share of the rate. */
  private static final double HOLD_NOISE = 0.04;

  private static final double HOLD_SHARE = 0.05;
  private static final double ACCEPTED = 0.1;
  private static final double GROSS = 15;
  private static final double K = 1.645;

  /** A tight one is called a leak once in a hundred. */
  private static final double FALLS = 2.33;

  /** So much makes a place look wet, two thirds of the time (mL); a dried one beads with less. */
  private static final double LOOKS_WET = 0.4;

  private static final double BEADS = 0.06;

  /** So much is not overlooked, two thirds of the time (mL). */
  private static final double STREAM = 8;

  private static final double WATCHED = 6;
  private static final double BEAD_RUNS_DOWN = 0.06;

  private final PracticeVehicle vehicle;
  private final Random random;
  private final Set<String> uncovered = new HashSet<>();
  private LookState state = LookState.COLD;
  private double minutes;
  private double proving;

  /** So often in a row it was held: each time as long again. */
  private int holds;

  /** A vehicle that has just come in, cold. */
  public PracticeBench(PracticeVehicle vehicle, Random random) {
    this.vehicle = vehicle;
    this.random = random;
  }

  /** Minutes spent so far, without the tests of repairs: these take whoever found it as long. */
  public double minutes() {
    return minutes - proving;
  }

  /** What a check costs from cold, without what it shows. */
  static double fromCold(LookState wanted) {
    return wanted == LookState.PRESSED
        ? PUMP_UP
        : wanted == LookState.RUNNING || wanted == LookState.WARM ? WARM_UP : 0;
  }

  /** Minutes until a place is seen: covers off, what hides it aside. */
  static double toUncover(PracticeVehicle vehicle, String place) {
    return cover(place) + (vehicle.hidden.contains(place) ? UNHIDE : 0);
  }

  static double cover(String place) {
    return COVERS.entrySet().stream()
        .filter(c -> c.getKey().matcher(place).matches())
        .mapToDouble(Map.Entry::getValue)
        .sum();
  }

  static double seen(String place) {
    return PracticeVehicle.inside(place)
        ? 0
        : SEEN.entrySet().stream()
            .filter(s -> s.getKey().matcher(place).matches())
            .mapToDouble(Map.Entry::getValue)
            .min()
            .orElse(OPEN);
  }

  private void bring(LookState wanted) {
    boolean hot = state == LookState.RUNNING || state == LookState.WARM;
    boolean wantsHot = wanted == LookState.RUNNING || wanted == LookState.WARM;
    if (hot && !wantsHot) {
      minutes += COOL_DOWN;
    } else if (!hot && wantsHot) {
      minutes += WARM_UP;
    }
    if (wanted == LookState.PRESSED && state != LookState.PRESSED) {
      minutes += PUMP_UP;
    }
    state = wanted;
  }

  /**
   * Does a check.
   *
   * @param uncover whether what hides its place comes off first
   */
  public List<Observation> does(Action what, boolean uncover) {
    boolean holding = what.is(Action.Whole.RE_TEST) || what.is(Action.Whole.PRESSURE_TEST);
    holds = holding ? holds : 0;
    if (what instanceof Action.Look look) {
      return List.of(look(look, uncover));
    }
    if (what instanceof Action.LookRound round) {
      return round(round.then());
    }
    if (what instanceof Action.CountDrops count) {
      return List.of(mistaken(drops(count.at())));
    }
    if (what instanceof Action.TryCap cap) {
      minutes += CAP;
      boolean fails = vehicle.leaks().stream().anyMatch(l -> l.place().equals(cap.at()));
      return List.of(new CapTried(cap.at(), random.nextDouble() >= (fails ? 0.93 : 0.03)));
    }
    if (what instanceof Action.LookAtFluid fluid) {
      minutes += LOOK;
      return List.of(Within.fluid(vehicle, fluid.fluid(), random));
    }
    return whole(((Action.OfTheWhole) what).what());
  }

  private List<Observation> whole(Action.Whole what) {
    return switch (what) {
      case PRESSURE_TEST -> List.of(hold(false));
      case RE_TEST -> retest();
      case DYE -> dye();
      case COMBUSTION_GAS, BUBBLES -> {
        bring(LookState.RUNNING);
        minutes += HOLD;
        yield List.of(Within.gas(vehicle, what, random));
      }
      case CYLINDER -> {
        bring(LookState.PRESSED);
        minutes += 45;
        yield List.of(Within.cylinder(vehicle, random));
      }
      case PARKED_OVERNIGHT -> {
        state = LookState.PARKED;
        minutes += WALK;
        yield round(LookState.PARKED);
      }
      case REPAIR, LEVEL_WATCH, DONE -> List.of();
    };
  }

  private Observation look(Action.Look look, boolean uncover) {
    bring(look.then());
    if (uncover && !uncovered.contains(look.at())) {
      minutes += toUncover(vehicle, look.at());
      uncovered.add(look.at());
    }
    minutes += look.dried() ? DRY_AND_WATCH : LOOK;
    return mistaken(look.dried() ? bead(look) : at(look.at(), look.then()));
  }

  /** A round of looks: every place that can be seen as it is. */
  private List<Observation> round(LookState wanted) {
    bring(wanted);
    minutes += WALK;
    List<Observation> seen = new ArrayList<>();
    for (Joint joint : vehicle.circuit.joints()) {
      boolean open = cover(joint.code()) == 0 || uncovered.contains(joint.code());
      if (open && !PracticeVehicle.inside(joint.code())) {
        seen.add(at(joint.code(), wanted));
      }
    }
    // of a walk one entry is mistaken, as of any other
    int one = random.nextInt(seen.size());
    seen.set(one, mistaken((Looked) seen.get(one)));
    return seen;
  }

  /** What runs in a stream is not overlooked, where an eye gets at all. */
  private double noticed(String place, double millilitres) {
    double seen = vehicle.world.eyes() * seen(place);
    return seen <= 0 ? 0 : 1 - (1 - seen) * Math.exp(-millilitres / STREAM);
  }

  private boolean isHidden(String place) {
    return (vehicle.hidden.contains(place) || cover(place) > 0) && !uncovered.contains(place);
  }

  private Looked at(String place, LookState then) {
    if (isHidden(place)) {
      return new Looked(place, then, Sight.HIDDEN, NONE, NONE);
    }
    double there = 0;
    for (HiddenLeak leak : vehicle.leaks()) {
      double lost = leak.rate() * PracticeVehicle.loses(leak, then) * stands(then);
      there += leak.place().equals(place) ? lost : 0;
      there += vehicle.below(leak).contains(place) ? lost / 2 : 0;
    }
    double wet = noticed(place, there) * (1 - Math.exp(-there / LOOKS_WET));
    double spilled = vehicle.spilled.contains(place) ? 0.9 : 0;
    Sight saw =
        random.nextDouble() < 1 - (1 - wet) * (1 - spilled)
            ? Sight.WET
            : vehicle.crusted.contains(place) && random.nextDouble() < 0.6
                ? Sight.STAINED
                : Sight.DRY;
    return new Looked(place, then, saw, NONE, NONE);
  }

  /** For so long it has been losing when it is looked at (min); what is hot dries again. */
  private static double stands(LookState then) {
    return switch (then) {
      case PRESSED -> 10;
      case RUNNING -> 8;
      case WARM -> 4;
      case COLD -> 60;
      case PARKED -> 600;
    };
  }

  /** What a place does that was dried and is watched. */
  private Looked bead(Action.Look look) {
    String place = look.at();
    if (isHidden(place)) {
      return new Looked(place, look.then(), Sight.HIDDEN, NONE, NONE);
    }
    vehicle.spilled.remove(place);
    vehicle.crusted.remove(place);
    double dry = 1 - 0.004 * vehicle.world.misled();
    for (HiddenLeak leak : vehicle.leaks()) {
      double lost = leak.rate() * PracticeVehicle.loses(leak, look.then()) * WATCHED;
      double beads = noticed(place, lost) * (1 - Math.exp(-lost / BEADS));
      dry *= leak.place().equals(place) ? 1 - beads : 1;
      dry *= vehicle.below(leak).contains(place) ? 1 - BEAD_RUNS_DOWN * beads : 1;
    }
    Sight saw = random.nextDouble() < dry ? Sight.DRY : Sight.WET;
    return new Looked(place, look.then(), saw, NONE, NONE).dried();
  }

  private Looked drops(String place) {
    bring(LookState.PRESSED);
    minutes += COUNT;
    double rate =
        vehicle.leaks().stream()
            .filter(l -> l.place().equals(place))
            .mapToDouble(l -> l.rate() * PracticeVehicle.loses(l, LookState.PRESSED))
            .sum();
    double drops = Math.rint(rate * 20 * (1 + 0.15 * random.nextGaussian()));
    return drops < 1
        ? new Looked(place, LookState.PRESSED, Sight.DRY, NONE, NONE)
        : new Looked(
            place,
            LookState.PRESSED,
            Sight.WET,
            OptionalDouble.of(100),
            OptionalDouble.of(Math.min(600, drops)));
  }

  private Looked mistaken(Looked look) {
    boolean wrong = random.nextDouble() < vehicle.world.mistaken() && look.saw() != Sight.HIDDEN;
    Sight other = look.saw() == Sight.WET ? Sight.DRY : Sight.WET;
    Looked flipped = new Looked(look.place(), look.state(), other, NONE, NONE);
    return wrong ? (look.driedBefore() ? flipped.dried() : flipped) : look;
  }

  private Held hold(boolean afterRepair) {
    bring(LookState.PRESSED);
    int longer = ++holds;
    minutes += HOLD * longer;
    double rate =
        vehicle.leaks().stream()
            .filter(l -> !NOT_IN_A_HOLD.contains(l.place()))
            .mapToDouble(l -> l.rate() * PracticeVehicle.loses(l, LookState.PRESSED))
            .sum();
    if (rate > GROSS) {
      return new Held(
          VerdictKind.GROSS,
          new Outcome.AtLeast(rate / 2),
          100,
          Scope.of(""),
          afterRepair,
          List.of());
    }
    double u = Math.hypot(HOLD_NOISE / longer, HOLD_SHARE * rate);
    double read = rate + u * random.nextGaussian();
    VerdictKind says =
        read + K * u <= ACCEPTED
            ? VerdictKind.TIGHT
            : read > FALLS * u ? VerdictKind.LEAK : VerdictKind.NOT_PROVEN;
    return new Held(
        says,
        new Outcome.Rate(read, u, LeakLaw.ORIFICE),
        100,
        Scope.of(""),
        afterRepair,
        List.of());
  }

  /** A hold, and a round of looks while it runs. */
  private List<Observation> retest() {
    List<Observation> all = new ArrayList<>();
    double before = minutes;
    all.add(hold(true));
    all.addAll(round(LookState.RUNNING));
    proving += minutes - before;
    return all;
  }

  private List<Observation> dye() {
    bring(LookState.RUNNING);
    minutes += DYE;
    Set<String> glowing = new HashSet<>();
    for (HiddenLeak leak : vehicle.leaks()) {
      double lost = leak.rate() * PracticeVehicle.loses(leak, LookState.RUNNING) * 20;
      double shows = 0.92 * (1 - Math.exp(-lost / LOOKS_WET));
      if (random.nextDouble() < shows && !PracticeVehicle.inside(leak.place())) {
        glowing.add(leak.place());
        vehicle.below(leak).stream().filter(b -> random.nextDouble() < 0.6).forEach(glowing::add);
      }
    }
    List<Observation> all = new ArrayList<>();
    for (Joint joint : vehicle.circuit.joints()) {
      double sees = isHidden(joint.code()) ? 0.4 : vehicle.world.eyes();
      boolean false1 = random.nextDouble() < 0.004 * vehicle.world.misled();
      boolean glows = glowing.contains(joint.code()) && random.nextDouble() < sees || false1;
      if (glows || !isHidden(joint.code())) {
        all.add(new Scanned(joint.code(), glows ? Glow.NEW_GLOW : Glow.DARK));
      }
    }
    return all;
  }
}
