package gotera.cli.gauge;

/**
 * A clock that is wrong.
 *
 * @param name its name
 * @param begun when it began, by the true time (s)
 * @param ahead what it showed then (s)
 * @param drift by how much a second of it is short (1)
 */
record DeviceTime(String name, double begun, double ahead, double drift) {
  double now() {
    return at(trueTime());
  }

  /** What it shows at a true time (s). */
  double at(double trueTime) {
    return ahead + (trueTime - begun) * (1 + drift);
  }

  static double trueTime() {
    java.time.Instant now = java.time.Instant.now();
    return now.getEpochSecond() + now.getNano() / 1e9;
  }
}
