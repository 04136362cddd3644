package gotera.web.tools;

import gotera.cap.BoilingReserve;
import gotera.coolant.CoolantMixture;
import gotera.coolant.FreezingPoint;
import gotera.coolant.FreezingPoint.Glycol;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.range.Range;
import gotera.refill.Mix;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;

/** One page of sums: whatever is typed gives what follows from it. */
@Controller
class ToolsController {
  private static final double WHOLE = 100;

  private final Words words;

  ToolsController(Words words) {
    this.words = words;
  }

  /**
   * What is typed; each may be empty.
   *
   * @param stamp a pressure, as on a cap
   * @param altitude height of the place (m)
   * @param strength concentrate (%)
   * @param capacity what a system holds
   */
  record Typed(String stamp, String altitude, String strength, String capacity) {
    Typed {
      stamp = Entry.text(stamp, 40);
      altitude = Entry.text(altitude, 20);
      strength = Entry.text(strength, 20);
      capacity = Entry.text(capacity, 40);
    }
  }

  /** A result with its name. */
  record Line(String name, String value) {}

  /** What was understood of it. */
  private record Read(
      OptionalDouble pressure,
      OptionalDouble altitude,
      OptionalDouble strength,
      OptionalDouble capacity) {}

  @GetMapping("/tools")
  Object page(@ModelAttribute Typed typed, Figures figures, Model model) {
    FieldProblems problems = new FieldProblems(words);
    Read read =
        new Read(
            problems.kilopascalsIfTyped("stamp", typed.stamp(), figures.unit(), Range.PRESSED),
            problems.numberIfTyped("altitude", typed.altitude(), Range.ALTITUDE),
            problems.numberIfTyped("strength", typed.strength(), Range.STRENGTH_PERCENT),
            typed.capacity().isBlank()
                ? OptionalDouble.empty()
                : problems.millilitres(
                    "capacity",
                    typed.capacity(),
                    figures.units().volume().millilitres(),
                    Range.CAPACITY));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems.sentences());
    model.addAttribute("lines", lines(read, figures));
    return problems.none() ? "tools/tools" : Pages.unprocessable("tools/tools", model);
  }

  private List<Line> lines(Read read, Figures figures) {
    List<Line> lines = new ArrayList<>();
    if (read.pressure().isPresent()) {
      for (PressureUnit unit : PressureUnit.values()) {
        lines.add(
            new Line(unit.symbol(), figures.with(unit).pressure(read.pressure().getAsDouble())));
      }
    }
    boolean any = !lines.isEmpty() || read.strength().isPresent() || read.altitude().isPresent();
    if (any) {
      lines.add(boiling(read, figures));
    }
    if (read.strength().isPresent()) {
      for (Glycol glycol : Glycol.values()) {
        OptionalDouble freezes = FreezingPoint.ifKnown(glycol, share(read.strength()));
        if (freezes.isPresent()) {
          lines.add(
              new Line(
                  words.say("tools.freezes", words.say("glycol." + glycol.word())),
                  figures.temperature(freezes.getAsDouble(), 0)));
        }
      }
    }
    if (read.strength().isPresent() && read.capacity().isPresent()) {
      Mix.Fill fill = Mix.fresh(read.capacity().getAsDouble(), share(read.strength()));
      lines.add(new Line(words.say("tools.concentrate"), figures.volume(fill.concentrate())));
      lines.add(new Line(words.say("tools.water"), figures.volume(fill.water())));
    }
    return lines;
  }

  private static double share(OptionalDouble percent) {
    return percent.getAsDouble() / WHOLE;
  }

  private Line boiling(Read read, Figures figures) {
    double strength =
        read.strength().isPresent() ? share(read.strength()) : CoolantMixture.USUAL_STRENGTH;
    BoilingReserve boils =
        BoilingReserve.under(
            new GaugePressure(read.pressure().orElse(0)),
            AbsolutePressure.atAltitude(read.altitude().orElse(0)),
            new CoolantMixture(strength));
    return new Line(
        words.say(
            "tools.boils",
            Figures.percent(strength),
            figures.pressure(read.pressure().orElse(0)),
            Figures.plain(read.altitude().orElse(0))),
        figures.temperature(boils.boils(), 0));
  }
}
