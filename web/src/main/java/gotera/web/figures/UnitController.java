package gotera.web.figures;

import gotera.quantity.PressureUnit;
import gotera.quantity.Units;
import java.security.Principal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Changes the units a person reads and types in. */
@Controller
class UnitController {
  private final ChosenUnits units;

  UnitController(ChosenUnits units) {
    this.units = units;
  }

  @PostMapping("/unit")
  String choose(
      @RequestParam(defaultValue = "") String unit,
      @RequestParam(defaultValue = "") String back,
      Principal principal) {
    Units now = units.of(principal.getName()).orElse(Units.USUAL);
    PressureUnit pressure = Units.read(unit).pressure();
    units.choose(principal.getName(), now.with(pressure));
    return "redirect:" + Entry.ownPath(back);
  }

  @PostMapping("/account/units")
  String chooseAll(
      @RequestParam(defaultValue = "") String pressure,
      @RequestParam(defaultValue = "") String volume,
      @RequestParam(defaultValue = "") String temperature,
      Principal principal) {
    units.choose(principal.getName(), Units.read(pressure + "-" + volume + "-" + temperature));
    return "redirect:/account?units";
  }
}
