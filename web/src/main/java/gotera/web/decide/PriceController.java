package gotera.web.decide;

import gotera.decide.RepairKind;
import gotera.decide.Shop.Price;
import gotera.web.decide.PriceService.Rates;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.words.Words;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the shop charges: rates, and a table of prices and hours. */
@Controller
class PriceController {
  private static final int LONGEST_TABLE = 100_000;
  private static final int MOST_SAID = 5;

  private final PriceService prices;
  private final Words words;

  PriceController(PriceService prices, Words words) {
    this.prices = prices;
    this.words = words;
  }

  /** A kind as the page lists it. */
  record Row(String name, String parts, String hours, String days, boolean own, String note) {}

  @GetMapping("/prices")
  String page(Model model) {
    return page(RatesForm.of(prices.rates()), "", Map.of(), model);
  }

  @PostMapping("/prices")
  Object rates(@ModelAttribute RatesForm form, Model model) {
    FieldProblems problems = new FieldProblems(words);
    Optional<Rates> read = form.read(problems);
    read.ifPresent(prices::rates);
    return read.isPresent()
        ? "redirect:/prices"
        : Pages.unprocessable(page(form, "", problems.sentences(), model), model);
  }

  @PostMapping("/prices/table")
  Object table(@RequestParam(defaultValue = "") String table, Model model) {
    FieldProblems problems = new FieldProblems(words);
    if (table.length() > LONGEST_TABLE) {
      problems.add("table", "prices.too-long");
    } else {
      PriceTable read = PriceTable.read(table.strip());
      if (read.problems().isEmpty() && !read.prices().isEmpty()) {
        prices.prices(read.prices());
        return "redirect:/prices";
      }
      String where =
          read.problems().stream()
              .limit(MOST_SAID)
              .map(p -> words.say("prices.row", p.row(), p.what()))
              .collect(Collectors.joining("; "));
      problems.add("table", "prices.table-wrong", where);
    }
    return Pages.unprocessable(
        page(RatesForm.of(prices.rates()), table, problems.sentences(), model), model);
  }

  @GetMapping("/prices.csv")
  ResponseEntity<String> csv() {
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("prices.csv").build().toString())
        .body(PriceTable.write(prices.all()));
  }

  private String page(RatesForm form, String table, Map<String, String> problems, Model model) {
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("table", table);
    model.addAttribute("currency", prices.rates().currency());
    List<Row> rows =
        prices.all().entrySet().stream().map(e -> row(e.getKey(), e.getValue())).toList();
    model.addAttribute("rows", rows);
    return "decide/prices";
  }

  private Row row(RepairKind kind, Price price) {
    return new Row(
        words.say("repair-kind." + kind.word()),
        figure(price.parts()),
        price.hours().isPresent() ? figure(price.hours()) : Figures.plain(kind.hours()),
        figure(price.days()),
        price.hours().isPresent(),
        price.note());
  }

  private static String figure(OptionalDouble value) {
    return value.isPresent() ? Figures.plain(value.getAsDouble()) : "";
  }
}
