package gotera.suspects;

import gotera.balance.LeakBalance;
import gotera.balance.SiteFlow;
import gotera.circuit.Circuit;
import gotera.circuit.DripSpot;
import gotera.circuit.DripTrace;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.GaugePressure;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Observation.Dripped;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Observation.Replaced;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Everything observed on a job, as far as it counts now:
 *
 * <ul>
 *   <li>places that this vehicle does not have do not count;
 *   <li>once a test of the repair runs, what was seen before the repair is history, and what was
 *       complained of too;
 *   <li>looks of different states count beside each other, a newer one of the same state instead of
 *       an older one; cleaning wipes what was seen before;
 *   <li>the newest hold of each state counts, with the places whose flow was measured taken off
 *       first.
 * </ul>
 *
 * <p>A case never changes, so what follows from it is worked out once, when it is asked for first.
 */
public final class Case {
  /** The same part twice within this time is soon (d) (our judgement, untested). */
  static final double SOON = 365;

  /** A part renewed lately is likelier to leak, where it was opened (our judgement, untested). */
  private static final double OPENED = 2.5;

  static final Vocabulary VOCABULARY = Vocabulary.published();

  private final Circuit circuit;
  private final List<Observation> observed;
  private final AsNow now;
  private final ShopOdds shop;

  /** What was asked for before; it is the same whoever worked it out. */
  private final Map<Object, Object> known = new ConcurrentHashMap<>();

  /**
   * A case; what is at a place or spot that this vehicle does not have is left out.
   *
   * @param circuit the circuit as it is now
   * @param observed what was observed, in order of time
   * @param now how the circuit stands now
   * @param shop what the workshop's own jobs say of the odds beforehand
   */
  public Case(Circuit circuit, List<Observation> observed, AsNow now, ShopOdds shop) {
    Set<String> places =
        VOCABULARY.places(circuit).stream().map(PlaceFacts::place).collect(Collectors.toSet());
    List<DripSpot> spots = DripSpot.in(circuit);
    this.circuit = circuit;
    this.observed = observed.stream().filter(o -> isHere(o, places, spots)).toList();
    this.now = now;
    this.shop = shop;
  }

  /** By the model's priors alone. */
  public Case(Circuit circuit, List<Observation> observed, AsNow now) {
    this(circuit, observed, now, ShopOdds.NONE);
  }

  /** With the heater's valve shut or not. */
  public Case(Circuit circuit, List<Observation> observed, boolean heaterValveShut) {
    this(circuit, observed, AsNow.heaterValveShut(heaterValveShut));
  }

  /** The circuit as it is now. */
  public Circuit circuit() {
    return circuit;
  }

  /** What was observed, in order of time. */
  public List<Observation> observed() {
    return observed;
  }

  /** How the circuit stands now. */
  public AsNow now() {
    return now;
  }

  /** What is worked out at the first question, and kept. */
  @SuppressWarnings("unchecked")
  private <T> T once(Object question, Supplier<T> answer) {
    Object before = known.get(question);
    if (before == null) {
      before = answer.get();
      known.put(question, before);
    }
    return (T) before;
  }

  private enum Asked {
    HELD_COLD,
    HELD_HOT,
    COUNTING,
    WET,
    HIDDEN,
    LOOKS,
    TESTS,
    PLACES,
    OPEN
  }

  /** The same in a workshop whose own jobs speak too. */
  public Case in(ShopOdds workshop) {
    return new Case(circuit, observed, now, workshop);
  }

  /** Whether the heater's valve is shut. */
  public boolean heaterValveShut() {
    return now.heaterValveShut();
  }

  private static boolean isHere(Observation o, Set<String> places, List<DripSpot> spots) {
    if (o instanceof Dripped drip) {
      return spots.contains(drip.spot());
    }
    if (o instanceof Told.Puddle puddle) {
      return spots.contains(puddle.spot());
    }
    return !(o instanceof Observation.AtPlace at) || places.contains(at.place());
  }

