package gotera.web.pressure.hold;

import gotera.pressure.PressureTestResult.Rate;
import gotera.uncertainty.Contribution;
import gotera.web.figures.Figures;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.hold.PressurePage.Origin;
import gotera.web.pressure.hold.PressurePage.Share;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Says where the figures of a test come from. */
@Component
class Origins {
  private final Words words;

  Origins(Words words) {
    this.words = words;
  }

  /** Every figure of a rate with where it comes from. */
  private Origin drift(Rate rate) {
    return origin(
        "drift",
        Figures.fixed(rate.drift(), 3)
            + " \u00b1 "
            + Figures.driftHalfWidth(rate.driftU())
            + " K/min",
        words.say(
            rate.preHold()
                ? "drift.pre-hold"
                : rate.driftMeasured() ? "drift.measured" : "drift.assumed"));
  }

  List<Origin> of(Rate rate, PressureTestView test, Figures figures) {
    double accepted = test.conditions().acceptance().limit();
    return List.of(
        origin(
            "rate",
            Figures.rate(rate.rate(), rate.u()) + " mL/min",
            figures.pressure(test.conditions().rated().kilopascals())),
        origin("upper", bound(rate.upper()), Figures.plain(accepted)),
        origin("threshold", bound(rate.leakThreshold()), bound(rate.limits().critical())),
        origin("detection", bound(rate.limits().detection()), Figures.plain(accepted)),
        origin(
            "compliance",
            Figures.twoDigits(rate.compliance())
                + " mL/kPa \u00b1 "
                + Figures.halfWidthPercent(rate.airAndHoses().relativeUncertainty())
                + " %",
            figures.volume(rate.airAndHoses().trappedAir().millilitres()),
            Figures.plain(rate.airAndHoses().hose()),
            words.say("compliance." + test.givenBy())),
        origin(
            "thermal",
            Figures.fixed(rate.thermalSensitivity(), 2) + " mL/K",
            figures.volume(test.conditions().liquid().millilitres()),
            Figures.percent(test.conditions().coolant().strength())),
        drift(rate),
        origin("settled", figures.volume(rate.settled())));
  }

  private Origin origin(String name, String value, Object... inputs) {
    return new Origin(
        words.say("figure." + name), value, words.say("figure." + name + ".from", inputs));
  }

  private String bound(double value) {
    return Double.isFinite(value)
        ? Figures.bound(value) + " mL/min"
        : words.say("verdict.no-bound");
  }

  /** The uncertainty, largest first. */
  List<Share> budget(Rate rate) {
    double total = Math.pow(rate.u(), 2);
    List<Share> shares = new ArrayList<>();
    for (Contribution c : rate.budget().contributions()) {
      if (c.u() > 0) {
        String word = c.source().word();
        shares.add(
            new Share(
                words.say("source." + word),
                "\u00b1 " + Figures.halfWidth(c.u()) + " mL/min",
                words.say("source." + word + ".advice"),
                (int) Math.round(100 * c.u() * c.u() / total)));
      }
    }
    return shares;
  }
}
