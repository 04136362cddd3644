package gotera.cli;

import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Draw;
import gotera.pressure.compliance.Geometry;
import gotera.pressure.compliance.MeasuredCompliance;
import gotera.pressure.compliance.Strokes;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;
import gotera.simulation.StandInVehicle.Outcome;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What somebody measured of the air and the hoses of a run. */
final class MeasuredAir {
  private static final double R = 0.06;

  /** As a description without a figure of its own has it. */
  private static final MeasuredCompliance.HosePrior HOSE =
      new MeasuredCompliance.HosePrior(Geometry.USUAL_HOSE, 0.3 * Geometry.USUAL_HOSE);

  private MeasuredAir() {}

  static AirAndHoses of(SimulatedRun run, Chance chance) {
    return switch (run.cell()) {
      case DRAWN -> drawn(run);
      case COUNTED -> counted(run, chance);
      default -> before(run, chance);
    };
  }

  /** Air and hoses as somebody measured them before, wrong by as much as is said. */
  private static AirAndHoses before(SimulatedRun run, Chance chance) {
    AbsolutePressure dry = run.dry();
    double hose = run.filled().hoseThere();
    double total =
        (hose + run.outcome().gasAtHold() / dry.kilopascals()) * (1 + R * chance.gauss());
    double hoseTaken = Math.min(hose * chance.between(0.8, 1.2), 0.9 * total);
    return new AirAndHoses(
        new Volume((total - hoseTaken) * dry.kilopascals()),
        hoseTaken,
        R,
        AirAndHoses.Source.MEASURED);
  }

  /** Air and hoses from what the gauge showed at the draws after the closing one. */
  private static AirAndHoses drawn(SimulatedRun run) {
    Outcome outcome = run.outcome();
    double[] volumes = outcome.draws().length == 2 ? new double[] {20} : new double[] {15, 20};
    List<Draw> draws = new ArrayList<>();
    for (int i = 0; i < volumes.length; i++) {
      double[] shown = outcome.draws()[i + 1];
      draws.add(
          new Draw(
              new Volume(volumes[i]), new GaugePressure(shown[0]), new GaugePressure(shown[1])));
    }
    return MeasuredCompliance.fromDraws(
            draws,
            Optional.of(HOSE),
            new GaugePressure(run.course().rated()),
            new AbsolutePressure(SimulatedRun.ATMOSPHERE),
            run.gauge().noise())
        .airAndHoses(run.dry());
  }

  /** Air and hoses from strokes of a pump that moves 2 % more or less than is said. */
  private static AirAndHoses counted(SimulatedRun run, Chance chance) {
    List<Strokes.Reading> readings = strokes(run, chance);
    return MeasuredCompliance.fromStrokes(
            new Strokes(
                new Volume(15),
                0.03,
                new GaugePressure(0),
                run.temperature(),
                run.temperature(),
                readings),
            Optional.of(HOSE),
            new GaugePressure(run.course().rated()),
            new AbsolutePressure(SimulatedRun.ATMOSPHERE),
            run.gauge().noise())
        .airAndHoses(run.dry());
  }

  private static List<Strokes.Reading> strokes(SimulatedRun run, Chance chance) {
    double hose = run.filled().hose();
    double stroke = 15 * (1 + 0.02 * chance.gauss());
    List<Strokes.Reading> readings = new ArrayList<>();
    for (int count = 1; count < 200; count++) {
      double room = SimulatedRun.ATMOSPHERE * stroke * count;
      // (p + A)(V + h p) = A V + A n S: where so many strokes bring an even bubble and its hoses
      double b = run.filled().freeAir() + hose * SimulatedRun.ATMOSPHERE;
      double p = (-b + Math.sqrt(b * b + 4 * hose * room)) / (2 * hose);
      if (p > run.course().rated()) {
        break;
      }
      if (count % 3 == 0) {
        double shown =
            Math.rint((p + run.read().noise() * chance.gauss()) / run.read().step())
                * run.read().step();
        readings.add(new Strokes.Reading(count, new GaugePressure(shown)));
      }
    }
    if (readings.isEmpty()) {
      readings.add(new Strokes.Reading(1, new GaugePressure(run.course().rated())));
    }
    return readings;
  }
}
