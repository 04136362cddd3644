package gotera.suspects;

import gotera.balance.LeakBalance;
import gotera.balance.SiteFlow;
import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.DripSpot;
import gotera.circuit.DripTrace;
import gotera.circuit.Reach;
import gotera.dye.Glow;
import gotera.evidence.CheckFacts;
import gotera.evidence.Diagnosis;
import gotera.evidence.Finding;
import gotera.evidence.PlaceFacts;
import gotera.evidence.SignFacts;
import gotera.look.DripFinding;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.GaugePressure;
import gotera.suspects.Observation.Dripped;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.GasColour;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Observation.Replaced;
import gotera.suspects.Observation.Scanned;
import gotera.suspects.Observation.Sign;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Everything observed on a job, as far as it counts now:
 *
 * <ul>
 *   <li>places that this vehicle does not have do not count;
 *   <li>once a test of the repair runs, what was seen before the repair is history, and what was
 *       complained of too;
 *   <li>looks of different states count beside each other, a newer one of the same state instead of
 *       an older one; cleaning wipes what was seen before;
 *   <li>the newest hold counts, with the places whose flow was measured taken off first.
 * </ul>
 *
 * @param circuit the circuit as it is now
 * @param observed what was observed, in order of time
 * @param heaterValveShut whether the heater's valve is shut, so that the heater is not in the test
 */
public record Case(Circuit circuit, List<Observation> observed, boolean heaterValveShut) {
  /** Place that a gas check speaks of. */
  private static final String HEAD_GASKET = "inside.head-gasket";

  /**
   * A look at less than this share of the rated pressure is one without pressure (our judgement).
   */
  private static final double PRESSED_SHARE = 0.5;

  /** Relative standard uncertainty of a gross leak beyond its lower bound (our judgement). */
  private static final double GROSS_U = 0.3;

  /** The same part twice within this time is soon (d) (our judgement, untested). */
  private static final double SOON = 365;

  private static final Vocabulary VOCABULARY = Vocabulary.published();

  /** Leaves out what is at a place or spot that this vehicle does not have. */
  public Case {
    Set<String> places =
        VOCABULARY.places(circuit).stream().map(PlaceFacts::place).collect(Collectors.toSet());
    List<DripSpot> spots = DripSpot.in(circuit);
    observed = observed.stream().filter(o -> isHere(o, places, spots)).toList();
  }

  private static boolean isHere(Observation o, Set<String> places, List<DripSpot> spots) {
    if (o instanceof Dripped drip) {
      return spots.contains(drip.spot());
    }
    return !(o instanceof Observation.AtPlace at) || places.contains(at.place());
  }

  /** The newest hold. */
  public Optional<Held> held() {
    return newest(Held.class);
  }

  private <T extends Observation> Optional<T> newest(Class<T> kind) {
    return all(observed, kind).stream().reduce((a, b) -> b);
  }

  private static <T extends Observation> List<T> all(List<Observation> from, Class<T> kind) {
    return from.stream().filter(kind::isInstance).map(kind::cast).toList();
  }

  /** Whether only what was seen since a repair counts. */
  private boolean afterRepair() {
    return held().filter(Held::afterRepair).isPresent();
  }

  /** What counts: everything, or once the repair is tested what came after it. */
  private List<Observation> counting() {
    int repaired = -1;
    for (int i = 0; afterRepair() && i < observed.size(); i++) {
      repaired = observed.get(i) instanceof Observation.Repaired ? i : repaired;
    }
    return observed.subList(repaired + 1, observed.size());
  }

  /** The last look at each place. */
  public List<Looked> latest() {
    Map<String, Looked> latest = new LinkedHashMap<>();
    all(counting(), Looked.class).forEach(l -> latest.put(l.place(), l));
    return List.copyOf(latest.values());
  }

  /** The places where coolant was seen last. */
  public List<Looked> wet() {
    return latest().stream().filter(Looked::wet).toList();
  }

