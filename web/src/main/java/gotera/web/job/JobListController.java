package gotera.web.job;

import gotera.web.figures.Entry;
import gotera.web.figures.Figures;
import gotera.web.job.JobHeadline.Headline;
import gotera.web.job.JobList.Query;
import gotera.web.job.JobList.Row;
import gotera.web.job.JobList.Rows;
import gotera.web.words.Words;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The front page with the open jobs, and the closed ones. */
@Controller
class JobListController {
  private static final Logger LOG = LoggerFactory.getLogger(JobListController.class);

  private final JobList list;
  private final JobSummaries summaries;
  private final Words words;

  JobListController(JobList list, JobSummaries summaries, Words words) {
    this.list = list;
    this.summaries = summaries;
    this.words = words;
  }

  /** A job on the front page. */
  record OpenJob(
      String address,
      String vehicle,
      String complaint,
      String waitsFor,
      String since,
      Optional<Headline> headline) {}

  /** A job that is closed or put aside; its month is named where it begins. */
  record Closed(
      String id, String vehicle, String complaint, String ending, String when, String month) {}

  /**
   * What is looked for, and the pages before and after.
   *
   * @param words what is looked for
   * @param before address of the page before; empty where there is none
   * @param after address of the page after; empty where there is none
   */
  record Pager(String words, String before, String after) {
    static Pager of(String address, Query query, boolean more) {
      String found =
          query.words().isEmpty()
              ? ""
              : "q=" + URLEncoder.encode(query.words(), StandardCharsets.UTF_8) + "&";
      return new Pager(
          query.words(),
          query.page() > 1 ? address + "?" + found + "page=" + (query.page() - 1) : "",
          more ? address + "?" + found + "page=" + (query.page() + 1) : "");
    }
  }

  @GetMapping("/")
  String front(
      @RequestParam(defaultValue = "") String q,
      @RequestParam(defaultValue = "") String page,
      Model model) {
    Query query = query(q, page);
    Rows rows = list.open(query);
    model.addAttribute("open", rows.rows().stream().map(this::shown).toList());
    model.addAttribute("pager", Pager.of("/", query, rows.more()));
    return "job/front";
  }

  @GetMapping("/jobs/closed")
  String closed(
      @RequestParam(defaultValue = "") String q,
      @RequestParam(defaultValue = "") String page,
      Model model) {
    Query query = query(q, page);
    Rows rows = list.notOpen(query);
    String[] month = {""};
    model.addAttribute(
        "closed",
        rows.rows().stream()
            .map(
                row -> {
                  String now = ended(row).map(Figures::month).orElse("");
                  Closed shown = closed(row, now.equals(month[0]) ? "" : now);
                  month[0] = now;
                  return shown;
                })
            .toList());
    model.addAttribute("pager", Pager.of("/jobs/closed", query, rows.more()));
    return "job/closed";
  }

  /** What was typed to look for; a page that is no number is the first. */
  private static Query query(String q, String page) {
    return new Query(
        Entry.text(q, 100), page.matches("[1-9]\\d{0,5}") ? Integer.parseInt(page) : 1);
  }

  private static Optional<Instant> ended(Row row) {
    return row.times().discarded().or(row.times()::closed);
  }

  private Closed closed(Row row, String month) {
    return new Closed(
        row.id().toString(),
        row.vehicle().orElse(words.say("job.unnamed")),
        row.complaint(),
        row.times().discarded().isPresent()
            ? words.say("job.discarded")
            : words.say("ending." + row.ending()),
        ended(row).map(Figures::moment).orElse(""),
        month);
  }

  /** A job whose row cannot be made shows a notice there; the others stand as they are. */
  private OpenJob shown(Row job) {
    String name = job.vehicle().orElse(words.say("job.unnamed"));
    String since = Figures.moment(job.times().started());
    try {
      JobSummary summary = job.kept().orElseGet(() -> summaries.anew(job.id(), job.seq()));
      return new OpenJob(
          "/jobs/" + job.id() + "/" + summary.waitsFor().word(),
          name,
          job.complaint(),
          summary
              .waitsUntil()
              .map(until -> words.say("job.waits-until", Figures.moment(until)))
              .orElseGet(() -> words.say("waits." + summary.waitsFor().word())),
          since,
          summary.headline());
    } catch (RuntimeException e) {
      LOG.error("job {} cannot be shown", job.id(), e);
      return new OpenJob(
          "/jobs/" + job.id() + "/history",
          name,
          job.complaint(),
          words.say("job.broken"),
          since,
          Optional.empty());
    }
  }
}
