package gotera.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The one command says what each of its words does, and takes no option for a name. */
class CommandWordsTests {
  private static final Path COMMAND = Path.of("..", "gotera").toAbsolutePath().normalize();

  @TempDir Path folder;

  private record Ended(int status, String said) {}

  private Ended run(String... words) {
    try {
      List<String> command = new ArrayList<>(List.of(COMMAND.toString()));
      command.addAll(List.of(words));
      Path said = folder.resolve("said");
      Process process =
          new ProcessBuilder(command)
              .directory(folder.toFile())
              .redirectErrorStream(true)
              .redirectOutput(said.toFile())
              .start();
      assertThat(process.waitFor(60, TimeUnit.SECONDS)).as("ends").isTrue();
      return new Ended(process.exitValue(), Files.readString(said, StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  static List<String> words() throws IOException {
    Matcher usage =
        Pattern.compile("(?m)^  ([a-z-]+) ").matcher(Files.readString(COMMAND).split("TEXT")[1]);
    // a simulated gauge tells its options itself, once it is built
    List<String> words =
        usage.results().map(r -> r.group(1)).filter(w -> !w.equals("gauge")).toList();
    assertThat(words).hasSizeGreaterThan(20);
    return words;
  }

  @ParameterizedTest
  @MethodSource("words")
  void everyWordSaysWhatItDoes(String word) {
    Ended help = run(word, "--help");
    assertThat(help.status()).as(help.said()).isZero();
    assertThat(help.said()).isNotBlank().doesNotContain("#!/");
    assertThat(folder.toFile().list()).as("nothing is left behind").containsExactly("said");
  }

  @Test
  void itSaysItsVersionAndItsCommit() {
    assertThat(run("--version").said()).matches("gotera \\d+\\.\\d+\\.\\d+, [0-9a-z ]+\\n");
    assertThat(run("--help")).isEqualTo(run());
  }

  @Test
  void aWordNobodyKnowsIsRefused() {
    Ended unknown = run("mend");
    assertThat(unknown.status()).isEqualTo(2);
    assertThat(unknown.said()).contains("there is no command 'mend'");
  }

  @ParameterizedTest
  @ValueSource(strings = {"backup", "restore", "reset-password"})
  void anOptionIsNoName(String word) {
    Ended wrong = run(word, "--nonsense");
    assertThat(wrong.status()).isEqualTo(1);
    assertThat(wrong.said()).contains("there is no option '--nonsense'");
    assertThat(folder.toFile().list()).containsExactly("said");
  }
}