  /** How many places were found wet before the repair that is tested now, and not since. */
  public long foundBefore() {
    List<Observation> now = counting();
    Map<String, Looked> before = new LinkedHashMap<>();
    all(observed.subList(0, observed.size() - now.size()), Looked.class)
        .forEach(l -> before.put(l.place(), l));
    latest().forEach(l -> before.remove(l.place()));
    return before.values().stream().filter(Looked::wet).count();
  }

  /** Places that cannot be seen as they are. */
  public Set<String> hidden() {
    return latest().stream()
        .filter(l -> l.saw() == Sight.HIDDEN)
        .map(Looked::place)
        .collect(Collectors.toSet());
  }

  /** Every look that counts, one for each place and state. */
  private List<Looked> looks() {
    Map<String, Map<LookState, Looked>> places = new LinkedHashMap<>();
    for (Looked look : all(counting(), Looked.class)) {
      Map<LookState, Looked> states =
          places.computeIfAbsent(look.place(), p -> new LinkedHashMap<>());
      if (look.saw() == Sight.CLEANED) {
        states.clear();
      } else {
        states.remove(look.state());
        states.put(look.state(), look);
      }
    }
    return places.values().stream().flatMap(m -> m.values().stream()).toList();
  }

  /** What the sites explain of the newest hold's rate, where that is one of a leak. */
  public Optional<LeakBalance> balance() {
    return held()
        .filter(h -> h.verdict() == VerdictKind.LEAK)
        .filter(h -> h.outcome() instanceof Outcome.Rate)
        .map(h -> balance(h, (Outcome.Rate) h.outcome()));
  }

  private LeakBalance balance(Held held, Outcome.Rate rate) {
    List<SiteFlow> flows = new ArrayList<>();
    wet().forEach(l -> l.flow().ifPresent(flows::add));
    flows.addAll(held.caught());
    return LeakBalance.of(
        rate.rate(), rate.u(), flows, rate.law(), new GaugePressure(held.ratedKpa()));
  }

  /** What applies of the rules of the trade. */
  public List<Flag> flags() {
    List<Flag> flags = new ArrayList<>();
    for (Observation o : observed) {
      if (o instanceof Replaced r && r.daysAgo() <= SOON) {
        flags.add(new Flag.SamePart(r.part(), r.daysAgo()));
      } else if (o instanceof GasChecked gas && !gas.notCounted().isEmpty()) {
        flags.add(new Flag.GasDoesNotCount(gas.notCounted()));
      }
    }
    return flags;
  }

  /** Places this vehicle has, with what is known of each beforehand. */
  public List<PlaceFacts> places() {
    return VOCABULARY.places(circuit);
  }

  /** What counts, as it is weighed. */
  public Diagnosis.Found found() {
    Set<String> explained = new HashSet<>();
    wet().stream().filter(l -> l.flow().isPresent()).forEach(l -> explained.add(l.place()));
    List<Finding> others = new ArrayList<>();
    CheckFacts stain = VOCABULARY.check("stain");
    looks().stream()
        .filter(l -> l.saw() == Sight.STAINED)
        .forEach(l -> others.add(stain.at("stain", l.place(), true)));
    drips().forEach(t -> others.add(DripFinding.of(t)));
    all(counting(), Scanned.class).forEach(s -> lamp(s).ifPresent(others::add));
    others.addAll(blots());
    return new Diagnosis.Found(explained, weighed(), signs(), rate(), others, cutOff());
  }

  /** Looks as the model knows them: of its three states the newer look counts. */
  private List<Diagnosis.Look> weighed() {
    Map<String, Diagnosis.Look> seen = new LinkedHashMap<>();
    for (Looked l : looks()) {
      if (l.saw() == Sight.WET || l.saw() == Sight.DRY) {
        PlaceFacts.State state = state(l);
        seen.put(l.place() + " " + state, new Diagnosis.Look(l.place(), state, l.wet()));
      }
    }
    for (GasChecked gas : all(counting(), GasChecked.class)) {
      if (gas.notCounted().isEmpty() && circuit.part("block").isPresent()) {
        boolean turned = gas.colour() != GasColour.BLUE;
        seen.put("gas", new Diagnosis.Look(HEAD_GASKET, PlaceFacts.State.RUNNING, turned));
      }
    }
    return List.copyOf(seen.values());
  }

