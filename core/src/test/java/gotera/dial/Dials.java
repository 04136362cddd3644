package gotera.dial;

import gotera.testkit.dial.DrawnDial;
import gotera.testkit.dial.DrawnDial.Trouble;
import java.util.List;
import java.util.stream.IntStream;

/** Drawn dials as the core knows dials and pictures. */
public final class Dials {
  private Dials() {}

  /** The dial as somebody touches it. */
  public static Dial touched(DrawnDial drawn, double... at) {
    double[][] touched = drawn.touched(at);
    List<Dial.Mark> marks =
        IntStream.range(0, at.length)
            .mapToObj(i -> new Dial.Mark(touched[i + 1][0], touched[i + 1][1], at[i]))
            .toList();
    return new Dial(touched[0][0], touched[0][1], marks);
  }

  /** A picture of it. */
  public static Picture picture(DrawnDial drawn, double kilopascals, Trouble trouble) {
    return new Picture(DrawnDial.SIZE, DrawnDial.SIZE, drawn.picture(kilopascals, trouble));
  }
}
