package gotera.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Point;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitPresets;
import gotera.circuit.DripSpot;
import gotera.circuit.DripTrace;
import gotera.circuit.Features;
import gotera.circuit.Features.Drive;
import gotera.circuit.Features.Engine;
import gotera.circuit.Features.Extra;
import gotera.circuit.Features.Fill;
import gotera.circuit.Features.Orientation;
import gotera.drawing.CircuitView.Glow;
import gotera.drawing.CircuitView.JointView;
import gotera.drawing.CircuitView.Mark;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;

class CircuitDrawingTests {
  private static final CircuitView.Words WORDS =
      new CircuitView.Words() {
        @Override
        public String name() {
          return "circuit";
        }

        @Override
        public String part(String code) {
          return code.replace('-', ' ');
        }

        @Override
        public String address(String joint) {
          return "/find?joint=" + joint;
        }
      };

  private final Circuit usual = CircuitBuilder.of(CircuitPresets.USUAL);

  static Stream<Features> combinations() {
    List<Features> all = new ArrayList<>();
    CircuitPresets.all().forEach(p -> all.add(p.features()));
    Random random = new Random(5);
    for (int i = 0; i < 200; i++) {
      Set<Extra> extras = EnumSet.noneOf(Extra.class);
      for (Extra extra : Extra.values()) {
        if (random.nextInt(100) < (extra == Extra.NO_HEATER ? 15 : 50)) {
          extras.add(extra);
        }
      }
      all.add(
          new Features(
              Drive.values()[random.nextInt(10) == 0 ? 2 : random.nextInt(2)],
              Fill.values()[random.nextInt(3)],
              Engine.values()[random.nextInt(3)],
              Orientation.values()[random.nextInt(2)],
              extras));
    }
    return all.stream();
  }

  @ParameterizedTest
  @MethodSource("combinations")
  void noNameLiesOverANameAJointOrTheEdge(Features features) {
    Circuit circuit = CircuitBuilder.of(features);
    Map<String, JointView> views = new HashMap<>();
    for (int i = 3; i < circuit.joints().size(); i += circuit.joints().size() / 3) {
      String code = circuit.joints().get(i).code();
      views.put(code, new JointView(Mark.WET, code + " \u00b7 2 drops/min", code, 0.5, Glow.NONE));
    }
    List<Labels.Placed> placed = CircuitDrawing.placed(CircuitView.plain(circuit, views), WORDS);
    assertThat(placed).hasSize(circuit.parts().size() + circuit.lines().size() + views.size());
    for (Labels.Placed a : placed) {
      Labels.Box box = a.box();
      assertThat(box.x() >= 0 && box.x() + box.width() <= Circuit.WIDTH)
          .as(a.text() + " on the sheet")
          .isTrue();
      for (Labels.Placed b : placed) {
        Labels.Box other = b.box();
        assertThat(a == b ? 0 : box.common(other.x(), other.y(), other.width(), other.height()))
            .as(a.text() + " over " + b.text())
            .isZero();
      }
      circuit
          .joints()
          .forEach(
              j ->
                  assertThat(box.common(j.at().x() - 8, j.at().y() - 8, 16, 16))
                      .as(a.text() + " over " + j.code())
                      .isZero());
    }
  }

  @ParameterizedTest
  @MethodSource("combinations")
  void everyNameStandsAtItsThingOrIsTiedToIt(Features features) throws Exception {
    Circuit circuit = CircuitBuilder.of(features);
    Document svg = parse(draw(CircuitView.plain(circuit, Map.of())));
    List<Element> ties = withClass(svg, "tie");
    for (Element name : withClass(svg, "circuit-part")) {
      String text = name.getTextContent();
      Labels.Box box = new Labels.Placed(text, number(name, "x"), number(name, "y")).box();
      if (!text.equals("firewall")) {
        List<Point> thing = outline(circuit, text);
        assertThat(thing).as(text).isNotEmpty();
        boolean beside = thing.stream().anyMatch(p -> box.touches(p, 30));
        boolean tied = ties.stream().anyMatch(t -> ties(t, box, thing));
        assertThat(beside || tied).as(text).isTrue();
      }
    }
  }

  private static boolean ties(Element tie, Labels.Box box, List<Point> thing) {
    Point begin = new Point(number(tie, "x1"), number(tie, "y1"));
    Point end = new Point(number(tie, "x2"), number(tie, "y2"));
    return box.touches(begin, 1) && thing.stream().anyMatch(p -> p.distance(end) < 8);
  }

