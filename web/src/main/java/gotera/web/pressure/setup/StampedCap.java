package gotera.web.pressure.setup;

import gotera.cap.CapStamp;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.quantity.Understanding;
import gotera.quantity.Understanding.Ambiguous;
import gotera.web.cap.CapEntry;
import gotera.web.cap.CapFacts;
import gotera.web.cap.CapService;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.words.Words;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The cap that a test keeps to, where it is typed with the set-up. */
@Component
class StampedCap {
  private final CapService caps;
  private final Words words;

  StampedCap(CapService caps, Words words) {
    this.caps = caps;
    this.words = words;
  }

  /** A meaning of a stamp to choose from. */
  record Meaning(String value, String text) {}

  /** The cap of the job; written down from the stamp that was typed where none is yet. */
  Optional<CapFacts> cap(
      UUID jobId,
      SetupForm form,
      FieldProblems problems,
      Figures figures,
      Principal principal,
      Model model) {
    Optional<CapFacts> known = caps.of(jobId);
    if (known.isPresent()) {
      return known;
    }
    Optional<GaugePressure> rated = stamped(form, problems, figures, model);
    if (rated.isEmpty()) {
      return Optional.empty();
    }
    caps.write(
        jobId, CapEntry.stamped(form.stamp(), rated.get(), "not-looked"), principal.getName(), 0);
    return caps.of(jobId);
  }

  /** What the stamp means; asked back where the unit that was chosen makes no cap of it. */
  private Optional<GaugePressure> stamped(
      SetupForm form, FieldProblems problems, Figures figures, Model model) {
    Optional<PressureUnit> chosen =
        Optional.of(figures.unit()).filter(u -> u != PressureUnit.KPA && u.stamped());
    Understanding<GaugePressure> read = CapStamp.read(form.stamp(), chosen);
    if (!(read instanceof Ambiguous<GaugePressure> ambiguous)) {
      return problems.take("stamp", form.stamp(), read);
    }
    List<Meaning> meanings = new ArrayList<>();
    for (GaugePressure meaning : ambiguous.meanings()) {
      String value = Double.toString(meaning.kilopascals());
      if (form.meant().equals(value)) {
        return Optional.of(meaning);
      }
      meanings.add(
          new Meaning(
              value,
              figures.pressureTwice(meaning.kilopascals())
                  + " \u00b7 "
                  + figures.with(PressureUnit.BAR).pressure(meaning.kilopascals())));
    }
    model.addAttribute("meanings", meanings);
    problems.add(
        "stamp",
        chosen.isPresent() ? "problem.cap-unit" : "problem.cap-ambiguous",
        form.stamp(),
        chosen.map(PressureUnit::symbol).orElse(""));
    return Optional.empty();
  }
}
