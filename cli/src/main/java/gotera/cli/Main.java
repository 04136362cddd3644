package gotera.cli;

import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;

/** Entry point of the command line. */
public final class Main {
  private Main() {}

  /** Runs one command and exits with its code. */
  public static void main(String[] arguments) {
    PrintStream out = stream(FileDescriptor.out);
    PrintStream err = stream(FileDescriptor.err);
    int code = run(Arrays.asList(arguments), out, err);
    out.flush();
    err.flush();
    System.exit(code);
  }

  static int run(List<String> arguments, PrintStream out, PrintStream err) {
    if (!arguments.isEmpty() && arguments.get(0).equals("analyse")) {
      return new Analyse(out, err).run(arguments.subList(1, arguments.size()));
    }
    if (!arguments.isEmpty() && arguments.get(0).equals("monte-carlo")) {
      return monteCarlo(arguments.subList(1, arguments.size()), out, err);
    }
    if (!arguments.isEmpty() && arguments.get(0).equals("rank")) {
      return Rank.run(arguments.subList(1, arguments.size()), out, err);
    }
    if (arguments.equals(List.of("vocabulary"))) {
      gotera.formats.RankJson.vocabulary().forEach(out::println);
      return 0;
    }
    err.println("usage: gotera analyse TRACE.csv\u2026 (files or folders)");
    err.println("       gotera rank JOB.json\u2026");
    err.println("       gotera vocabulary");
    err.println("       gotera monte-carlo [RUNS [SEED]]");
    return 2;
  }

  private static int monteCarlo(List<String> arguments, PrintStream out, PrintStream err) {
    if (arguments.size() > 2 || !arguments.stream().allMatch(a -> a.matches("[1-9]\\d{0,8}"))) {
      err.println("monte-carlo: expected RUNS and SEED, whole numbers from 1");
      return 2;
    }
    int runs = arguments.isEmpty() ? 1000 : Integer.parseInt(arguments.get(0));
    long seed = arguments.size() < 2 ? 1 : Long.parseLong(arguments.get(1));
    MonteCarlo.run(runs, seed, out);
    return 0;
  }

  private static PrintStream stream(FileDescriptor descriptor) {
    return new PrintStream(new FileOutputStream(descriptor), false, StandardCharsets.UTF_8);
  }
}
