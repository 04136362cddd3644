package gotera.web.report;

import gotera.retest.FollowUp;
import gotera.web.decide.QuoteService;
import gotera.web.job.JobService;
import gotera.web.retest.ProofService;
import gotera.web.timer.WaitService;
import gotera.web.words.Words;
import java.io.IOException;
import java.io.StringWriter;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Uid;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Waits, what was put off, and looks at the level as a calendar (RFC 5545). */
@Controller
class CalendarController {
  private final JobService jobs;
  private final WaitService waits;
  private final QuoteService quotes;
  private final ProofService proofs;
  private final Words words;
  private final Clock clock;

  CalendarController(
      JobService jobs,
      WaitService waits,
      QuoteService quotes,
      ProofService proofs,
      Words words,
      Clock clock) {
    this.jobs = jobs;
    this.waits = waits;
    this.quotes = quotes;
    this.proofs = proofs;
    this.words = words;
    this.clock = clock;
  }

  @GetMapping("/jobs/{id}/calendar.ics")
  ResponseEntity<String> calendar(@PathVariable UUID id) throws IOException {
    String vehicle = jobs.require(id).vehicle().orElse(words.say("job.unnamed"));
    Calendar calendar = new Calendar().withProdId("-//Gotera//EN").withDefaults().getFluentTarget();
    waits
        .open(id)
        .forEach(
            w ->
                calendar.add(
                    event(w.id().toString(), Instant.ofEpochMilli(w.due()), vehicle, w.what())));
    quotes
        .lines(id)
        .forEach(
            l ->
                l.decided()
                    .until()
                    .ifPresent(
                        day ->
                            calendar.add(
                                event(
                                    l.id().toString(),
                                    day.atTime(8, 0).atZone(ZoneId.systemDefault()).toInstant(),
                                    vehicle,
                                    l.what()))));
    followUps(id)
        .forEach(
            f ->
                calendar.add(
                    event(
                        id + "-" + f.what().word(),
                        f.at(),
                        vehicle,
                        words.say("follow-up." + f.what().word()))));
    StringWriter written = new StringWriter();
    new CalendarOutputter(false).output(calendar, written);
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("calendar.ics").build().toString())
        .body(written.toString());
  }

  /**
   * Looks at the level after the last repair that are to come; none while it leaks all the same.
   */
  private List<FollowUp> followUps(UUID id) {
    return proofs.of(id).holdsSince().map(FollowUp::after).orElse(List.of()).stream()
        .filter(f -> f.at().isAfter(clock.instant()))
        .toList();
  }

  private static VEvent event(String uid, Instant at, String vehicle, String what) {
    VEvent event = new VEvent(at, vehicle + ": " + what);
    event.add(new Uid(uid + "@gotera"));
    return event;
  }
}
