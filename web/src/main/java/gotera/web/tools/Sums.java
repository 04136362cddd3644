package gotera.web.tools;

import gotera.cap.BoilingReserve;
import gotera.coolant.CoolantMixture;
import gotera.coolant.FreezingPoint;
import gotera.coolant.FreezingPoint.Glycol;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.refill.Mix;
import gotera.web.cap.CapTestWords;
import gotera.web.cap.TesterReadings;
import gotera.web.figures.Figures;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What was understood of the sums.
 *
 * @param stamp the pressure as typed
 * @param pressure that pressure (kPa)
 * @param tester what a cap tester showed, and the height (m)
 * @param percent concentrate (%)
 * @param capacity what a system holds (mL)
 */
record Sums(
    String stamp,
    OptionalDouble pressure,
    TesterReadings tester,
    OptionalDouble percent,
    OptionalDouble capacity) {
  private static final double WHOLE = 100;

  /** A result with its name. */
  record SumLine(String name, String value) {}

  /** Share of concentrate, 0 to 1. */
  OptionalDouble strength() {
    return percent.isPresent()
        ? OptionalDouble.of(percent.getAsDouble() / WHOLE)
        : OptionalDouble.empty();
  }

  /** Everything that follows. */
  List<SumLine> lines(Figures figures, Words words) {
    List<SumLine> lines = new ArrayList<>();
    if (pressure.isPresent()) {
      for (PressureUnit unit : PressureUnit.values()) {
        lines.add(new SumLine(unit.symbol(), figures.with(unit).pressure(pressure.getAsDouble())));
      }
      for (String said :
          CapTestWords.of(tester, new GaugePressure(pressure.getAsDouble()), words)) {
        lines.add(new SumLine(words.say("tools.cap"), said));
      }
    }
    if (pressure.isPresent() || percent.isPresent() || tester.altitude().isPresent()) {
      lines.add(boiling(pressure.orElse(0), figures, words));
    }
    if (tester.opening().isPresent()) {
      lines.add(boiling(tester.opening().get().kilopascals(), figures, words));
    }
    strength().ifPresent(s -> mixed(s, lines, figures, words));
    return lines;
  }

  private void mixed(double strength, List<SumLine> lines, Figures figures, Words words) {
    for (Glycol glycol : Glycol.values()) {
      OptionalDouble freezes = FreezingPoint.ifKnown(glycol, strength);
      if (freezes.isPresent()) {
        lines.add(
            new SumLine(
                words.say("tools.freezes", words.say("glycol." + glycol.word())),
                figures.temperature(freezes.getAsDouble(), 0)));
      }
    }
    if (capacity.isPresent()) {
      Mix.Fill fill = Mix.fresh(capacity.getAsDouble(), strength);
      lines.add(new SumLine(words.say("tools.concentrate"), figures.volume(fill.concentrate())));
      lines.add(new SumLine(words.say("tools.water"), figures.volume(fill.water())));
    }
  }

  private SumLine boiling(double kilopascals, Figures figures, Words words) {
    double strength = strength().orElse(CoolantMixture.USUAL_STRENGTH);
    BoilingReserve boils =
        BoilingReserve.under(
            new GaugePressure(kilopascals),
            AbsolutePressure.atAltitude(tester.altitude().orElse(0)),
            new CoolantMixture(strength));
    return new SumLine(
        words.say(
            "tools.boils",
            Figures.percent(strength),
            figures.pressure(kilopascals),
            Figures.plain(tester.altitude().orElse(0))),
        figures.temperature(boils.boils(), 0));
  }
}