  /** Points along a part's edge and over its area, or along a line. */
  private static List<Point> outline(Circuit circuit, String name) {
    List<Point> points = new ArrayList<>();
    for (Circuit.Part p : circuit.parts()) {
      for (int i = 0; p.code().replace('-', ' ').equals(name) && i <= 20; i++) {
        for (int j = 0; j <= 20; j++) {
          points.add(new Point(p.x() + p.width() * i / 20, p.y() + p.height() * j / 20));
        }
      }
    }
    for (Circuit.Line line : circuit.lines()) {
      for (int i = 1; line.code().replace('-', ' ').equals(name) && i < line.points().size(); i++) {
        Point a = line.points().get(i - 1);
        Point b = line.points().get(i);
        for (double f = 0; f <= 1; f += 0.02) {
          points.add(new Point(a.x() + f * (b.x() - a.x()), a.y() + f * (b.y() - a.y())));
        }
      }
    }
    return points;
  }

  private static double number(Element element, String attribute) {
    return Double.parseDouble(element.getAttribute(attribute));
  }

  @Test
  void hasALinkForEachJoint() throws Exception {
    Document svg = parse(draw(CircuitView.plain(usual, Map.of())));
    List<Element> links = named(svg, "a");
    assertThat(links).hasSize(usual.joints().size());
    assertThat(links).extracting(l -> l.getAttribute("href")).doesNotHaveDuplicates();
    assertThat(links).allMatch(l -> !l.getAttribute("aria-label").isBlank());
  }

  @Test
  void tellsWetByShapeAndNamesIt() throws Exception {
    JointView wet = new JointView(Mark.WET, "hose & clamp", "hose, wet", 0.2, Glow.NONE);
    Document svg = parse(draw(CircuitView.plain(usual, Map.of("lower-hose.pump-end", wet))));
    assertThat(withClass(svg, "joint joint-wet")).hasSize(1);
    assertThat(withClass(svg, "joint-label"))
        .extracting(Element::getTextContent)
        .containsExactly("hose & clamp");
  }

  @Test
  void theLikelierTheLargerTheHalo() throws Exception {
    Map<String, JointView> views = new HashMap<>();
    views.put("pump.gasket", new JointView(Mark.OPEN, "", "a", 0.8, Glow.NONE));
    views.put("radiator.core", new JointView(Mark.OPEN, "", "b", 0.1, Glow.NONE));
    views.put("block.drain-plug", new JointView(Mark.OPEN, "", "c", 0.01, Glow.NONE));
    List<Element> halos = withClass(parse(draw(CircuitView.plain(usual, views))), "joint-halo");
    assertThat(halos).hasSize(2);
    assertThat(halos)
        .extracting(h -> Double.parseDouble(h.getAttribute("r")))
        .anyMatch(r -> r > 50)
        .anyMatch(r -> r < 30);
  }

  @Test
  void drawsPathsFromTheDripAndNamesTheChosenJoint() throws Exception {
    DripTrace trace = DripTrace.of(usual, DripSpot.ENGINE_MOUNT, false);
    CircuitView view =
        new CircuitView(
            usual,
            Map.of(),
            Optional.of("radiator.core"),
            Optional.of(trace),
            Set.of(Branch.HEATER),
            true);
    Document svg = parse(draw(view));
    assertThat(withClass(svg, "drip-path")).hasSize(3);
    assertThat(withClass(svg, "drip-spot")).hasSize(1);
    assertThat(withClass(svg, "circuit circuit-dark")).hasSize(1);
    assertThat(withClass(svg, "circuit-body circuit-still")).isNotEmpty();
    assertThat(withClass(svg, "joint joint-open joint-chosen")).hasSize(1);
  }

  @Test
  void newGlowIsToldFromOld() throws Exception {
    Map<String, JointView> views = new HashMap<>();
    views.put("pump.gasket", new JointView(Mark.OPEN, "Pump gasket", "a", 0, Glow.NEW));
    views.put("radiator.core", new JointView(Mark.OPEN, "Core", "b", 0, Glow.OLD));
    Document svg = parse(draw(CircuitView.plain(usual, views)));
    assertThat(withClass(svg, "joint-glow")).hasSize(2);
    assertThat(withClass(svg, "joint-glow joint-glow-old")).hasSize(1);
  }

  private static String draw(CircuitView view) {
    return CircuitDrawing.of(view, WORDS);
  }

  private static Document parse(String svg) throws Exception {
    return DocumentBuilderFactory.newInstance()
        .newDocumentBuilder()
        .parse(new InputSource(new StringReader(svg)));
  }

  private static List<Element> named(Document svg, String tag) {
    NodeList all = svg.getElementsByTagName(tag);
    List<Element> found = new ArrayList<>();
    for (int i = 0; i < all.getLength(); i++) {
      found.add((Element) all.item(i));
    }
    return found;
  }

  private static List<Element> withClass(Document svg, String styleClass) {
    return named(svg, "*").stream()
        .filter(e -> (e.getAttribute("class") + " ").startsWith(styleClass + " "))
        .toList();
  }
}
