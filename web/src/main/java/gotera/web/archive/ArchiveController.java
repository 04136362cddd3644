package gotera.web.archive;

import gotera.web.archive.JobRestore.Refused;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.AddressProperties;
import gotera.web.frame.Pages;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.security.Principal;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Hands a whole job out as a file, and takes one in. */
@Controller
class ArchiveController {
  private final JobArchive archive;
  private final SentFiles sent;
  private final KnownWorkshops workshops;
  private final JobService jobs;
  private final AddressProperties address;
  private final Words words;

  ArchiveController(
      JobArchive archive,
      SentFiles sent,
      KnownWorkshops workshops,
      JobService jobs,
      AddressProperties address,
      Words words) {
    this.sent = sent;
    this.workshops = workshops;
    this.archive = archive;
    this.jobs = jobs;
    this.address = address;
    this.words = words;
  }

  @GetMapping("/jobs/{id}/job.zip")
  ResponseEntity<byte[]> file(@PathVariable UUID id, HttpServletRequest request) {
    jobs.require(id);
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("application/zip"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("job.zip").build().toString())
        .body(archive.pack(id, address.of(request) + "/jobs/" + id));
  }

  @PostMapping(value = "/jobs/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  String send(
      @RequestParam @Nullable MultipartFile jobFile, Principal principal, RedirectAttributes once)
      throws IOException {
    if (jobFile == null || jobFile.isEmpty()) {
      once.addFlashAttribute("importProblem", words.say("archive.none"));
      return "redirect:/jobs/closed";
    }
    byte[] zip = jobFile.getBytes();
    try {
      archive.look(zip);
      return "redirect:/job-files/" + sent.keep(zip, principal.getName());
    } catch (Refused e) {
      once.addFlashAttribute("importProblem", words.say("archive.refused", e.why()));
      return "redirect:/jobs/closed";
    }
  }

  /** Whose file it is, and which of its names are known here, before anything of it is kept. */
  @GetMapping("/job-files/{id}")
  String look(@PathVariable UUID id, Principal principal, Model model) {
    return page(id, archive.look(sent.of(id, principal.getName())), TakingForm.EMPTY, model);
  }

  private String page(UUID id, JobArchive.Seen seen, TakingForm form, Model model) {
    model.addAttribute("file", id);
    model.addAttribute("signedAt", Figures.moment(seen.signed().at()));
    model.addAttribute("fingerprint", seen.signed().fingerprint());
    model.addAttribute("whose", workshops.name(seen.signed().fingerprint()).orElse(""));
    model.addAttribute("clashes", seen.clashes());
    model.addAttribute("form", form);
    if (!model.containsAttribute("problems")) {
      model.addAttribute("problems", Map.of());
    }
    return "archive/taking";
  }

  @PostMapping("/job-files/{id}")
  Object take(
      @PathVariable UUID id,
      @ModelAttribute TakingForm form,
      Principal principal,
      RedirectAttributes once,
      Model model) {
    byte[] zip = sent.of(id, principal.getName());
    try {
      JobArchive.Seen seen = archive.look(zip);
      FieldProblems problems = new FieldProblems(words);
      Joining joining = form.joining(seen.clashes(), archive::isNamed, problems);
      if (!problems.none()) {
        model.addAttribute("problems", problems.sentences());
        return Pages.unprocessable(page(id, seen, form, model), model);
      }
      UUID job = archive.take(zip, joining);
      String fingerprint = seen.signed().fingerprint();
      if (!form.workshop().isEmpty()) {
        workshops.know(fingerprint, form.workshop(), principal.getName());
      }
      sent.forget(id, principal.getName());
      once.addFlashAttribute("taken", words.say("archive.taken", seen.signed().at(), fingerprint));
      return "redirect:/jobs/" + job + "/history";
    } catch (Refused e) {
      once.addFlashAttribute("importProblem", words.say("archive.refused", e.why()));
      return "redirect:/jobs/closed";
    }
  }

  @PostMapping("/job-files/{id}/discard")
  String discard(@PathVariable UUID id, Principal principal) {
    sent.forget(id, principal.getName());
    return "redirect:/jobs/closed";
  }
}
