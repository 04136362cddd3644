package gotera.web.camera;

import gotera.dial.Dial;
import gotera.dial.Dial.Mark;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** A dial as it is kept: "x y" of the centre, then a line "x y kPa" for each mark. */
final class DialText {
  private DialText() {}

  static String of(Dial dial) {
    return dial.x()
        + " "
        + dial.y()
        + dial.marks().stream()
            .map(m -> "\n" + m.x() + " " + m.y() + " " + m.kilopascals())
            .collect(Collectors.joining());
  }

  static Dial read(String text) {
    List<double[]> lines = new ArrayList<>();
    text.lines()
        .forEach(
            line -> {
              String[] parts = line.split(" ");
              double[] figures = new double[parts.length];
              for (int i = 0; i < parts.length; i++) {
                figures[i] = Double.parseDouble(parts[i]);
              }
              lines.add(figures);
            });
    return new Dial(
        lines.get(0)[0],
        lines.get(0)[1],
        lines.stream().skip(1).map(f -> new Mark(f[0], f[1], f[2])).toList());
  }
}
