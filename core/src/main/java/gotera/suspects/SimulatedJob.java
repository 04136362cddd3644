package gotera.suspects;

import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitPresets;
import gotera.combustion.GasColour;
import gotera.dye.Glow;
import gotera.evidence.Evidence;
import gotera.evidence.Mode;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Observation.Scanned;
import gotera.uncertainty.DecisionLimits;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;

/**
 * A job that was made up with the faults it has: to see whether places that are given 30 % leak in
 * 30 of 100 such jobs. Its findings are drawn from the likelihoods of the model, or from others, as
 * eyes that see less and are misled more would give them.
 *
 * <p>Only checks of which both outcomes are written down take part: what nobody tells is no
 * finding, and would say something in a world where everything that is so is told.
 *
 * @param job the job
 * @param faulty the places that leak, with the mode of their fault
 */
public record SimulatedJob(Case job, Map<String, Mode> faulty) {
  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final int MOST_FAULTS = 2;
  private static final int MOST_LOOKS = 12;

  /** Uncertainty of a simulated hold (mL/min) (our judgement). */
  private static final double HOLD_U = 0.05;

  /** How the rate of a leak scatters, as the model has it (decades). */
  private static final double LOG_SD = 0.7;

  /** Other eyes: so much of what shows is seen (our judgement, untested). */
  private static final double SEES_LESS = 0.75;

  /** Other eyes: so much more is seen where nothing is (our judgement, untested). */
  private static final double MISLED_MORE = 2;

  /**
   * Makes one up.
   *
   * @param otherEyes whether what is seen follows other sensitivities than the model's
   */
  public static SimulatedJob of(Random random, boolean otherEyes) {
    return of(random, otherEyes, Map.of());
  }

  /**
   * Makes one up in a workshop whose parts leak in other shares.
   *
   * @param odds by which the odds of the places of a part differ from the model's
   */
  public static SimulatedJob of(Random random, boolean otherEyes, Map<String, Double> odds) {
    List<CircuitPresets.Preset> presets =
        CircuitPresets.all().stream().filter(p -> !p.code().startsWith("electric")).toList();
    Circuit circuit = CircuitBuilder.of(presets.get(random.nextInt(presets.size())).features());
    Map<String, Mode> faulty = faults(circuit, odds, random);
    List<Observation> observed = new ArrayList<>();
    for (int i = random.nextInt(MOST_LOOKS) + 1; i > 0; i--) {
      String place = circuit.joints().get(random.nextInt(circuit.joints().size())).code();
      LookState state = LookState.values()[random.nextInt(LookState.values().length)];
      boolean dried = random.nextInt(3) == 0;
      observed.add(
          drawn(
              circuit,
              faulty,
              look(place, state, Sight.WET, dried),
              look(place, state, Sight.DRY, dried),
              otherEyes,
              random));
    }
    for (Observation[] pair : checks(circuit, random)) {
      if (random.nextBoolean()) {
        observed.add(drawn(circuit, faulty, pair[0], pair[1], otherEyes, random));
      }
    }
    if (random.nextBoolean()) {
      observed.add(held(circuit, faulty, random));
    }
    return new SimulatedJob(new Case(circuit, observed, false), faulty);
  }

  private static Observation[][] checks(Circuit circuit, Random random) {
    String place = circuit.joints().get(random.nextInt(circuit.joints().size())).code();
    return new Observation[][] {
      {new GasChecked(GasColour.GREEN, List.of()), new GasChecked(GasColour.BLUE, List.of())},
      {new InCylinder(1, true, NONE, NONE, false), new InCylinder(1, false, NONE, NONE, false)},
      {
        new FluidSeen(Fluid.DIPSTICK, Checked.Look.PALE_EMULSION),
        new FluidSeen(Fluid.DIPSTICK, Checked.Look.CLEAN)
      },
      {new Scanned(place, Glow.NEW_GLOW), new Scanned(place, Glow.DARK)}
    };
  }

  /** Faults as the priors have them, redrawn where there are more than the model knows. */
  private static Map<String, Mode> faults(
      Circuit circuit, Map<String, Double> odds, Random random) {
    Map<String, Mode> faulty = new java.util.LinkedHashMap<>();
    do {
      faulty.clear();
      for (PlaceFacts p : Vocabulary.published().places(circuit)) {
        double factor = odds.getOrDefault(Case.part(p.place()), 1.0);
        if (random.nextDouble() < p.likelier(factor).prior()) {
          faulty.put(p.place(), mode(p, random));
        }
      }
    } while (faulty.size() > MOST_FAULTS);
    return faulty;
  }

  private static Mode mode(PlaceFacts p, Random random) {
    double at = random.nextDouble();
    Mode last = Mode.ALWAYS;
    for (Mode mode : Mode.values()) {
      double share = p.modes().getOrDefault(mode, 0.0);
      last = share > 0 ? mode : last;
      if (at < share) {
        return mode;
      }
      at -= share;
    }
    return last;
  }

  private static Looked look(String place, LookState state, Sight saw, boolean dried) {
    Looked look = new Looked(place, state, saw, NONE, NONE);
    return dried ? look.dried() : look;
  }

  /** One of two outcomes, as likely as the world has it. */
  private static Observation drawn(
      Circuit circuit,
      Map<String, Mode> faulty,
      Observation seen,
      Observation not,
      boolean otherEyes,
      Random random) {
    List<Evidence> means = CaseEvidence.of(new Case(circuit, List.of(seen), false));
    double p = means.isEmpty() ? 0.5 : likelihood(means.get(0), faulty);
    double there = otherEyes ? (p > 0.2 ? SEES_LESS * p : Math.min(0.5, MISLED_MORE * p)) : p;
    return random.nextDouble() < there ? seen : not;
  }

  private static double likelihood(Evidence finding, Map<String, Mode> faulty) {
    List<Double> each = new ArrayList<>();
    faulty.forEach((place, mode) -> each.add(finding.one(place, mode)));
    return switch (each.size()) {
      case 0 -> finding.none();
      case 1 -> each.get(0);
      default -> finding.both(each.get(0), each.get(1));
    };
  }

  private static Held held(Circuit circuit, Map<String, Mode> faulty, Random random) {
    Observation.Scope scope = Observation.Scope.of("");
    Scoped scoped = Scoped.of(circuit, AsNow.OPEN, scope);
    boolean leaks =
        faulty.entrySet().stream().anyMatch(f -> scoped.exercises(f.getKey(), f.getValue()));
    double q = leaks ? Math.pow(10, LOG_SD * random.nextGaussian()) : 0;
    double read = q + HOLD_U * random.nextGaussian();
    VerdictKind kind = read > DecisionLimits.K * HOLD_U ? VerdictKind.LEAK : VerdictKind.NOT_PROVEN;
    return new Held(
        kind, new Outcome.Rate(read, HOLD_U, LeakLaw.ORIFICE), 100, scope, false, List.of());
  }

  /** The job once it is closed. */
  public ShopOdds.Closed closed() {
    return new ShopOdds.Closed(job.circuit(), faulty.keySet());
  }

  /** Probability that the model gives to every place. */
  public Map<String, Double> probabilities() {
    return probabilities(ShopOdds.NONE);
  }

  /** The same where the workshop's own jobs speak too. */
  public Map<String, Double> probabilities(ShopOdds shop) {
    Assessment a = Assessment.of(job.in(shop));
    Map<String, Double> all = new java.util.LinkedHashMap<>();
    a.posterior().suspects().forEach(s -> all.put(s.place(), s.probability()));
    return all;
  }
}
