package gotera.suspects;

import gotera.combustion.GasColour;
import gotera.evidence.Finding;
import gotera.evidence.Label;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.Bubbles;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.Hiss;
import gotera.suspects.Checked.Hissed;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Observation.GasChecked;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** What gas, bubbles, cylinders, fluids and the hiss mean as likelihoods. */
final class InsideFindings {
  private static final Vocabulary VOCABULARY = Vocabulary.published();

  private final Case of;
  private final List<Finding> findings = new ArrayList<>();

  private InsideFindings(Case of) {
    this.of = of;
  }

  static List<Finding> of(Case of) {
    InsideFindings all = new InsideFindings(of);
    all.inside();
    all.fluids();
    return all.findings;
  }

  private void inside() {
    boolean burns = of.circuit().part("block").isPresent();
    of.counting(GasChecked.class).stream()
        .filter(g -> burns && g.notCounted().isEmpty())
        .reduce((a, b) -> b)
        .ifPresent(g -> result("gas", "no-gas", "gas", g.colour() != GasColour.BLUE));
    of.counting(Bubbled.class).stream()
        .filter(b -> b.notCounted().isEmpty() && b.result() != Bubbles.AIR_LEAVING)
        .reduce((a, b) -> b)
        .ifPresent(b -> result("gas-bubbles", "no-bubbles", "gas-bubbles", b.result().gas()));
    List<InCylinder> cylinders = of.counting(InCylinder.class);
    if (!cylinders.isEmpty()) {
      boolean wet = cylinders.stream().anyMatch(InCylinder::wet);
      result("wet-cylinder", "dry-cylinders", "wet-cylinder", wet);
    }
    of.counting(Hissed.class).stream().reduce((a, b) -> b).ifPresent(this::hiss);
  }

  /** What it says only where it was opened cold. */
  private void hiss(Hissed hissed) {
    if (hissed.coolant().orElse(0) > COLD) {
      return;
    }
    result("hiss-outward", "", "hiss-outward", hissed.saw() == Hiss.OUTWARD);
    if (hissed.saw() != Hiss.OUTWARD) {
      boolean held = hissed.saw() == Hiss.INWARD;
      result("hiss-nothing", "hiss-inward", "hiss-not-inward", !held);
    }
  }

  /** Opened below it a tight system sucks (°C) (our judgement, untested). */
  private static final double COLD = 30;

  private void result(String seen, String not, String facts, boolean was) {
    if (was || !not.isEmpty()) {
      findings.add(VOCABULARY.result(facts).finding(Label.of(was ? seen : not), was));
    }
  }

  /** Each fluid counts as it was seen last. */
  private void fluids() {
    Map<Fluid, Checked.Look> last = new EnumMap<>(Fluid.class);
    of.counting(FluidSeen.class).forEach(f -> last.put(f.at(), f.saw()));
    last.forEach(this::fluid);
  }

  private void fluid(Fluid at, Checked.Look saw) {
    boolean pink = saw == Checked.Look.PINK;
    boolean pale = saw == Checked.Look.PALE_EMULSION;
    switch (at) {
      case OIL_CAP -> {
        boolean shortTrips =
            of.newest(Told.Trips.class).filter(t -> t.length() == Told.Length.SHORT).isPresent();
        String facts = shortTrips ? "oil-cap-emulsion-short-trips" : "oil-cap-emulsion";
        result("oil-cap-emulsion", "oil-cap-clean", facts, pale);
      }
      case DIPSTICK -> result("dipstick-emulsion", "dipstick-clean", "dipstick-emulsion", pale);
      case GEARBOX -> result("pink-gearbox", "gearbox-clean", "pink-gearbox", pink);
      case COOLANT_SURFACE -> {
        result("pink-coolant", "", "pink-coolant", pink);
        result("oil-film", pink ? "" : "coolant-clean", "oil-film", saw == Checked.Look.OIL_FILM);
      }
    }
  }
}
