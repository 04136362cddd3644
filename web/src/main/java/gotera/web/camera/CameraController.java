package gotera.web.camera;

import gotera.dial.Dial;
import gotera.dial.Dial.Mark;
import gotera.dial.DialReading;
import gotera.dial.DialReading.NotRead;
import gotera.dial.DialReading.Read;
import gotera.quantity.PressureUnit;
import gotera.range.Range;
import gotera.web.camera.CameraService.Beside;
import gotera.web.camera.CameraService.End;
import gotera.web.camera.CameraService.Kept;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.job.JobPlace;
import gotera.web.photo.PhotoService;
import gotera.web.photo.Photograph;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.Writers;
import gotera.web.words.Words;
import java.io.IOException;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The page on which a camera reads a needle, and what it sends. Its script asks for JSON. */
@Controller
class CameraController {
  private final CameraService camera;
  private final PressureService tests;
  private final PhotoService photos;
  private final Writers writers;
  private final Words words;

  CameraController(
      CameraService camera,
      PressureService tests,
      PhotoService photos,
      Writers writers,
      Words words) {
    this.camera = camera;
    this.tests = tests;
    this.photos = photos;
    this.writers = writers;
    this.words = words;
  }

  /** What came of it: whether a needle was read, and what is said of it. */
  record Said(boolean done, String said) {}

  @GetMapping("/tests/{testId}/camera")
  String page(@PathVariable UUID testId, Figures figures, Model model) {
    PressureTestView test = tests.require(testId);
    model.addAttribute("place", new JobPlace(test.jobId(), test.phase().step(), figures));
    model.addAttribute(
        "testTitle", words.say("pressure." + test.phase().word() + ".title", test.number()));
    model.addAttribute("address", "/tests/" + testId + "/camera");
    model.addAttribute("unit", figures.unit().symbol());
    model.addAttribute("finished", test.finishedAt().isPresent());
    model.addAttribute(
        "bench", "/jobs/" + test.jobId() + "/" + test.phase().step().word() + "?test=" + testId);
    Optional<Kept> kept = camera.of(testId);
    model.addAttribute("pictures", kept.map(CameraController::pictures).orElse(List.of()));
    model.addAttribute(
        "compared",
        kept.map(
                k ->
                    java.util.stream.Stream.of(
                            beside(k.first(), k, figures), beside(k.last(), k, figures))
                        .flatMap(Optional::stream)
                        .toList())
            .orElse(List.of()));
    return "camera/camera";
  }

  private static List<String> pictures(Kept kept) {
    return java.util.stream.Stream.of(
            Optional.of(kept.still()), kept.firstPhoto(), kept.lastPhoto())
        .flatMap(Optional::stream)
        .map(p -> "/photos/" + p)
        .toList();
  }

  private Optional<String> beside(Beside both, Kept kept, Figures figures) {
    if (both.typed().isEmpty() || both.read().isEmpty()) {
      return Optional.empty();
    }
    double typed = both.typed().getAsDouble();
    double read = both.read().getAsDouble();
    return Optional.of(
        words.say(
            kept.dial().agrees(typed, read) ? "camera.agrees" : "camera.differs",
            figures.pressure(read),
            figures.pressure(typed)));
  }

