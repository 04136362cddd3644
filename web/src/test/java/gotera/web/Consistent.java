package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;

/** What the pages of a job say of it at one moment does not contradict itself, whatever the job. */
final class Consistent {
  private static final Pattern JOB = Pattern.compile("/jobs/[0-9a-f-]{36}");

  /** What no page says. */
  private static final List<String> NEVER =
      List.of("Infinity", ">NaN", "NaN ", "{0}", "{1}", "??", "null<");

  private Consistent() {}

  /** Reads the pages of the job that is shown, if one is. */
  static void check(Bench bench) {
    String job = bench.jobPath();
    if (JOB.matcher(job).matches()) {
      check(bench::read, job);
    }
  }

  /** Reads the report, the close and a page of the work of a job. */
  static void check(UnaryOperator<String> reads, String job) {
    String report = read(reads, job + "/report");
    String close = read(reads, job + "/hand-over");
    String work = read(reads, job + "/find");
    boolean proven = report.contains("No coolant is lost any more.");
    boolean again = work.contains("Leaks after the repair");
    assertThat(proven && again).as("proven, and leaks again").isFalse();
    assertThat(again)
        .as("what the panel and the report say of a leak after the repair")
        .isEqualTo(report.contains("It still loses coolant."));
    assertThat(close.contains("It leaks after the repair"))
        .as("what the panel and the close say of it")
        .isEqualTo(again);
    assertThat(proven && close.contains("Not proven yet:")).as("proven, and not").isFalse();
    if (report.contains("Repaired; not everything is proven yet.")) {
      assertThat(close).contains("Not proven yet:");
    }
    if (report.contains("No leak: nothing is lost that could be measured.")) {
      assertThat(work).doesNotContain("Leak: ", "Gross leak");
    }
  }

  private static String read(UnaryOperator<String> reads, String path) {
    String text = reads.apply(path);
    // a law holds of what is said; addresses and drawings are no words
    String said = text.replaceAll("(?s)<svg.*?</svg>", "").replaceAll("\\s+", " ");
    assertThat(said).as(path).doesNotContain(NEVER.toArray(String[]::new));
    return said;
  }
}