  /** The newest hold. */
  public Optional<Held> held() {
    return newest(Held.class);
  }

  /**
   * The hold in a state, cold or running hot, that the most of the circuit was in; of equals the
   * newest.
   */
  Optional<Held> held(boolean hot) {
    return once(hot ? Asked.HELD_HOT : Asked.HELD_COLD, () -> widest(hot));
  }

  private Optional<Held> widest(boolean hot) {
    Optional<Held> most = Optional.empty();
    for (Held h : holds(hot)) {
      boolean less = most.filter(m -> out(m).size() < out(h).size()).isPresent();
      boolean within = less && most.filter(m -> out(h).containsAll(out(m))).isPresent();
      most = within ? most : Optional.of(h);
    }
    return most;
  }

  /** The newest hold of each extent, in order of time; what does not count is none. */
  List<Held> holds(boolean hot) {
    Map<Observation.Scope, Held> newest = new LinkedHashMap<>();
    for (Held h : counting(Held.class)) {
      if (h.scope().hot() == hot && h.counts()) {
        newest.remove(h.scope());
        newest.put(h.scope(), h);
      }
    }
    return List.copyOf(newest.values());
  }

  /** What was not in a hold. */
  Set<String> out(Held held) {
    return Scoped.of(circuit, AsNow.OPEN, held.scope()).out();
  }

  /**
   * What was in the test that each look under pressure was made in: that of the hold before it,
   * else of the one after it; else the circuit as it stands.
   */
  Map<Looked, Scoped> tests() {
    return once(Asked.TESTS, this::testsOfLooks);
  }

  private Map<Looked, Scoped> testsOfLooks() {
    Map<Looked, Scoped> tests = new HashMap<>();
    Map<Observation.Scope, Scoped> known = new HashMap<>();
    List<Looked> before = new ArrayList<>();
    Optional<Scoped> last = Optional.empty();
    for (Observation o : observed) {
      if (o instanceof Held h && !h.scope().hot()) {
        Scoped now = known.computeIfAbsent(h.scope(), s -> Scoped.of(circuit, AsNow.OPEN, s));
        before.forEach(l -> tests.put(l, now));
        before.clear();
        last = Optional.of(now);
      } else if (o instanceof Looked look && look.state() == LookState.PRESSED) {
        last.ifPresentOrElse(s -> tests.put(look, s), () -> before.add(look));
      }
    }
    if (!before.isEmpty()) {
      Scoped stands = Scoped.of(circuit, now, Observation.Scope.of(""));
      before.forEach(l -> tests.put(l, stands));
    }
    return tests;
  }

  /** The newest of a kind that counts. */
  <T extends Observation> Optional<T> newest(Class<T> kind) {
    for (int i = observed.size() - 1; i >= 0; i--) {
      if (kind.isInstance(observed.get(i))) {
        return Optional.of(kind.cast(observed.get(i)));
      }
    }
    return Optional.empty();
  }

  /** What counts of a kind. */
  public <T extends Observation> List<T> counting(Class<T> kind) {
    return once(kind, () -> all(counting(), kind));
  }

  private static <T extends Observation> List<T> all(List<Observation> from, Class<T> kind) {
    return from.stream().filter(kind::isInstance).map(kind::cast).toList();
  }

  /** Whether only what was seen since a repair counts. */
  boolean afterRepair() {
    return held().filter(Held::afterRepair).isPresent();
  }

  /** What counts: everything, or once the repair is tested what came after it. */
  private List<Observation> counting() {
    return once(Asked.COUNTING, this::sinceRepair);
  }

  private List<Observation> sinceRepair() {
    int repaired = -1;
    for (int i = 0; afterRepair() && i < observed.size(); i++) {
      repaired = observed.get(i) instanceof Observation.Repaired ? i : repaired;
    }
    return observed.subList(repaired + 1, observed.size());
  }

  /** The last look at each place. */
  public List<Looked> latest() {
    return latest(counting(Looked.class));
  }

