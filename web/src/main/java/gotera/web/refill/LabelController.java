package gotera.web.refill;

import gotera.coolant.Chemistry;
import gotera.coolant.CoolantMixture;
import gotera.coolant.FreezingPoint;
import gotera.coolant.FreezingPoint.Glycol;
import gotera.web.figures.Figures;
import gotera.web.fill.FillService;
import gotera.web.frame.AddressProperties;
import gotera.web.frame.QrCode;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The label for the filler: strength, frost, chemistry, date, and the way back to the job. */
@Controller
class LabelController {
  private final RefillService refills;
  private final FillService fills;
  private final JobService jobs;
  private final AddressProperties address;
  private final Words words;
  private final Clock clock;

  LabelController(
      RefillService refills,
      FillService fills,
      JobService jobs,
      AddressProperties address,
      Words words,
      Clock clock) {
    this.refills = refills;
    this.fills = fills;
    this.jobs = jobs;
    this.address = address;
    this.words = words;
    this.clock = clock;
  }

  @GetMapping("/jobs/{id}/refill/label")
  String label(@PathVariable UUID id, Figures figures, HttpServletRequest request, Model model) {
    CoolantMixture now = fills.mixture(id);
    Glycol glycol = fills.glycol(id);
    model.addAttribute("job", jobs.require(id));
    model.addAttribute("strength", Figures.fixed(100 * now.strength(), 0));
    model.addAttribute("glycol", words.say("glycol." + glycol.word()));
    model.addAttribute(
        "frost",
        FreezingPoint.ifKnown(glycol, now.strength()).stream()
            .mapToObj(t -> figures.temperature(t, 0))
            .findFirst()
            .orElse(""));
    model.addAttribute("chemistry", chemistry(id));
    model.addAttribute("date", Figures.moment(clock.instant()));
    model.addAttribute(
        "qr", QrCode.of(address.of(request) + "/jobs/" + id).svg(words.say("refill.qr")));
    return "refill/label";
  }

  /** What goes in, and where something of another or unknown kind stayed in, that too. */
  private String chemistry(UUID id) {
    Chemistry in = refills.in(id).orElse(Chemistry.UNKNOWN);
    Chemistry poured = refills.poured(id).orElse(in);
    String said = words.say("chemistry." + poured.word());
    return poured == in || fills.isRenewed(id)
        ? said
        : words.say("chemistry.onto", said, words.say("chemistry." + in.word()));
  }
}
