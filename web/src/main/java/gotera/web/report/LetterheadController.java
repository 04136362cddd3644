package gotera.web.report;

import gotera.web.chain.InstallationKey;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.report.ReportPage.Head;
import gotera.web.words.Words;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The workshop's letterhead; the lead writes it. */
@Controller
class LetterheadController {
  private static final int LONGEST_NAME = 120;
  private static final int LONGEST_ADDRESS = 600;

  private final PaperService paper;
  private final InstallationKey key;
  private final Words words;

  LetterheadController(PaperService paper, InstallationKey key, Words words) {
    this.paper = paper;
    this.key = key;
    this.words = words;
  }

  /** A key and since when it signs. */
  record Signing(String fingerprint, String since) {}

  @GetMapping("/letterhead")
  String page(Model model) {
    Head head = paper.head();
    return page(head.name(), String.join("\n", head.address()), head.paper(), Map.of(), model);
  }

  @PostMapping("/letterhead")
  Object write(
      @RequestParam(defaultValue = "") String workshop,
      @RequestParam(defaultValue = "") String address,
      @RequestParam(defaultValue = "") String paperSize,
      Model model) {
    String name = Entry.text(workshop, LONGEST_NAME);
    String lines = Entry.text(address, LONGEST_ADDRESS);
    String size = Entry.choice(paperSize, PaperService.PAPERS);
    FieldProblems problems = new FieldProblems(words);
    if (name.isEmpty()) {
      problems.add("workshop", "letterhead.name-missing");
      return Pages.unprocessable(page(name, lines, size, problems.sentences(), model), model);
    }
    paper.head(name, lines, size);
    return "redirect:/letterhead";
  }

  /** A new key signs from now on; the form names the one it takes the place of. */
  @PostMapping("/letterhead/key")
  String renew(@RequestParam(defaultValue = "") String after) {
    key.renew(after);
    return "redirect:/letterhead#key";
  }

  private String page(
      String name, String address, String paper, Map<String, String> problems, Model model) {
    model.addAttribute("name", name);
    model.addAttribute("address", address);
    model.addAttribute("paper", paper);
    model.addAttribute("papers", PaperService.PAPERS);
    model.addAttribute("problems", problems);
    model.addAttribute(
        "keys",
        key.used().stream()
            .map(k -> new Signing(k.fingerprint(), Figures.moment(k.since())))
            .toList());
    return "report/letterhead";
  }
}
