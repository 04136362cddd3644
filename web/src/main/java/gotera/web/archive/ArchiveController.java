package gotera.web.archive;

import gotera.formats.signed.Authenticity;
import gotera.formats.signed.SignedZip;
import gotera.web.archive.JobRestore.Refused;
import gotera.web.frame.AddressProperties;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Hands a whole job out as a file, and takes one in. */
@Controller
class ArchiveController {
  private final JobArchive archive;
  private final JobService jobs;
  private final AddressProperties address;
  private final Words words;

  ArchiveController(JobArchive archive, JobService jobs, AddressProperties address, Words words) {
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
  String take(@RequestParam @Nullable MultipartFile jobFile, RedirectAttributes once)
      throws IOException {
    if (jobFile == null || jobFile.isEmpty()) {
      once.addFlashAttribute("importProblem", words.say("archive.none"));
      return "redirect:/jobs/closed";
    }
    byte[] zip = jobFile.getBytes();
    try {
      UUID job = archive.take(zip);
      if (SignedZip.check(zip) instanceof Authenticity.Genuine g) {
        once.addFlashAttribute("taken", words.say("archive.taken", g.at(), g.fingerprint()));
      }
      return "redirect:/jobs/" + job + "/history";
    } catch (Refused e) {
      once.addFlashAttribute("importProblem", words.say("archive.refused", e.why()));
      return "redirect:/jobs/closed";
    }
  }
}
