package gotera.suspects;

import gotera.combustion.GasColour;
import gotera.evidence.Evidence;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.Bubbles;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.Hiss;
import gotera.suspects.Checked.Hissed;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Clue.Showed;
import gotera.suspects.Observation.GasChecked;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** What gas, bubbles, cylinders, fluids and the hiss mean as likelihoods. */
final class InsideEvidence {
  private static final Vocabulary VOCABULARY = Vocabulary.published();

  private final Case job;
  private final List<Evidence> findings = new ArrayList<>();

  private InsideEvidence(Case job) {
    this.job = job;
  }

  static List<Evidence> of(Case job) {
    InsideEvidence all = new InsideEvidence(job);
    all.inside();
    all.fluids();
    return all.findings;
  }

  /** Each valid repeat of a check counts: one that is clean lowers, and never cancels. */
  private void inside() {
    boolean burns = job.circuit().part("block").isPresent();
    job.counting(GasChecked.class).stream()
        .filter(g -> burns && g.notCounted().isEmpty())
        .forEach(g -> result(Showed.GAS, Showed.NO_GAS, "gas", g.colour() != GasColour.BLUE));
    job.counting(Bubbled.class).stream()
        .filter(b -> b.notCounted().isEmpty() && b.result() != Bubbles.AIR_LEAVING)
        .forEach(
            b -> result(Showed.GAS_BUBBLES, Showed.NO_BUBBLES, "gas-bubbles", b.result().gas()));
    List<InCylinder> cylinders = job.counting(InCylinder.class);
    if (!cylinders.isEmpty()) {
      boolean wet = cylinders.stream().anyMatch(InCylinder::wet);
      result(Showed.WET_CYLINDER, Showed.DRY_CYLINDERS, "wet-cylinder", wet);
    }
    job.counting(Hissed.class).stream().reduce((a, b) -> b).ifPresent(this::hiss);
  }

  /** What it says only where it was opened cold. */
  private void hiss(Hissed hissed) {
    if (hissed.coolant().orElse(0) > COLD) {
      return;
    }
    where(Showed.HISS_OUTWARD, "hiss-outward", hissed.saw() == Hiss.OUTWARD);
    if (hissed.saw() != Hiss.OUTWARD) {
      boolean held = hissed.saw() == Hiss.INWARD;
      result(Showed.HISS_NOTHING, Showed.HISS_INWARD, "hiss-not-inward", !held);
    }
  }

  /** Opened below it a tight system sucks (°C) (our judgement, untested). */
  private static final double COLD = 30;

  private void result(Showed seen, Showed not, String facts, boolean was) {
    findings.add(VOCABULARY.result(facts).evidence(new Clue.Result(was ? seen : not), was));
  }

  /** Something whose absence says nothing. */
  private void where(Showed seen, String facts, boolean was) {
    if (was) {
      findings.add(VOCABULARY.result(facts).evidence(new Clue.Result(seen), true));
    }
  }

  /** Each fluid counts as it was seen last. */
  private void fluids() {
    Map<Fluid, Checked.Look> last = new EnumMap<>(Fluid.class);
    job.counting(FluidSeen.class).forEach(f -> last.put(f.at(), f.saw()));
    last.forEach(this::fluid);
  }

  private void fluid(Fluid at, Checked.Look saw) {
    boolean pink = saw == Checked.Look.PINK;
    boolean pale = saw == Checked.Look.PALE_EMULSION;
    switch (at) {
      case OIL_CAP -> {
        boolean shortTrips =
            job.newest(Told.Trips.class).filter(t -> t.length() == Told.Length.SHORT).isPresent();
        String facts = shortTrips ? "oil-cap-emulsion-short-trips" : "oil-cap-emulsion";
        result(Showed.OIL_CAP_EMULSION, Showed.OIL_CAP_CLEAN, facts, pale);
      }
      case DIPSTICK ->
          result(Showed.DIPSTICK_EMULSION, Showed.DIPSTICK_CLEAN, "dipstick-emulsion", pale);
      case GEARBOX -> result(Showed.PINK_GEARBOX, Showed.GEARBOX_CLEAN, "pink-gearbox", pink);
      case COOLANT_SURFACE -> {
        where(Showed.PINK_COOLANT, "pink-coolant", pink);
        boolean film = saw == Checked.Look.OIL_FILM;
        if (pink) {
          where(Showed.OIL_FILM, "oil-film", film);
        } else {
          result(Showed.OIL_FILM, Showed.COOLANT_CLEAN, "oil-film", film);
        }
      }
    }
  }
}
