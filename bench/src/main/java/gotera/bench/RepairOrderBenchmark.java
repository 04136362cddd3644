package gotera.bench;

import gotera.decide.Repair;
import gotera.decide.RepairOrder;
import gotera.decide.RepairOrder.Costs;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
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

/** The best order of the most repairs that are weighed, among sets of one and two faults. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class RepairOrderBenchmark {
  private final List<Repair> repairs = new ArrayList<>();
  private final Map<Set<String>, Double> faults = new HashMap<>();
  private final Costs costs = new Costs(Map.of("drain", 40.0, "cover", 30.0), 30, 240);

  /** Eight repairs, each of a fault of its own. */
  @Setup
  public void make() {
    Random random = new Random(8);
    for (int i = 0; i < RepairOrder.MOST; i++) {
      Set<String> shared = Set.of(random.nextBoolean() ? "drain" : "cover");
      repairs.add(new Repair("r" + i, Set.of("f" + i), random.nextInt(300), shared));
      faults.put(Set.of("f" + i), 0.1);
      for (int j = 0; j < i; j++) {
        faults.put(Set.of("f" + i, "f" + j), 0.007);
      }
    }
  }

  /** The best plan. */
  @Benchmark
  public RepairOrder ordered() {
    return RepairOrder.of(repairs, faults, costs);
  }
}
