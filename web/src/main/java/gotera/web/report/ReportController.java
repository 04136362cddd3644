package gotera.web.report;

import gotera.web.figures.Figures;
import gotera.web.frame.AddressProperties;
import gotera.web.job.JobService;
import gotera.web.link.CustomerLinkService.Purpose;
import gotera.web.link.HandedLinks;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The report of a job, on one page and as the file: to read, to print, as a PDF, by link. */
@Controller
class ReportController {
  private final HandedLinks handed;
  private final ReportPages pages;
  private final FilePages files;
  private final Printer printer;
  private final JobService jobs;
  private final AddressProperties address;

  ReportController(
      HandedLinks handed,
      ReportPages pages,
      FilePages files,
      Printer printer,
      JobService jobs,
      AddressProperties address) {
    this.handed = handed;
    this.pages = pages;
    this.files = files;
    this.printer = printer;
    this.jobs = jobs;
    this.address = address;
  }

  @GetMapping("/jobs/{id}/report")
  String page(@PathVariable UUID id, Figures figures, Model model) {
    jobs.require(id);
    model.addAttribute("back", "/jobs/" + id + "/hand-over");
    model.addAttribute("asPdf", "/jobs/" + id + "/report.pdf");
    model.addAttribute("report", pages.page(id, figures));
    return "report/paper";
  }

  @GetMapping("/jobs/{id}/report/file")
  String file(@PathVariable UUID id, Figures figures, Model model) {
    jobs.require(id);
    model.addAttribute("back", "/jobs/" + id + "/hand-over");
    model.addAttribute("asPdf", "/jobs/" + id + "/report/file.pdf");
    model.addAttribute("report", pages.page(id, figures));
    model.addAttribute("file", files.page(id, figures, false));
    return "report/paper";
  }

  @GetMapping("/jobs/{id}/report.pdf")
  ResponseEntity<byte[]> pagePdf(
      @PathVariable UUID id, Figures figures, HttpServletRequest request) {
    return sent("report.pdf", print(id, false, figures, request));
  }

  @GetMapping("/jobs/{id}/report/file.pdf")
  ResponseEntity<byte[]> filePdf(
      @PathVariable UUID id, Figures figures, HttpServletRequest request) {
    return sent("file.pdf", print(id, true, figures, request));
  }

  /** What a customer reads: the one report, and nothing else. */
  @GetMapping("/report/{token}")
  String forCustomer(
      @PathVariable String token, Figures figures, HttpServletResponse response, Model model) {
    UUID job = handed.open(token, Purpose.REPORT, response);
    model.addAttribute("asPdf", "/report/" + token + "/pdf");
    model.addAttribute("report", pages.page(job, figures));
    return "report/paper";
  }

  @GetMapping("/report/{token}/pdf")
  ResponseEntity<byte[]> pdfForCustomer(
      @PathVariable String token,
      Figures figures,
      HttpServletRequest request,
      HttpServletResponse response) {
    return sent(
        "report.pdf", print(handed.open(token, Purpose.REPORT, response), false, figures, request));
  }

  private byte[] print(UUID id, boolean whole, Figures figures, HttpServletRequest request) {
    jobs.require(id);
    return printer.print(id, whole, figures, address.of(request) + "/jobs/" + id);
  }

  private static ResponseEntity<byte[]> sent(String name, byte[] content) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.inline().filename(name).build().toString())
        .body(content);
  }
}
