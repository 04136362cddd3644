package gotera.web.report;

import gotera.web.circuit.CircuitService;
import gotera.web.circuit.LeakSite;
import gotera.web.figures.Table;
import gotera.web.job.JobService;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** What leaves the workshop as tables. */
@Controller
class TablesController {
  private final JobService jobs;
  private final CircuitService circuits;

  TablesController(JobService jobs, CircuitService circuits) {
    this.jobs = jobs;
    this.circuits = circuits;
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
              site.at().toString(),
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
