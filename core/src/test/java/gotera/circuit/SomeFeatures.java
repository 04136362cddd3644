package gotera.circuit;

import gotera.circuit.Features.Drive;
import gotera.circuit.Features.Engine;
import gotera.circuit.Features.Extra;
import gotera.circuit.Features.Fill;
import gotera.circuit.Features.Orientation;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;

/** Random combinations of features, the same ones each time, and the presets. */
final class SomeFeatures {
  private SomeFeatures() {}

  static List<Features> all() {
    List<Features> all = new ArrayList<>();
    CircuitPresets.all().forEach(p -> all.add(p.features()));
    Random random = new Random(20261125);
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
    return all;
  }
}
