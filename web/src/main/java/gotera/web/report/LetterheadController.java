package gotera.web.report;

import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
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
  private final Words words;

  LetterheadController(PaperService paper, Words words) {
    this.paper = paper;
    this.words = words;
  }

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

  private static String page(
      String name, String address, String paper, Map<String, String> problems, Model model) {
    model.addAttribute("name", name);
    model.addAttribute("address", address);
    model.addAttribute("paper", paper);
    model.addAttribute("papers", PaperService.PAPERS);
    model.addAttribute("problems", problems);
    return "report/letterhead";
  }
}
