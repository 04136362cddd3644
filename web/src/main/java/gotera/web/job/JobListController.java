package gotera.web.job;

import gotera.web.figures.Entry;
import gotera.web.figures.Figures;
import gotera.web.frame.EachRow;
import gotera.web.job.JobHeadline.Headline;
import gotera.web.job.JobList.Query;
import gotera.web.job.JobList.Row;
import gotera.web.job.JobList.Rows;
import gotera.web.words.Words;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The front page with the open jobs, and the closed ones. */
@Controller
class JobListController {
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
      String id, String vehicle, String complaint, String ending, String when, String month) {
    Closed in(String named) {
      return new Closed(id, vehicle, complaint, ending, when, named);
    }
  }

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
    model.addAttribute("open", EachRow.of(rows.rows(), Row::id, this::shown, this::broken));
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
    model.addAttribute(
        "closed", months(EachRow.of(rows.rows(), Row::id, this::closed, this::brokenClosed)));
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

  /** A month is named where it begins. */
  private static List<Closed> months(List<Closed> closed) {
    List<Closed> named = new ArrayList<>();
    String before = "";
    for (Closed c : closed) {
      named.add(c.month().equals(before) ? c.in("") : c);
      before = c.month();
    }
    return named;
  }

  private Closed closed(Row row) {
    String ending =
        row.times().discarded().isPresent()
            ? words.say("job.discarded")
            : words.say("ending." + row.ending());
    return closed(row, ending);
  }

  private Closed brokenClosed(Row row) {
    return closed(row, words.say("job.broken"));
  }

  private Closed closed(Row row, String ending) {
    return new Closed(
        row.id().toString(),
        row.vehicle().orElse(words.say("job.unnamed")),
        row.complaint(),
        ending,
        ended(row).map(Figures::moment).orElse(""),
        ended(row).map(Figures::month).orElse(""));
  }

  private OpenJob shown(Row job) {
    JobSummary summary = job.kept().orElseGet(() -> summaries.anew(job.id(), job.seq()));
    String waits =
        summary
            .waitsUntil()
            .map(until -> words.say("job.waits-until", Figures.moment(until)))
            .orElseGet(() -> words.say("waits." + summary.waitsFor().word()));
    return open(job, summary.waitsFor().word(), waits, summary.headline());
  }

  private OpenJob broken(Row job) {
    return open(job, "history", words.say("job.broken"), Optional.empty());
  }

  private OpenJob open(Row job, String at, String waits, Optional<Headline> headline) {
    return new OpenJob(
        "/jobs/" + job.id() + "/" + at,
        job.vehicle().orElse(words.say("job.unnamed")),
        job.complaint(),
        waits,
        Figures.moment(job.times().started()),
        headline);
  }
}
