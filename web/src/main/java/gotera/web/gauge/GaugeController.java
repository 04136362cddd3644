package gotera.web.gauge;

import gotera.web.figures.Figures;
import gotera.web.frame.AddressProperties;
import gotera.web.frame.NotFound;
import gotera.web.frame.QrCode;
import gotera.web.gauge.GaugeService.Known;
import gotera.web.gauge.SentReadings.Sent;
import gotera.web.job.JobPlace;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The gauges that may write by themselves, seen from a test. */
@Controller
class GaugeController {
  private final GaugeService gauges;
  private final GaugeTrace traces;
  private final GaugeWriter writer;
  private final StandIns standIns;
  private final PressureService tests;
  private final AddressProperties address;
  private final Words words;

  GaugeController(
      GaugeService gauges,
      GaugeTrace traces,
      GaugeWriter writer,
      StandIns standIns,
      PressureService tests,
      AddressProperties address,
      Words words) {
    this.gauges = gauges;
    this.traces = traces;
    this.writer = writer;
    this.standIns = standIns;
    this.tests = tests;
    this.address = address;
    this.words = words;
  }

  /** A gauge of the list. */
  record Row(
      UUID id,
      String name,
      boolean simulated,
      String step,
      String state,
      boolean attention,
      String shows,
      boolean here,
      boolean elsewhere,
      String early) {}

  @GetMapping("/tests/{testId}/gauges")
  String page(@PathVariable UUID testId, Figures figures, Model model) {
    PressureTestView test = tests.require(testId);
    model.addAttribute("place", new JobPlace(test.jobId(), test.phase().step(), figures));
    model.addAttribute(
        "testTitle", words.say("pressure." + test.phase().word() + ".title", test.number()));
    model.addAttribute("test", "/tests/" + testId);
    model.addAttribute("finished", test.finishedAt().isPresent());
    model.addAttribute("standIns", standIns.offered());
    model.addAttribute(
        "bench", "/jobs/" + test.jobId() + "/" + test.phase().step().word() + "?test=" + testId);
    List<Row> rows = gauges.all().stream().map(g -> row(g, testId, figures)).toList();
    model.addAttribute("gauges", rows);
    model.addAttribute(
        "readAlready",
        test.finishedAt().isEmpty()
            && test.trace().size() > 0
            && rows.stream().noneMatch(Row::here));
    return "gauge/gauges";
  }

  private Row row(Known g, UUID testId, Figures figures) {
    return new Row(
        g.id(),
        g.name(),
        g.simulated(),
        figures.step(g.step()),
        writer.state(g),
        g.silent(),
        g.last().map(figures::pressure).orElse(""),
        g.test().filter(testId::equals).isPresent(),
        g.test().filter(t -> !t.equals(testId)).isPresent(),
        g.test().filter(testId::equals).map(t -> readEarlier(g.id(), t)).orElse(""));
  }

  /** What it read before it stood here, in words; empty where that is nothing. */
  private String readEarlier(UUID gaugeId, UUID testId) {
    List<Sent> early = traces.early(gaugeId, testId);
    return early.isEmpty()
        ? ""
        : words.say(
            "gauge.early",
            early.size(),
            clock(early.get(0).ours()),
            clock(early.get(early.size() - 1).ours()));
  }

  private static String clock(double seconds) {
    return Figures.timeOfDay(Instant.ofEpochMilli(Math.round(seconds * 1000)));
  }

  @PostMapping("/tests/{testId}/gauges/code")
  String code(
      @PathVariable UUID testId,
      Principal principal,
      HttpServletRequest request,
      RedirectAttributes once) {
    if (tests.require(testId).finishedAt().isPresent()) {
      return "redirect:/tests/" + testId + "/gauges";
    }
    String code = gauges.offer(testId, principal.getName());
    String at = address.of(request);
    once.addFlashAttribute(
        "code", (code.substring(0, 4) + " " + code.substring(4)).toUpperCase(Locale.ROOT));
    once.addFlashAttribute("codeAt", at);
    once.addFlashAttribute(
        "codeQr", QrCode.of(at + "/api/gauges/pair?code=" + code).svg(words.say("gauge.qr")));
    return "redirect:/tests/" + testId + "/gauges";
  }

  /** Starts a simulated gauge beside the test. */
  @PostMapping("/tests/{testId}/gauges/stand-in")
  String standIn(
      @PathVariable UUID testId,
      @RequestParam(defaultValue = "") String kind,
      Principal principal,
      HttpServletRequest request,
      RedirectAttributes once) {
    if (!standIns.offered()) {
      throw new NotFound("simulated gauges");
    }
    StandIns.Kind chosen;
    try {
      chosen = StandIns.Kind.valueOf(kind.toUpperCase(Locale.ROOT));
    } catch (IllegalArgumentException e) {
      throw new NotFound("simulated gauge " + kind);
    }
    PressureTestView test = tests.require(testId);
    boolean started =
        standIns.start(
            chosen,
            address.of(request),
            gauges.offer(testId, principal.getName()),
            test.conditions().rated().kilopascals(),
            // the simulated vehicle is the one that was described
            test.conditions().airAndHoses().beforePumping(test.conditions().rated()).millilitres());
    if (!started) {
      once.addFlashAttribute("tooMany", true);
    }
    return "redirect:/tests/" + testId + (started ? "/live" : "/gauges");
  }

  @PostMapping("/tests/{testId}/gauges/{gaugeId}/put")
  String put(@PathVariable UUID testId, @PathVariable UUID gaugeId, Principal principal) {
    if (tests.require(testId).finishedAt().isEmpty()) {
      gauges.put(gaugeId, testId, principal.getName());
    }
    return "redirect:/tests/" + testId + "/gauges";
  }

  @PostMapping("/tests/{testId}/gauges/{gaugeId}/leave")
  String leave(@PathVariable UUID testId, @PathVariable UUID gaugeId, Principal principal) {
    gauges.leave(gaugeId, principal.getName());
    return "redirect:/tests/" + testId + "/gauges";
  }

  @PostMapping("/tests/{testId}/gauges/{gaugeId}/withdraw")
  String withdraw(@PathVariable UUID testId, @PathVariable UUID gaugeId, Principal principal) {
    gauges.withdraw(gaugeId, principal.getName());
    return "redirect:/tests/" + testId + "/gauges";
  }

  /** Takes what a gauge read before it stood here into this test. */
  @PostMapping("/tests/{testId}/gauges/{gaugeId}/early")
  String early(@PathVariable UUID testId, @PathVariable UUID gaugeId) {
    if (tests.require(testId).finishedAt().isEmpty()) {
      traces.takeEarly(gaugeId, testId);
    }
    return "redirect:/tests/" + testId + "/gauges";
  }

  /** Where a form was answered in place, its address leads back to the list. */
  @GetMapping({
    "/tests/{testId}/gauges/code",
    "/tests/{testId}/gauges/stand-in",
    "/tests/{testId}/gauges/{gaugeId}/{done}"
  })
  String reload(@PathVariable UUID testId) {
    return "redirect:/tests/" + testId + "/gauges";
  }
}
