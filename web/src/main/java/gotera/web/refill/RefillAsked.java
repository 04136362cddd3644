package gotera.web.refill;

import gotera.coolant.Growth;
import gotera.pressure.PressureTestResult;
import gotera.pressure.compliance.AirAndHoses;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.Temperature;
import gotera.range.Range;
import gotera.refill.AirLeft;
import gotera.refill.Bottles;
import gotera.refill.FillAccount;
import gotera.refill.Mix;
import gotera.refill.VacuumFill;
import gotera.uncertainty.DecisionLimits;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.fill.FillService;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.settings.WorkshopProperties;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Works out what is asked at a refill: bottles and prices, a vacuum, the air that is left. */
@Component
class RefillAsked {
  private static final double HUNDRED = 100;
  private static final double LITRE = 1000;

  private final RefillService refills;
  private final RefillPages pages;
  private final FillService fills;
  private final PressureService tests;
  private final WorkshopProperties workshop;
  private final Words words;

  RefillAsked(
      RefillService refills,
      RefillPages pages,
      FillService fills,
      PressureService tests,
      WorkshopProperties workshop,
      Words words) {
    this.refills = refills;
    this.pages = pages;
    this.fills = fills;
    this.tests = tests;
    this.workshop = workshop;
    this.words = words;
  }

  /** What whole bottles give, and what a litre costs. */
  void buying(UUID id, RefillForm form, FieldProblems problems, Figures figures, Model model) {
    if (form.bottle().isEmpty() && form.price().isEmpty() && form.premix().isEmpty()) {
      return;
    }
    OptionalDouble bottle =
        problems.millilitresIfTyped(
            "bottle", form.bottle(), figures.units().volume().millilitres(), Range.BOTTLE);
    OptionalDouble price = problems.numberIfTyped("price", form.price(), Range.PRICE);
    OptionalDouble premix = problems.numberIfTyped("premix", form.premix(), Range.PRICE);
    OptionalDouble wanted = refills.wanted(id);
    Optional<Mix.Fill> missing = pages.missing(id);
    List<String> said = new ArrayList<>();
    if (bottle.isPresent() && missing.isPresent()) {
      Mix.Fill f = missing.get();
      Bottles b = Bottles.of(f.concentrate(), bottle.getAsDouble(), f.concentrate() + f.water());
      said.add(
          words.say(
              "refill.bottles",
              b.bottles(),
              figures.volume(bottle.getAsDouble()),
              figures.volume(b.over()),
              Figures.fixed(HUNDRED * b.strength(), 0)));
    }
    if (price.isPresent() && premix.isPresent() && wanted.isPresent()) {
      double mixed = Bottles.mixed(price.getAsDouble(), wanted.getAsDouble());
      said.add(
          words.say(
              mixed < premix.getAsDouble() ? "refill.mix-cheaper" : "refill.premix-cheaper",
              Figures.fixed(mixed, 2),
              Figures.fixed(premix.getAsDouble(), 2)));
    }
    model.addAttribute("buying", said);
  }

  /** What air is left, by the draw or the strokes of the last re-test. */
  void air(UUID id, RefillForm form, FieldProblems problems, Figures figures, Model model) {
    OptionalDouble gap =
        problems.millilitresIfTyped(
            "gapLeft", form.gapLeft(), figures.units().volume().millilitres(), Range.AIR);
    Optional<PressureTestView> last =
        tests.latest(id, Phase.RE_TEST).filter(t -> measured(t).isPresent());
    if (last.isEmpty() || !problems.none()) {
      return;
    }
    double atmosphere = last.get().conditions().atmosphere().kilopascals();
    AirLeft left =
        AirLeft.of(
            measured(last.get()).orElseThrow(),
            last.get().startGauge(),
            atmosphere,
            fills.mixture(id).vapourPressure(Temperature.ofCelsius(Growth.FILLED)).kilopascals(),
            gap.orElse(0));
    model.addAttribute(
        "airSays",
        words.say(
            gap.isPresent() ? "refill.air-trapped" : "refill.air",
            figures.volume(left.free()),
            figures.volume(DecisionLimits.TWO_SIDED * left.u()),
            figures.volume(left.trapped())));
  }

  private static Optional<AirAndHoses> measured(PressureTestView test) {
    return test.result()
        .rate()
        .map(PressureTestResult.Rate::airAndHoses)
        .filter(a -> a.source() == AirAndHoses.Source.MEASURED);
  }

  /** What air a vacuum leaves here. */
  void vacuum(UUID id, RefillForm form, FieldProblems problems, Figures figures, Model model) {
    if (form.vacuum().isEmpty()) {
      return;
    }
    OptionalDouble below =
        problems.kilopascals("vacuum", form.vacuum(), figures.units().pressure(), Range.VACUUM);
    Optional<FillAccount> account = fills.account(id);
    if (below.isEmpty() || account.isEmpty()) {
      return;
    }
    double atmosphere = AbsolutePressure.atAltitude(workshop.altitude()).kilopascals();
    double left = atmosphere - below.getAsDouble();
    if (left < 0) {
      problems.add("vacuum", "refill.no-such-vacuum", figures.pressure(atmosphere));
      return;
    }
    double vapour =
        fills.mixture(id).vapourPressure(Temperature.ofCelsius(Growth.FILLED)).kilopascals();
    double air = VacuumFill.air(account.get().full(), left, vapour, atmosphere);
    model.addAttribute(
        "vacuumSays",
        words.say(
            "refill.vacuum",
            figures.pressure(left),
            figures.volume(air),
            Figures.plain(account.get().full() / LITRE)));
  }
}
