package gotera.cli;

import gotera.formats.FormatProblem;
import gotera.formats.JobFile;
import gotera.formats.JobJson;
import gotera.formats.RankJson;
import gotera.formats.ReadOutcome;
import gotera.formats.ReadOutcome.Accepted;
import gotera.formats.ReadOutcome.Rejected;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Ranks the suspects of job files: one line of JSON each. */
final class Rank {
  private Rank() {}

  static int run(List<String> files, PrintStream out, PrintStream err) {
    int code = 0;
    for (String file : files) {
      code = Math.max(code, one(Path.of(file), out, err));
    }
    return code;
  }

  private static int one(Path file, PrintStream out, PrintStream err) {
    String json;
    try {
      json = Files.readString(file);
    } catch (IOException e) {
      err.println(file + ": cannot be read: " + e.getMessage());
      return 2;
    }
    ReadOutcome<JobFile> outcome = JobJson.read(json);
    if (outcome instanceof Accepted<JobFile> accepted) {
      out.println(RankJson.line(file.getFileName().toString(), accepted.value()));
      return 0;
    }
    Rejected<JobFile> rejected = (Rejected<JobFile>) outcome;
    for (FormatProblem problem : rejected.problems()) {
      err.println(file + ": " + problem.sentence());
    }
    return 2;
  }
}
