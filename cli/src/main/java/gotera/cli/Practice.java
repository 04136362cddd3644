package gotera.cli;

import gotera.practice.AdviceFigures;
import gotera.practice.AdviceFigures.Run;
import gotera.practice.World;
import java.io.PrintStream;
import java.util.List;

/** Measures advice on vehicles with hidden leaks, in a closed loop. */
final class Practice {
  private static final int WORST = 10;

  private Practice() {}

  static int advice(int vehicles, long seed, List<World> worlds, PrintStream out) {
    for (World world : worlds) {
      AdviceFigures figures = AdviceFigures.of(world, vehicles, seed);
      out.println(world.word());
      figures.lines().forEach(l -> out.println("  " + l));
      for (Run r : figures.worst(WORST)) {
        out.printf(
            "  --show %s/%d: %s found %d, wrong %d, %.0f min%n",
            world.word(),
            r.seed(),
            r.advice().leaks(),
            r.advice().found(),
            r.advice().wrong(),
            r.advice().minutes());
      }
    }
    return 0;
  }

  /** One vehicle again, step by step. */
  static int show(World world, long seed, int number, PrintStream out) {
    Run r = AdviceFigures.run(world, seed, number);
    out.println("leaks " + r.advice().leaks());
    r.advice().course().forEach(out::println);
    out.println("the routine:");
    r.routine().course().forEach(out::println);
    return 0;
  }
}
