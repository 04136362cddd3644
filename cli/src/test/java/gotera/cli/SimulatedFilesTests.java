package gotera.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a simulated gauge would read, as files that are analysed like any. */
class SimulatedFilesTests {
  private static String run(String... arguments) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PrintStream stream = new PrintStream(out, true, StandardCharsets.UTF_8);
    assertThat(Main.run(List.of(arguments), stream, stream)).isZero();
    return out.toString(StandardCharsets.UTF_8);
  }

  private static String analysed(Path folder, String leak) {
    String file =
        run(
                "gauge",
                "--files",
                folder.toString(),
                "--minutes",
                "25",
                "--every",
                "1000",
                "--seed",
                "4",
                "--leak",
                leak)
            .strip();
    return run("analyse", file);
  }

  @Test
  void theLeakThatWasSimulatedIsFound(@TempDir Path folder) {
    String said = analysed(folder, "2");
    assertThat(said).contains("\"verdict\":\"leak\"");
    double rate =
        Double.parseDouble(said.replaceAll(".*\"rate_ml_per_min\":([-0-9.]+).*", "$1").strip());
    assertThat(rate).isBetween(1.5, 2.5);
  }

  @Test
  void whatHoldsIsNoLeak(@TempDir Path folder) {
    assertThat(analysed(folder, "0")).doesNotContain("\"verdict\":\"leak\"");
  }
}
