package gotera.evidence;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The suspects of one vehicle, from everything found so far, and the check that would tell most.
 *
 * @param found what was found
 * @param posterior what is known
 * @param suspects places with their reasons, the likeliest first
 * @param next checks by what they tell per minute of work, the best first
 */
public record Diagnosis(
    Found found, Posterior posterior, List<Suspect> suspects, List<Check.Ranked> next) {
  /** Kind of the check that looks at a place. */
  public static final String LOOK = "look";

  /** Kind of the check that measures. */
  public static final String TEST = "pressure-test";

  private static final int MOST_REASONS = 3;
  private static final int MOST_SUSPECTS = 8;

  /**
   * Finding a leak with a pressure test, and finding one where there is none (our judgement,
   * untested; the test's own limits are set for 95 %).
   */
  private static final double TEST_FINDS = 0.95;

  private static final double TEST_FALSE = 0.05;

  /** Time of a pressure test (min) (our judgement, untested). */
  private static final double TEST_MINUTES = 20;

  /**
   * A place under suspicion.
   *
   * @param place its name
   * @param probability probability that it leaks
   * @param reasons the findings that moved it most
   */
  public record Suspect(String place, double probability, List<Posterior.Reason> reasons) {}

  /**
   * A place that was looked at.
   *
   * @param place its name
   * @param state in which state
   * @param wet whether it was wet
   */
  public record Look(String place, PlaceFacts.State state, boolean wet) {}

  /**
   * What was measured, less what the sites with a measured flow explain.
   *
   * @param left what is left (mL/min)
   * @param u its standard uncertainty (mL/min)
   */
  public record Rate(double left, double u) {}

  /**
   * What was found.
   *
   * @param explained places whose flow was measured: they leak, and are no suspects any more
   * @param looks other places that were looked at
   * @param signs signs that are there
   * @param rate what a cold hold measured
   * @param others findings of other checks, as likelihoods
   * @param cutOff places that were not under pressure: behind a valve that was shut
   */
  public record Found(
      Set<String> explained,
      List<Look> looks,
      List<SignFacts> signs,
      Optional<Rate> rate,
      List<Finding> others,
      Set<String> cutOff) {
    /** Keeps its own copies. */
    public Found {
      explained = Set.copyOf(explained);
      looks = List.copyOf(looks);
      signs = List.copyOf(signs);
      others = List.copyOf(others);
      cutOff = Set.copyOf(cutOff);
    }

    /** Without findings of other checks, everything under pressure. */
    public Found(
        Set<String> explained, List<Look> looks, List<SignFacts> signs, Optional<Rate> rate) {
      this(explained, looks, signs, rate, List.of(), Set.of());
    }
  }

  /**
   * The diagnosis.
   *
   * @param places the places this vehicle has
   */
  public static Diagnosis of(List<PlaceFacts> places, Found found) {
    List<PlaceFacts> open =
        places.stream().filter(p -> !found.explained().contains(p.place())).toList();
    List<Hypothesis> hypotheses = open.stream().map(PlaceFacts::hypothesis).toList();
    List<Finding> findings = findings(open, found);
    Weighing weighing = Weighing.of(hypotheses, findings);
    Posterior posterior = weighing.all();
    List<Suspect> suspects =
        posterior.suspects().stream()
            .limit(MOST_SUSPECTS)
            .map(
                s ->
                    new Suspect(
                        s.place(),
                        s.probability(),
                        weighing.reasons(s.place()).stream()
                            .filter(r -> Math.abs(r.logRatio()) > 0.1)
                            .limit(MOST_REASONS)
                            .toList()))
            .toList();
    return new Diagnosis(found, posterior, suspects, Check.rank(checks(open, found), posterior));
  }

  private static List<Finding> findings(List<PlaceFacts> open, Found found) {
    Set<String> names = new HashSet<>();
    open.forEach(p -> names.add(p.place()));
    List<Finding> findings = new ArrayList<>();
    for (SignFacts sign : found.signs()) {
      findings.add(
          new Finding.InRegion(Label.of(sign.sign()), true, sign.causes(), explained(sign, found)));
    }
    for (Look look : found.looks()) {
      open.stream()
          .filter(p -> p.place().equals(look.place()) && exercised(look, found))
          .forEach(
              p ->
                  findings.add(
                      new Finding.AtPlace(
                          new Label(look.wet() ? "wet" : "dry", p.place()),
                          p.place(),
                          look.wet(),
                          p.sensitivity(look.state()),
                          p.falseAlarm())));
    }
    found
        .rate()
        .ifPresent(
            r ->
                findings.add(
                    new Finding.MeasuredRate(
                        Label.of(TEST), r.left(), r.u(), acting(open, found))));
    findings.addAll(found.others());
    return findings;
  }

  /** A sign that a place found already would cause needs no other place. */
  private static double explained(SignFacts sign, Found found) {
    double not = 1 - sign.falseAlarm();
    for (Map.Entry<String, Double> cause : sign.causes().entrySet()) {
      if (found.explained().contains(cause.getKey())) {
        not *= 1 - cause.getValue();
      }
    }
    return 1 - not;
  }

  /** A look at a place without pressure, while the rest had it, says nothing about it. */
  private static boolean exercised(Look look, Found found) {
    return look.state() != PlaceFacts.State.PRESSED || !found.cutOff().contains(look.place());
  }

  private static Set<String> acting(List<PlaceFacts> open, Found found) {
    Set<String> acting = new HashSet<>();
    open.stream()
        .filter(p -> p.acts().cold() && !found.cutOff().contains(p.place()))
        .forEach(p -> acting.add(p.place()));
    return acting;
  }

  /** What could be done now: look where nobody looked yet, measure if nobody did. */
  private static List<Check> checks(List<PlaceFacts> open, Found found) {
    Set<String> looked = new HashSet<>();
    found.looks().forEach(l -> looked.add(l.place()));
    List<Check> checks = new ArrayList<>();
    for (PlaceFacts p : open) {
      PlaceFacts.State best =
          p.seenPressed() >= p.seenRunning() ? PlaceFacts.State.PRESSED : PlaceFacts.State.RUNNING;
      if (!looked.contains(p.place())) {
        checks.add(
            Check.look(
                new Label(LOOK, p.place()),
                p.minutes(),
                p.place(),
                p.sensitivity(best),
                p.falseAlarm()));
      }
    }
    if (found.rate().isEmpty()) {
      java.util.Map<String, Double> causes = new java.util.HashMap<>();
      acting(open, found).forEach(p -> causes.put(p, TEST_FINDS));
      checks.add(
          new Check(
              Label.of(TEST),
              TEST_MINUTES,
              List.of(
                  new Finding.InRegion(Label.of(TEST), true, causes, TEST_FALSE),
                  new Finding.InRegion(Label.of(TEST), false, causes, TEST_FALSE))));
    }
    return checks;
  }
}
