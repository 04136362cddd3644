package gotera.bench;

import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.DripSpot;
import gotera.circuit.DripTrace;
import gotera.circuit.Features;
import gotera.circuit.Features.Drive;
import gotera.circuit.Features.Engine;
import gotera.circuit.Features.Extra;
import gotera.circuit.Features.Fill;
import gotera.circuit.Features.Orientation;
import gotera.drawing.CircuitDrawing;
import gotera.drawing.CircuitView;
import gotera.drawing.CircuitView.Glow;
import gotera.drawing.CircuitView.JointView;
import gotera.drawing.CircuitView.Mark;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Assessment;
import gotera.suspects.Case;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Outcome;
import gotera.suspects.Told;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** From features to a drawing, and from findings to suspects, for the fullest circuit there is. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class CircuitBenchmark {
  private static final CircuitView.Words WORDS =
      new CircuitView.Words() {
        @Override
        public String name() {
          return "circuit";
        }

        @Override
        public String part(String code) {
          return code.replace('-', ' ');
        }

        @Override
        public String address(String joint) {
          return "/find?joint=" + joint;
        }
      };

  private Features fullest;
  private CircuitView view;
  private static final int OBSERVATIONS = 80;

  @SuppressWarnings("NullAway.Init")
  private Case observed;

  /** Makes what is drawn. */
  @SuppressWarnings("NullAway.Init")
  public CircuitBenchmark() {}

  /** A circuit with every feature that goes together, three wet joints and a drip. */
  @Setup
  public void prepare() {
    Set<Extra> extras = EnumSet.allOf(Extra.class);
    extras.remove(Extra.NO_HEATER);
    extras.remove(Extra.OUTLET_OVER_GEARBOX);
    fullest = new Features(Drive.DIESEL, Fill.BOTH, Engine.V, Orientation.ALONG, extras);
    Circuit circuit = CircuitBuilder.of(fullest);
    Map<String, JointView> joints = new HashMap<>();
    for (String wet : List.of("pump.gasket", "radiator.core", "heater-supply.head-end")) {
      joints.put(wet, new JointView(Mark.WET, wet + ", 2 drops a minute", wet, 0.5, Glow.NONE));
    }
    view =
        new CircuitView(
            circuit,
            joints,
            Optional.of("pump.gasket"),
            Optional.of(DripTrace.of(circuit, DripSpot.ENGINE_MOUNT, false)),
            Set.of(),
            false);
    observed = new Case(circuit, eighty(circuit), false);
  }

  /** A told loss, a puddle, a hold, and looks in two states until there are eighty observations. */
  private static List<Observation> eighty(Circuit circuit) {
    OptionalDouble none = OptionalDouble.empty();
    List<Observation> all = new ArrayList<>();
    all.add(new Observation.Sign("puddle-overnight"));
    all.add(new Told.Loss(900, OptionalDouble.of(6)));
    all.add(
        new Held(
            VerdictKind.LEAK, new Outcome.Rate(0.4, 0.1, LeakLaw.SEEP), 110, "", false, List.of()));
    for (LookState state : List.of(LookState.PRESSED, LookState.RUNNING)) {
      for (Circuit.Joint joint : circuit.joints()) {
        if (all.size() < OBSERVATIONS) {
          Sight saw = joint.code().equals("pump.gasket") ? Sight.WET : Sight.DRY;
          all.add(new Observation.Looked(joint.code(), state, saw, none, none));
        }
      }
    }
    return all;
  }

  /** Features to circuit. */
  @Benchmark
  public Circuit built() {
    return CircuitBuilder.of(fullest);
  }

  /** Circuit to drawing, names placed. */
  @Benchmark
  public String drawn() {
    return CircuitDrawing.of(view, WORDS);
  }

  /** Eighty observations to suspects, reasons, rules and next checks. */
  @Benchmark
  public Assessment assessed() {
    return Assessment.of(observed);
  }
}
