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
import gotera.evidence.Diagnosis;
import gotera.evidence.PlaceFacts;
import gotera.suspects.Vocabulary;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
  private List<PlaceFacts> places;
  private Diagnosis.Found found;

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
    places = Vocabulary.published().places(circuit);
    found =
        new Diagnosis.Found(
            Set.of("pump.gasket"),
            List.of(
                new Diagnosis.Look("radiator.core", PlaceFacts.State.PRESSED, true),
                new Diagnosis.Look("cap.neck", PlaceFacts.State.PRESSED, false),
                new Diagnosis.Look("pump.shaft-seal", PlaceFacts.State.RUNNING, false)),
            List.of(Vocabulary.published().sign("sweet-smell-cabin").orElseThrow()),
            Optional.of(new Diagnosis.Rate(0.4, 0.1)));
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

  /** Findings to suspects, reasons and next checks. */
  @Benchmark
  public Diagnosis diagnosed() {
    return Diagnosis.of(places, found);
  }
}
