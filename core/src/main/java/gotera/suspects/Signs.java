package gotera.suspects;

import gotera.evidence.Evidence;
import gotera.look.LookState;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.TwoTemperatures;
import gotera.suspects.Observation.Dripped;
import gotera.suspects.Observation.Sign;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Signs that were told: each once, and not where the same was seen more closely. */
final class Signs {
  private static final Set<String> LOST =
      Stream.of(WhereLost.values())
          .flatMap(w -> w.sign().stream())
          .collect(Collectors.toUnmodifiableSet());

  /** What a sign of a drip speaks of. */
  private static final Map<String, String> REGIONS =
      Map.of(
          "drip-front",
          "front",
          "drip-middle",
          "engine",
          "drip-rear",
          "engine",
          "wet-footwell",
          "cabin");

  private Signs() {}

  /** The signs that count. */
  static Set<String> counting(Case job) {
    Set<String> told = told(job);
    List<Predicate<String>> seenCloser = new ArrayList<>();
    List<Dripped> drips = Drips.located(job);
    seenCloser.add(
        s ->
            REGIONS.containsKey(s)
                && drips.stream().anyMatch(d -> d.spot().region().equals(REGIONS.get(s))));
    seenCloser.add(s -> s.equals("puddle-overnight") && drips.stream().anyMatch(Signs::puddle));
    seenCloser.add(s -> s.equals("puddle-overnight") && told.stream().anyMatch(Signs::outside));
    seenCloser.add(s -> s.equals("never-on-the-ground") && groundHides(job));
    // what stands and leaks makes the puddle; what is lost hot is lost on the drive
    seenCloser.add(s -> s.equals("loss-not-running") && told.contains("puddle-overnight"));
    seenCloser.add(
        s ->
            s.equals("loss-only-hot")
                && (told.contains("loss-after-drive") || told.contains("loss-while-running")));
    seenCloser.add(
        s ->
            s.equals("bubbles-at-neck")
                && job.counting(Bubbled.class).stream().anyMatch(b -> b.notCounted().isEmpty()));
    boolean fluids = !job.counting(FluidSeen.class).isEmpty();
    seenCloser.add(s -> fluids && (s.equals("pale-emulsion") || s.equals("pink-froth")));
    boolean thermostat =
        job.newest(TwoTemperatures.class).filter(t -> t.says().fault()).isPresent();
    seenCloser.add(s -> thermostat && (s.equals("no-cabin-heat") || s.equals("needle-rises")));
    told.removeIf(s -> seenCloser.stream().anyMatch(p -> p.test(s)));
    return told;
  }

  private static Set<String> told(Case job) {
    Set<String> told = new LinkedHashSet<>();
    job.observed().stream()
        .filter(Sign.class::isInstance)
        .map(o -> ((Sign) o).sign())
        .filter(s -> Case.VOCABULARY.sign(s).isPresent())
        .forEach(told::add);
    return told;
  }

  private static boolean puddle(Dripped drip) {
    return (drip.state() == LookState.PARKED || drip.state() == LookState.COLD)
        && !drip.spot().region().equals("cabin");
  }

  private static boolean outside(String sign) {
    return sign.equals("drip-front") || sign.equals("drip-middle") || sign.equals("drip-rear");
  }

  /** On loose ground no puddle is seen. */
  static boolean groundHides(Case job) {
    return job.newest(Told.Ground.class).filter(g -> g.surface() == Told.Surface.SOFT).isPresent();
  }

  /** Whether coolant is lost, by what was told. */
  static boolean lost(Case job) {
    return job.newest(Told.Loss.class).isPresent() || told(job).stream().anyMatch(LOST::contains);
  }

  /** Whether anybody says that coolant goes: a puddle alone may be of anything. */
  static boolean lossTold(Case job) {
    return job.newest(Told.Loss.class).isPresent()
        || told(job).stream().anyMatch(s -> LOST.contains(s) && !s.equals("puddle-overnight"));
  }

  static List<Evidence> of(Case job) {
    Set<String> counting = counting(job);
    List<Evidence> findings = new ArrayList<>();
    for (String sign : counting) {
      RegionFacts facts = Case.VOCABULARY.sign(sign).orElseThrow();
      // a drip told without its time is that of the puddle in the morning
      boolean parked = outside(sign) && told(job).contains("puddle-overnight");
      findings.add(
          (parked ? facts.acting(Case.VOCABULARY.acts("told-parked")) : facts)
              .evidence(new Clue.Told(sign), true));
    }
    Optional<Told.Loss> loss = job.newest(Told.Loss.class);
    if (loss.isPresent() && counting.stream().noneMatch(LOST::contains)) {
      findings.add(
          Case.VOCABULARY
              .result("lost-at-all")
              .evidence(new Clue.Result(Clue.Showed.LOST_AT_ALL), true));
    }
    return findings;
  }
}