  private PlaceFacts.State state(Looked look) {
    double rated = held().map(Held::ratedKpa).orElse(Held.USUAL_RATED);
    return switch (look.state()) {
      case WARM, RUNNING -> PlaceFacts.State.RUNNING;
      case PRESSED ->
          look.gauge().isEmpty() || look.gauge().getAsDouble() >= PRESSED_SHARE * rated
              ? PlaceFacts.State.PRESSED
              : PlaceFacts.State.PARKED;
      case PARKED, COLD -> PlaceFacts.State.PARKED;
    };
  }

  /** What was told before a repair says nothing of what leaks after it. */
  private List<SignFacts> signs() {
    return afterRepair()
        ? List.of()
        : all(observed, Sign.class).stream()
            .flatMap(s -> VOCABULARY.sign(s.sign()).stream())
            .distinct()
            .toList();
  }

  /** Each spot where it dripped, once; the newest counts. */
  private List<DripTrace> drips() {
    Map<String, DripTrace> traces = new LinkedHashMap<>();
    for (Dripped d : all(counting(), Dripped.class)) {
      traces.remove(d.spot().word());
      traces.put(d.spot().word(), DripTrace.of(circuit, d.spot(), d.running()));
    }
    return List.copyOf(traces.values());
  }

  /** Paper at a place counts once, as it came away last. */
  private Collection<Finding> blots() {
    CheckFacts blot = VOCABULARY.check("blot");
    Map<String, Finding> last = new LinkedHashMap<>();
    for (Observation.Blotted b : all(counting(), Observation.Blotted.class)) {
      last.put(b.place(), blot.at(b.damp() ? "damp-paper" : "dry-paper", b.place(), b.damp()));
    }
    return last.values();
  }

  /** Old glow that has not grown says nothing; glow never scanned before says little. */
  private static Optional<Finding> lamp(Scanned scan) {
    if (scan.glow() != Glow.DARK && !scan.glow().counts()) {
      return Optional.empty();
    }
    boolean glows = scan.glow().counts();
    String facts = scan.glow() == Glow.UNSCANNED ? "dye-unscanned" : "dye";
    return Optional.of(VOCABULARY.check(facts).at(glows ? "glow" : "no-glow", scan.place(), glows));
  }

  /** What is left once the sites are taken off; of a gross leak only a lower bound is known. */
  private Optional<Diagnosis.Rate> rate() {
    Optional<LeakBalance> balance = balance();
    if (balance.isPresent()) {
      return balance.map(b -> new Diagnosis.Rate(b.unexplained(), b.unexplainedU()));
    }
    Optional<Outcome> outcome = held().map(Held::outcome);
    if (outcome.isPresent() && outcome.get() instanceof Outcome.AtLeast gross) {
      return Optional.of(new Diagnosis.Rate(gross.rate(), GROSS_U * gross.rate()));
    }
    return outcome.isPresent() && outcome.get() instanceof Outcome.Rate r
        ? Optional.of(new Diagnosis.Rate(r.rate(), r.u()))
        : Optional.empty();
  }

  /** Places that are not in the test: behind a shut valve, or in another loop. */
  private Set<String> cutOff() {
    Reach reach = Reach.byPressure(circuit, !heaterValveShut);
    String loop = held().map(Held::loop).orElse("");
    return circuit.joints().stream()
        .filter(j -> !reach.reaches(j) || !(loop.isEmpty() || j.branch().word().equals(loop)))
        .map(Joint::code)
        .collect(Collectors.toSet());
  }

  /** Whether the places found explain the rate: then another look tells nothing more. */
  public boolean isExplained() {
    return balance().filter(b -> !b.anotherLeak()).isPresent()
        && wet().stream().anyMatch(l -> l.flow().isPresent());
  }

  /** Whether a test of the repair found it tight: nothing is under suspicion any more. */
  public boolean isProven() {
    return held().filter(h -> h.afterRepair() && h.verdict() == VerdictKind.TIGHT).isPresent();
  }
}
