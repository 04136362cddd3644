package gotera.combustion;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gotera.combustion.FluidColour.Spot;
import gotera.testkit.Close;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Colours against the library culori 4.0.2 (npm): lrgb divided by the white's, then lab65. */
class FluidColourTests {
  @ParameterizedTest
  @CsvSource({
    "0.2,0.35,0.8,0.9,0.9,0.9,46.3869,29.1655,-68.6556",
    "0.85,0.8,0.2,0.9,0.9,0.9,88.8447,-12.6992,77.8586",
    "0.3,0.7,0.35,0.8,0.82,0.78,78.4885,-54.8689,39.8948",
    "0.25,0.4,0.75,0.95,0.9,0.8,51.3021,25.9758,-67.6520",
    "0.7,0.68,0.3,0.6,0.62,0.7,106.8627,-13.0061,77.6608",
    "0.1,0.12,0.3,0.5,0.5,0.5,33.8726,23.7769,-48.8356"
  })
  void agreesWithAGeneralLibrary(
      double r, double g, double b, double wr, double wg, double wb, double l, double a, double y) {
    FluidColour colour = FluidColour.of(new Spot(r, g, b), new Spot(wr, wg, wb));
    Close.to("L*", colour.lightness(), l, 0.05);
    Close.to("a*", colour.a(), a, 0.05);
    Close.to("b*", colour.b(), y, 0.05);
  }

  @Test
  void theLightDoesNotMatterWhereTheWhiteIsBeside() {
    FluidColour day = FluidColour.of(new Spot(0.2, 0.35, 0.8), new Spot(0.9, 0.9, 0.9));
    FluidColour same = FluidColour.of(new Spot(0.9, 0.9, 0.9), new Spot(0.9, 0.9, 0.9));
    Close.to("white", same.lightness(), 100, 1e-3);
    Close.to("no difference to itself", day.difference(day), 0, 0);
    FluidColour yellow = FluidColour.of(new Spot(0.85, 0.8, 0.2), new Spot(0.9, 0.9, 0.9));
    Close.to("hue of blue", day.hue(), 293, 1);
    Close.to("hue of yellow", yellow.hue(), 99.3, 1);
  }

  @Test
  void whiteThatIsBurntOutOrDarkIsRefused() {
    Spot fluid = new Spot(0.2, 0.35, 0.8);
    assertThatThrownBy(() -> FluidColour.of(fluid, new Spot(1, 1, 1)))
        .hasMessageContaining("burnt out");
    assertThatThrownBy(() -> FluidColour.of(fluid, new Spot(0.05, 0.2, 0.2)))
        .hasMessageContaining("too dark");
  }
}