  private static List<Looked> latest(List<Looked> looks) {
    Map<String, Looked> latest = new LinkedHashMap<>();
    looks.forEach(l -> latest.put(l.place(), l));
    return List.copyOf(latest.values());
  }

  /**
   * The places where coolant was seen, and no later look in the same state was without it: where it
   * drips under pressure a dry look when it was parked takes nothing back. One look for each place,
   * a counted one before others.
   */
  public List<Looked> wet() {
    return once(Asked.WET, this::leakingNow);
  }

  private List<Looked> leakingNow() {
    Map<String, Map<LookState, Looked>> places = new LinkedHashMap<>();
    for (Looked look : counting(Looked.class)) {
      if (look.saw() != Sight.HIDDEN) {
        Map<LookState, Looked> states =
            places.computeIfAbsent(look.place(), p -> new LinkedHashMap<>());
        states.remove(look.state());
        states.put(look.state(), look);
      }
    }
    return places.values().stream().flatMap(s -> leaking(s.values()).stream()).toList();
  }

  private static Optional<Looked> leaking(Collection<Looked> looks) {
    return looks.stream()
        .filter(Looked::wet)
        .reduce((a, b) -> a.flow().isPresent() && b.flow().isEmpty() ? a : b);
  }

  /** How many places were found wet before the repair that is tested now, and not since. */
  public long foundBefore() {
    int before = observed.size() - counting().size();
    Set<String> since = latest().stream().map(Looked::place).collect(Collectors.toSet());
    return latest(all(observed.subList(0, before), Looked.class)).stream()
        .filter(l -> l.wet() && !since.contains(l.place()))
        .count();
  }

  /** Places that cannot be seen as they are. */
  public Set<String> hidden() {
    return once(
        Asked.HIDDEN,
        () ->
            latest().stream()
                .filter(l -> l.saw() == Sight.HIDDEN)
                .map(Looked::place)
                .collect(Collectors.toSet()));
  }

  /**
   * What a look is the same as: of the same place in the same state, as it was; dried before, what
   * was seen too, for neither a bead nor a dry watch takes the other back.
   */
  private record Same(String place, LookState state, Optional<Sight> dried) {}

  /**
   * Every look that counts, the newest of those that are the same. A place that was wet and, dried,
   * stays dry got its wet from elsewhere: both say so together. Cleaning ends a track for what is
   * seen afterwards, and unsays nothing.
   */
  List<Looked> looks() {
    return once(Asked.LOOKS, this::newestLooks);
  }

  private List<Looked> newestLooks() {
    Map<Same, Looked> looks = new LinkedHashMap<>();
    for (Looked look : counting(Looked.class)) {
      Optional<Sight> dried = look.fresh() ? Optional.of(look.saw()) : Optional.empty();
      Same same = new Same(look.place(), look.state(), dried);
      if (look.saw() == Sight.RUNS) {
        // now it is seen to leave: that it was dry or only wet before, in this state, is past
        looks.remove(new Same(look.place(), look.state(), Optional.empty()));
      }
      if (look.saw() != Sight.CLEANED) {
        looks.remove(same);
        looks.put(same, look);
      }
    }
    return List.copyOf(looks.values());
  }

  /** The places that wet can come down from to a place, with how likely each makes it wet. */
  Map<String, Double> above(String place, LookState state) {
    boolean running = state == LookState.RUNNING;
    return once(
        new Above(place, running),
        () ->
            circuit
                .joint(place)
                .map(j -> DripTrace.runsDown(circuit, j, running))
                .orElseGet(Map::of));
  }

  private record Above(String place, boolean running) {}

  /** What contradicts itself. */
  public List<Contradiction> contradictions() {
    return once(Contradiction.class, () -> Contradiction.of(this));
  }

  /** Places whose flow was measured. */
  public Set<String> measured() {
    return wet().stream()
        .filter(l -> l.flow().isPresent())
        .map(Looked::place)
        .collect(Collectors.toSet());
  }

