package gotera.web.pressure;

import java.util.Optional;
import java.util.UUID;

/** How a feature that has gauges of its own tells which of them writes into a test. */
public interface WritesByItself {
  /**
   * A gauge at a test.
   *
   * @param name what it is called
   * @param simulated whether it is a stand-in
   * @param state how it is, in words
   * @param attention whether somebody should look after it
   */
  record Writer(String name, boolean simulated, String state, boolean attention) {}

  /** The gauge that writes into a test, if one does. */
  Optional<Writer> at(UUID testId);
}
