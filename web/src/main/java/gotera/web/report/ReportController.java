package gotera.web.report;

import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.circuit.LeakSite;
import gotera.web.decide.OpenPointsService;
import gotera.web.evidence.SuspectsService;
import gotera.web.figures.Figures;
import gotera.web.figures.Table;
import gotera.web.frame.AddressProperties;
import gotera.web.frame.NotFound;
import gotera.web.frame.QrCode;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.job.Step;
import gotera.web.link.CustomerLinkService;
import gotera.web.link.CustomerLinkService.Purpose;
import gotera.web.repair.RepairService;
import gotera.web.retest.ProofPages;
import gotera.web.retest.RetestService;
import gotera.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.time.Clock;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Hand over: the report on paper, by link, and as tables. */
@Controller
class ReportController {
  private final CustomerLinkService links;
  private final RetestService retests;
  private final ProofPages proofs;
  private final JobService jobs;
  private final RepairService repairs;
  private final CircuitService circuits;
  private final CircuitWords names;
  private final SuspectsService suspects;
  private final OpenPointsService openPoints;
  private final AddressProperties address;
  private final Words words;
  private final Clock clock;

  ReportController(
      CustomerLinkService links,
      RetestService retests,
      ProofPages proofs,
      JobService jobs,
      RepairService repairs,
      CircuitService circuits,
      CircuitWords names,
      SuspectsService suspects,
      OpenPointsService openPoints,
      AddressProperties address,
      Words words,
      Clock clock) {
    this.links = links;
    this.retests = retests;
    this.proofs = proofs;
    this.jobs = jobs;
    this.repairs = repairs;
    this.circuits = circuits;
    this.names = names;
    this.suspects = suspects;
    this.openPoints = openPoints;
    this.address = address;
    this.words = words;
    this.clock = clock;
  }

  /** A leak site or repair on paper. */
  record Line(String place, String text) {}

  @GetMapping("/jobs/{id}/hand-over")
  String page(@PathVariable UUID id, Figures figures, Model model) {
    jobs.require(id);
    model.addAttribute("place", new JobPlace(id, Step.HAND_OVER, figures));
    model.addAttribute("links", links.of(id, Purpose.REPORT));
    model.addAttribute("claim", suspects.claim(id));
    model.addAttribute("flags", suspects.flags(id));
    model.addAttribute("meanings", suspects.meanings(id));
    model.addAttribute("openPoints", openPoints.of(id));
    model.addAttribute("proof", proofs.page(id, figures));
    model.addAttribute("endings", jobs.endings());
    model.addAttribute("report", retests.page(id, figures).isPresent());
    return "report/hand-over";
  }

  @PostMapping("/jobs/{id}/report-links")
  String make(
      @PathVariable UUID id,
      Principal principal,
      HttpServletRequest request,
      RedirectAttributes once) {
    jobs.require(id);
    String link =
        address.of(request) + "/report/" + links.make(id, Purpose.REPORT, principal.getName());
    once.addFlashAttribute("link", link);
    once.addFlashAttribute("linkQr", QrCode.of(link).svg(words.say("report.qr")));
    return "redirect:/jobs/" + id + "/hand-over";
  }

  @PostMapping("/jobs/{id}/report-links/{linkId}/withdraw")
  String withdraw(@PathVariable UUID id, @PathVariable UUID linkId) {
    links.withdraw(id, linkId);
    return "redirect:/jobs/" + id + "/hand-over";
  }

  @GetMapping("/jobs/{id}/re-test/print")
  String print(@PathVariable UUID id, Figures figures, Model model) {
    model.addAttribute("back", "/jobs/" + id + "/re-test");
    return paper(id, figures, model);
  }

  /** What a customer reads: the one report, and nothing else. */
  @GetMapping("/report/{token}")
  String forCustomer(
      @PathVariable String token, Figures figures, HttpServletResponse response, Model model) {
    UUID job = links.jobOf(token, Purpose.REPORT).orElseThrow(() -> new NotFound("report by link"));
    response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
    response.setHeader("X-Robots-Tag", "noindex, nofollow");
    response.setHeader("Referrer-Policy", "no-referrer");
    return paper(job, figures, model);
  }

  private String paper(UUID id, Figures figures, Model model) {
    model.addAttribute("job", jobs.require(id));
    model.addAttribute(
        "retest",
        retests.page(id, figures).orElseThrow(() -> new NotFound("re-test of job " + id)));
    model.addAttribute(
        "sites",
        circuits.sites(id).stream()
            .map(s -> new Line(names.joint(id, s.joint()), words.say("saw." + s.saw().word())))
            .toList());
    model.addAttribute(
        "repairs",
        repairs.notes(id).stream()
            .map(n -> new Line(n.joint().isEmpty() ? "" : names.joint(id, n.joint()), n.note()))
            .toList());
    model.addAttribute("printed", Figures.moment(clock.instant()));
    return "report/paper";
  }

  @GetMapping("/jobs/{id}/places.csv")
  ResponseEntity<String> places(@PathVariable UUID id) {
    jobs.require(id);
    Table table =
        new Table("joint", "saw", "drops_per_min", "gauge_kpa", "note", "time", "account");
    for (LeakSite site : circuits.sites(id)) {
      table.row(
          List.of(
              site.joint(),
              site.saw().word(),
              number(site.dropsPerMinute()),
              number(site.pressureKpa()),
              site.note(),
              site.writtenAt().toString(),
              site.writtenBy()));
    }
    return csv("places.csv", table.toString());
  }

  @GetMapping("/jobs.csv")
  ResponseEntity<String> allJobs() {
    Table table = new Table("job", "vehicle", "kind", "reason", "complaint", "begun", "account");
    jobs.open()
        .forEach(
            job ->
                table.row(
                    List.of(
                        job.id().toString(),
                        job.vehicle().orElse(""),
                        job.description(),
                        job.reason(),
                        job.complaint(),
                        job.startedAt().toString(),
                        job.startedBy())));
    return csv("jobs.csv", table.toString());
  }

  private static String number(OptionalDouble value) {
    return value.isPresent() ? Double.toString(value.getAsDouble()) : "";
  }

  private static ResponseEntity<String> csv(String name, String text) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(name).build().toString())
        .body(text);
  }
}
