package gotera.web;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** Runs the project's own scripts, the same as the start command uses. */
final class Script {
  private Script() {}

  /** How a script ended and what it said. */
  record Ended(int status, String out, String said) {}

  /** Runs a script and demands that it succeeds; what it printed. */
  static String run(String name, String... arguments) {
    Ended ended = end(Map.of(), name, arguments);
    if (ended.status() != 0) {
      throw new AssertionError("scripts/" + name + " failed: " + ended.said());
    }
    return ended.out();
  }

  /** Runs a script to its end. */
  static Ended end(Map<String, String> environment, String name, String... arguments) {
    try {
      // into files, not pipes: a server that a script leaves running would keep a pipe open
      Path out = Files.createTempFile("script", ".out");
      Path said = Files.createTempFile("script", ".said");
      List<String> command = new ArrayList<>(List.of(path(name)));
      command.addAll(List.of(arguments));
      ProcessBuilder builder =
          new ProcessBuilder(command).redirectOutput(out.toFile()).redirectError(said.toFile());
      builder.environment().putAll(environment);
      Process process = builder.start();
      if (!process.waitFor(120, TimeUnit.SECONDS)) {
        process.destroyForcibly();
        throw new AssertionError("scripts/" + name + " did not end");
      }
      Ended ended = new Ended(process.exitValue(), read(out), read(said));
      Files.delete(out);
      Files.delete(said);
      return ended;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  static String path(String name) {
    return new File("../scripts/" + name).getPath();
  }

  static String read(Path file) {
    try {
      return Files.readString(file, StandardCharsets.UTF_8).strip();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Deletes a folder with all that is in it. */
  static void delete(Path folder) {
    if (!Files.exists(folder)) {
      return;
    }
    try (Stream<Path> files = Files.walk(folder)) {
      files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