  /** What was caught in cylinders under pressure, each cylinder's last. */
  private List<SiteFlow> caughtInside() {
    Map<Integer, SiteFlow> caught = new LinkedHashMap<>();
    for (InCylinder c : counting(InCylinder.class)) {
      boolean flows = c.caught().isPresent() && c.minutes().isPresent() && !c.pooled();
      if (flows) {
        caught.put(
            c.number(), SiteFlow.Caught.drawn(c.caught().getAsDouble(), c.minutes().getAsDouble()));
      }
    }
    return List.copyOf(caught.values());
  }

  /** What the sites explain of the newest cold hold's rate, where that is one of a leak. */
  public Optional<LeakBalance> balance() {
    return held(false)
        .filter(h -> h.verdict() == VerdictKind.LEAK)
        .filter(h -> h.outcome() instanceof Outcome.Rate)
        .map(h -> balance(h, (Outcome.Rate) h.outcome()));
  }

  private LeakBalance balance(Held held, Outcome.Rate rate) {
    Set<String> all = places().stream().map(PlaceFacts::place).collect(Collectors.toSet());
    return balance(rate, held, all);
  }

  /** What the sites at some places, and what was caught inside, leave of a rate. */
  LeakBalance balance(Outcome.Rate rate, Held held, Set<String> at) {
    List<SiteFlow> flows = new ArrayList<>();
    wet().stream().filter(l -> at.contains(l.place())).forEach(l -> l.flow().ifPresent(flows::add));
    if (places().stream().anyMatch(p -> p.inside() && at.contains(p.place()))) {
      flows.addAll(caught(held));
    }
    return LeakBalance.of(
        rate.rate(), rate.u(), flows, rate.law(), new GaugePressure(held.ratedKpa()));
  }

  /** What was caught inside meanwhile. */
  List<SiteFlow> caught(Held held) {
    return Stream.concat(held.caught().stream(), caughtInside().stream()).toList();
  }

  /** Places this vehicle has, with what is known of each beforehand. */
  public List<PlaceFacts> places() {
    return once(Asked.PLACES, this::facts);
  }

  private List<PlaceFacts> facts() {
    Set<String> opened =
        all(observed, Replaced.class).stream()
            .filter(r -> r.daysAgo() <= SOON)
            .flatMap(r -> VOCABULARY.found("part", r.part()).stream())
            .collect(Collectors.toSet());
    return VOCABULARY.places(circuit).stream()
        .map(shop::of)
        .map(p -> opened.contains(part(p.place())) ? p.likelier(OPENED) : p)
        .toList();
  }

  /** The places that are left once those whose flow was measured are known to leak. */
  List<PlaceFacts> open() {
    return once(
        Asked.OPEN,
        () -> {
          Set<String> measured = measured();
          return places().stream().filter(p -> !measured.contains(p.place())).toList();
        });
  }

  /** The part that a place is of. */
  static String part(String place) {
    return place.substring(0, Math.max(0, place.indexOf('.')));
  }

  /** Whether the places found explain the rate: then another look tells nothing more. */
  public boolean isExplained() {
    return balance().filter(b -> !b.anotherLeak()).isPresent()
        && held(false).filter(h -> !measured().isEmpty() || !caught(h).isEmpty()).isPresent();
  }

  /**
   * Whether a test of the repair found it tight, and nothing was seen since that leaks: nothing is
   * under suspicion any more.
   */
  public boolean isProven() {
    return held().filter(h -> h.afterRepair() && h.verdict() == VerdictKind.TIGHT).isPresent()
        && observed
            .subList(observed.lastIndexOf(held().orElseThrow()) + 1, observed.size())
            .stream()
            .noneMatch(Case::leaks);
  }

  static boolean leaks(Observation o) {
    return o instanceof Looked look && look.wet()
        || o instanceof Dripped
        || o instanceof Observation.Scanned scan && scan.glow().counts();
  }
}
