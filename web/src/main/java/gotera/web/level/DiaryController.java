package gotera.web.level;

import gotera.level.LevelWatch;
import gotera.range.Range;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.job.JobService;
import gotera.web.link.CustomerLinkService;
import gotera.web.link.CustomerLinkService.Purpose;
import gotera.web.link.HandedLinks;
import gotera.web.photo.PhotoService;
import gotera.web.photo.Photograph;
import gotera.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The owner's diary of the level, by a link that the workshop hands out and can withdraw. */
@Controller
class DiaryController {
  /** Who wrote a mark that came by link. */
  static final String OWNER = "owner";

  private final CustomerLinkService links;
  private final HandedLinks handed;
  private final LevelService marks;
  private final PhotoService photos;
  private final JobService jobs;
  private final Words words;

  DiaryController(
      CustomerLinkService links,
      HandedLinks handed,
      LevelService marks,
      PhotoService photos,
      JobService jobs,
      Words words) {
    this.links = links;
    this.handed = handed;
    this.marks = marks;
    this.photos = photos;
    this.jobs = jobs;
    this.words = words;
  }

  /** An entry as the owner typed it. */
  record DiaryForm(String levelNow, String distance, String toppedUp, String readOn) {
    DiaryForm {
      levelNow = Entry.text(levelNow, 20);
      distance = Entry.text(distance, 20);
      toppedUp = Entry.text(toppedUp, 40);
      readOn = Entry.text(readOn, 10);
    }
  }

  /** An entry as the diary shows it. */
  record DiaryRow(String when, String level, String distance, String put) {}

  @PostMapping("/jobs/{id}/diary-links")
  String make(
      @PathVariable UUID id,
      Principal principal,
      HttpServletRequest request,
      RedirectAttributes once) {
    jobs.require(id);
    if (marks.marks(id).isEmpty()) {
      once.addFlashAttribute("diaryProblem", words.say("diary.no-mark"));
      return "redirect:/jobs/" + id + "/level-watch";
    }
    handed.show(id, Purpose.DIARY, principal.getName(), request, once);
    return "redirect:/jobs/" + id + "/level-watch";
  }

  @PostMapping("/jobs/{id}/diary-links/{linkId}/withdraw")
  String withdraw(@PathVariable UUID id, @PathVariable UUID linkId) {
    links.withdraw(id, linkId);
    return "redirect:/jobs/" + id + "/level-watch";
  }

  @GetMapping("/diary/{token}")
  String page(
      @PathVariable String token, Figures figures, HttpServletResponse response, Model model) {
    UUID job = job(token, response);
    return page(token, job, new DiaryForm("", "", "", ""), Map.of(), figures, model);
  }

  @PostMapping("/diary/{token}")
  Object write(
      @PathVariable String token,
      @ModelAttribute DiaryForm form,
      @RequestParam @Nullable MultipartFile photo,
      Figures figures,
      HttpServletResponse response,
      Model model)
      throws IOException {
    UUID job = job(token, response);
    FieldProblems problems = new FieldProblems(words);
    if (marks.lately(job, OWNER) >= LevelWatch.MOST_ENTRIES_A_DAY) {
      // before the photograph is looked at: that is what costs
      problems.add("levelNow", "problem.diary-enough", LevelWatch.MOST_ENTRIES_A_DAY);
      return Pages.unprocessable(
          page(token, job, form, problems.sentences(), figures, model), model);
    }
    OptionalDouble km = problems.number("distance", form.distance(), Range.DISTANCE);
    Optional<Photograph> seen = photos.read(problems, photo);
    if (problems.none()) {
      List<LevelMarkRecord> before = marks.marks(job);
      LevelForm mark =
          new LevelForm(
              Figures.full(before.get(before.size() - 1).areaSquareCentimetres),
              form.levelNow(),
              form.toppedUp(),
              "",
              Figures.full(LevelWatch.hoursDriven(km.getAsDouble())),
              form.readOn(),
              "");
      marks.keep(job, mark, new LevelService.FromOwner(km, seen), problems, figures, OWNER);
    }
    return problems.none()
        ? "redirect:/diary/" + token
        : Pages.unprocessable(page(token, job, form, problems.sentences(), figures, model), model);
  }

  /** The owner mistyped: the last entry of the diary is taken back. */
  @PostMapping("/diary/{token}/undo")
  String undo(@PathVariable String token, HttpServletResponse response) {
    marks.undo(job(token, response), OWNER);
    return "redirect:/diary/" + token;
  }

  /** Where an entry was answered in place, its address leads back to the diary. */
  @GetMapping("/diary/{token}/undo")
  String reload(@PathVariable String token) {
    return "redirect:/diary/" + token;
  }

  /** What the marks since the first say, for somebody who is no technician. */
  private String says(UUID job) {
    List<LevelMarkRecord> all = marks.marks(job);
    String since = Figures.moment(all.get(0).readAt);
    return marks
        .since(job, java.time.Instant.MIN)
        .map(w -> words.say(w.watch().falls() ? "diary.falls" : "diary.holds", since))
        .orElseGet(() -> words.say("diary.first"));
  }

  private UUID job(String token, HttpServletResponse response) {
    UUID job = handed.open(token, Purpose.DIARY, response);
    if (marks.marks(job).isEmpty()) {
      throw new NotFound("diary without a mark");
    }
    return job;
  }

  private String page(
      String token,
      UUID job,
      DiaryForm form,
      Map<String, String> problems,
      Figures figures,
      Model model) {
    model.addAttribute("token", token);
    model.addAttribute("says", says(job));
    model.addAttribute("undoable", marks.lately(job, OWNER) > 0);
    model.addAttribute("vehicle", jobs.require(job).vehicle().orElse(""));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute(
        "lines",
        marks.marks(job).stream()
            .map(
                m ->
                    new DiaryRow(
                        Figures.moment(m.readAt),
                        Figures.fixed(m.levelMm, 0) + "\u00a0mm",
                        m.distanceKm == null ? "" : Figures.plain(m.distanceKm) + "\u00a0km",
                        m.toppedUpMl > 0 ? figures.volume(m.toppedUpMl) : ""))
            .toList());
    return "level/diary";
  }
}