  @PostMapping(path = "/tests/{testId}/camera/dial", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  ResponseEntity<Said> dial(
      @PathVariable UUID testId,
      @RequestParam(defaultValue = "") String touched,
      @RequestParam(required = false) @org.jspecify.annotations.Nullable MultipartFile still,
      Figures figures,
      Principal principal)
      throws IOException {
    if (tests.require(testId).finishedAt().isPresent()) {
      return refused("camera.finished");
    }
    FieldProblems problems = new FieldProblems(words);
    Optional<Dial> dial = read(touched, problems, figures.unit());
    Optional<Photograph> picture = photos.read(problems, still);
    if (!problems.none()) {
      return wrong(problems);
    }
    if (dial.isEmpty() || picture.isEmpty()) {
      return refused("camera.no-dial");
    }
    Optional<Dial.Problem> problem = dial.get().problem();
    if (problem.isPresent()) {
      return refused("camera.dial." + problem.get().word());
    }
    camera.touched(testId, dial.get(), picture.get(), principal.getName());
    return said(camera.read(dial.get(), picture.get()), figures);
  }

  /** Centre and marks, a line each: "x y", and "x y pressure". */
  private static Optional<Dial> read(String touched, FieldProblems problems, PressureUnit unit) {
    List<String[]> lines = touched.lines().map(l -> l.strip().split("\\s+", 3)).toList();
    List<Mark> marks = new ArrayList<>();
    if (lines.isEmpty() || lines.size() > 40) {
      return Optional.empty();
    }
    for (String[] line : lines) {
      if (line.length < (marks.isEmpty() && line == lines.get(0) ? 2 : 3)
          || !line[0].matches("-?\\d{1,5}(\\.\\d{1,6})?")
          || !line[1].matches("-?\\d{1,5}(\\.\\d{1,6})?")) {
        return Optional.empty();
      }
      if (line != lines.get(0)) {
        OptionalDouble pressure = problems.kilopascals("mark", line[2], unit, Range.GAUGE);
        if (pressure.isPresent()) {
          marks.add(
              new Mark(
                  Double.parseDouble(line[0]),
                  Double.parseDouble(line[1]),
                  pressure.getAsDouble()));
        }
      }
    }
    return Optional.of(
        new Dial(Double.parseDouble(lines.get(0)[0]), Double.parseDouble(lines.get(0)[1]), marks));
  }

  @PostMapping(
      path = "/tests/{testId}/camera/frames",
      consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  ResponseEntity<Said> frame(
      @PathVariable UUID testId,
      @RequestParam UUID entry,
      @RequestParam(defaultValue = "false") boolean last,
      @RequestParam(required = false) @org.jspecify.annotations.Nullable MultipartFile frame,
      Figures figures,
      Principal principal)
      throws IOException {
    FieldProblems problems = new FieldProblems(words);
    Optional<Photograph> picture = photos.read(problems, frame);
    if (picture.isEmpty()) {
      return problems.none() ? refused("camera.no-dial") : wrong(problems);
    }
    DialReading reading = camera.read(testId, picture.get());
    if (reading instanceof Read && writers.alone(testId).isPresent()) {
      return refused("camera.gauge-writes");
    }
    if (reading instanceof Read read
        && !camera
            .keep(testId, entry, picture.get(), read.kilopascals(), last, principal.getName())
            .isDone()) {
      return refused("camera.not-kept");
    }
    return said(reading, figures);
  }

  @PostMapping("/tests/{testId}/camera/compare")
  Object compare(
      @PathVariable UUID testId,
      @RequestParam(defaultValue = "") String typed,
      @RequestParam(defaultValue = "") String end,
      Figures figures) {
    if (tests.require(testId).finishedAt().isPresent()) {
      return refused("camera.finished");
    }
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble pressure = problems.kilopascals("typed", typed, figures.unit(), Range.GAUGE);
    if (pressure.isEmpty()) {
      return wrong(problems);
    }
    End which = end.equals("last") ? End.LAST : End.FIRST;
    camera.beside(testId, which, pressure.getAsDouble());
    return camera
        .of(testId)
        .flatMap(k -> beside(which == End.LAST ? k.last() : k.first(), k, figures))
        .map(text -> ResponseEntity.ok(new Said(true, text)))
        .orElseGet(() -> refused("camera.nothing-read"));
  }

  private ResponseEntity<Said> said(DialReading reading, Figures figures) {
    if (reading instanceof NotRead not) {
      return ResponseEntity.ok(new Said(false, words.say("camera.why." + not.why().word())));
    }
    Read read = (Read) reading;
    return ResponseEntity.ok(
        new Said(
            true,
            words.say(
                "camera.read",
                figures.pressureFigure(read.kilopascals()),
                figures.pressureHalfWidth(read.u()))));
  }

  private ResponseEntity<Said> refused(String key) {
    return ResponseEntity.status(HttpStatus.UNPROCESSABLE_CONTENT)
        .body(new Said(false, words.say(key)));
  }

  private static ResponseEntity<Said> wrong(FieldProblems problems) {
    return ResponseEntity.status(HttpStatus.UNPROCESSABLE_CONTENT)
        .body(new Said(false, String.join(" ", problems.sentences().values())));
  }
}
