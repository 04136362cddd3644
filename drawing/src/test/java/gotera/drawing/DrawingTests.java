package gotera.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.balance.LeakBalance;
import gotera.pressure.FittedCurve;
import gotera.pressure.HoldConditions;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.MakerRule;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import java.io.StringReader;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;

class DrawingTests {

  @Nested
  class ACurve {
    private final Trace trace =
        Trace.builder()
            .reading(0, 0)
            .reading(30, 120, 18)
            .reading(330, 118, 18.1)
            .reading(630, 117, 18.2)
            .event(TraceEvent.at(30, TraceEvent.Kind.VALVE_SHUT))
            .event(TraceEvent.at(31, TraceEvent.Kind.PUMPED))
            .build();
    private final Curve.Run run =
        new Curve.Run(
            trace,
            30,
            Optional.of(new HoldConditions.Window(30, 630)),
            List.of(new FittedCurve.Point(30, 120, 0.4), new FittedCurve.Point(630, 117, 0.4)),
            "before");

    @ParameterizedTest
    @EnumSource
    void showsEveryReadingOnceAndTheTemperatureApart(CurveDrawing.Size size) throws Exception {
      Document svg = parse(CurveDrawing.of(curve(PressureUnit.KPA, List.of(run)), size));
      assertThat(withClass(svg, "curve-reading")).hasSize(4);
      // a customer sees before and after, and nothing beside them
      boolean plain = size == CurveDrawing.Size.PAGE;
      assertThat(withClass(svg, "curve-temperature")).hasSize(plain ? 0 : 3);
      assertThat(withClass(svg, "curve-band")).hasSize(1);
      assertThat(withClass(svg, "curve-rated")).hasSize(1);
    }

    @Test
    void drawsHigherPressureHigher() throws Exception {
      Document svg =
          parse(CurveDrawing.of(curve(PressureUnit.KPA, List.of(run)), CurveDrawing.Size.WIDE));
      List<Element> readings = withClass(svg, "curve-reading");
      assertThat(number(readings.get(1), "cy")).isLessThan(number(readings.get(2), "cy"));
      assertThat(number(readings.get(1), "cx")).isLessThan(number(readings.get(2), "cx"));
    }

    @Test
    void looksTheSameInAnyUnit() throws Exception {
      String kpa = CurveDrawing.of(curve(PressureUnit.KPA, List.of(run)), CurveDrawing.Size.WIDE);
      String psi = CurveDrawing.of(curve(PressureUnit.PSI, List.of(run)), CurveDrawing.Size.WIDE);
      assertThat(withClass(parse(psi), "curve-reading"))
          .hasSameSizeAs(withClass(parse(kpa), "curve-reading"));
      assertThat(psi).contains(">psi<").doesNotContain(">kPa<");
    }

    @Test
    void namesTheTellingFlagWhereTwoAreTooClose() throws Exception {
      Document svg =
          parse(CurveDrawing.of(curve(PressureUnit.KPA, List.of(run)), CurveDrawing.Size.NARROW));
      assertThat(withClass(svg, "curve-flag")).hasSize(2);
      assertThat(withClass(svg, "curve-flagtext"))
          .extracting(Element::getTextContent)
          .containsExactly("valve <shut>");
    }

    @Test
    void laysTwoHoldsOverEachOther() throws Exception {
      Document svg =
          parse(
              CurveDrawing.of(curve(PressureUnit.KPA, List.of(run, run)), CurveDrawing.Size.WIDE));
      assertThat(withClass(svg, "curve-reading")).hasSize(8);
      assertThat(withClass(svg, "curve-reading curve-earlier")).hasSize(4);
    }

    private Curve curve(PressureUnit unit, List<Curve.Run> runs) {
      return new Curve(
          runs,
          OptionalDouble.of(124),
          Optional.of(new MakerRule(new GaugePressure(120), 2, 5)),
          unit,
          new Curve.Words(
              "curve", "minutes", "rated", "rule", "°C", Map.of("valve-shut", "valve <shut>")));
    }
  }

  @ParameterizedTest
  @EnumSource
  void eachVerdictHasAShapeOfItsOwn(VerdictKind kind) throws Exception {
    String shape = VerdictShape.of(kind, 0.4);
    parse(shape);
    for (VerdictKind other : VerdictKind.values()) {
      if (other != kind) {
        // told apart without colour: the geometry differs, not only the class
        assertThat(shape.replace(kind.word(), ""))
            .isNotEqualTo(VerdictShape.of(other, 0.4).replace(other.word(), ""));
      }
    }
  }

  @Test
  void theGapOfTheRingIsAsLargeAsWhatIsMissing() {
    assertThat(VerdictShape.of(VerdictKind.NOT_PROVEN, 0.2))
        .isNotEqualTo(VerdictShape.of(VerdictKind.NOT_PROVEN, 0.6));
  }

  @Test
  void theBarIsAsLongAsTheRateAndFilledByTheSites() throws Exception {
    LeakBalance balance = new LeakBalance(1.0, 0.1, List.of(0.25, 0.25), 0.5, 0.12);
    Document svg = parse(BalanceBar.of(balance, "balance", "not found"));
    double first = number(withClass(svg, "balance-site").get(0), "width");
    double frame = number(withClass(svg, "balance-frame").get(0), "width");
    assertThat(first).isCloseTo(frame / 4, org.assertj.core.data.Offset.offset(0.5));
    assertThat(svg.getDocumentElement().getTextContent()).contains("0.50 not found");
  }

  private static Document parse(String svg) throws Exception {
    return DocumentBuilderFactory.newInstance()
        .newDocumentBuilder()
        .parse(new InputSource(new StringReader(svg)));
  }

  private static List<Element> withClass(Document svg, String styleClass) {
    NodeList all = svg.getElementsByTagName("*");
    List<Element> found = new java.util.ArrayList<>();
    for (int i = 0; i < all.getLength(); i++) {
      Element e = (Element) all.item(i);
      if (e.getAttribute("class").equals(styleClass)
          || e.getAttribute("class").startsWith(styleClass + " ")) {
        found.add(e);
      }
    }
    return found;
  }

  private static double number(Element element, String attribute) {
    return Double.parseDouble(element.getAttribute(attribute));
  }

  /** A moment's dip in a long trace is drawn; of a short one every reading is. */
  @Test
  void aLongTraceIsThinnedAndLosesNothingThatStandsOut() {
    Trace.Builder longOne = Trace.builder();
    for (int i = 0; i < 100_000; i++) {
      longOne.reading(i * 0.1, i == 54_321 ? 20 : i == 76_543 ? 180 : 110 - i * 1e-4, Double.NaN);
    }
    assertThat(CurveDrawing.thinned(longOne.build()))
        .contains(54_321, 76_543)
        .hasSizeLessThan(600)
        .isSorted();
    Trace.Builder shortOne = Trace.builder();
    for (int i = 0; i < 101; i++) {
      shortOne.reading(i, 110, Double.NaN);
    }
    assertThat(CurveDrawing.thinned(shortOne.build())).hasSize(101);
  }
}
