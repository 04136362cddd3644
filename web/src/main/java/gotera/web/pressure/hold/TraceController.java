package gotera.web.pressure.hold;

import gotera.formats.FormatProblem;
import gotera.formats.ReadOutcome;
import gotera.formats.TraceCsv;
import gotera.formats.TraceZip;
import gotera.pressure.trace.Trace;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.Readings;
import gotera.web.words.Words;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.security.Principal;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Curves from files. */
@Controller
class TraceController {
  private final PressureService tests;
  private final Readings readings;
  private final PressureBench bench;
  private final Words words;

  TraceController(PressureService tests, Readings readings, PressureBench bench, Words words) {
    this.readings = readings;
    this.tests = tests;
    this.bench = bench;
    this.words = words;
  }

  @PostMapping(value = "/tests/{testId}/trace", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  Object trace(
      @PathVariable UUID testId,
      @RequestParam MultipartFile file,
      Figures figures,
      Principal principal,
      Model model)
      throws IOException {
    PressureTestView test = tests.require(testId);
    FieldProblems problems = new FieldProblems(words);
    ReadOutcome<Trace> read = read(file);
    if (read instanceof ReadOutcome.Accepted<Trace> accepted) {
      switch (readings.addTrace(testId, accepted.value(), principal.getName())) {
        case DONE -> {
          return PressureBench.back(test);
        }
        case FINISHED -> problems.add("file", "problem.finished");
        default -> problems.add("file", "problem.not-empty");
      }
    } else if (read instanceof ReadOutcome.Rejected<Trace> rejected) {
      problems.add("file", "problem.file-refused");
      model.addAttribute(
          "fileProblems", rejected.problems().stream().map(FormatProblem::sentence).toList());
      model.addAttribute("fileProblemsMore", rejected.more());
    }
    return Pages.unprocessable(
        bench.page(test, ReadingForm.EMPTY, problems.sentences(), figures, model), model);
  }

  /** What it is, its content says, not its name. */
  private static ReadOutcome<Trace> read(MultipartFile file) throws IOException {
    try (InputStream stream = new BufferedInputStream(file.getInputStream())) {
      stream.mark(8);
      byte[] beginning = stream.readNBytes(4);
      stream.reset();
      return TraceZip.looksLikeOne(beginning) ? TraceZip.read(stream) : TraceCsv.read(stream);
    }
  }
}
