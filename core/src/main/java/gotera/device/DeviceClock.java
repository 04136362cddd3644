package gotera.device;

import java.util.ArrayList;
import java.util.List;

/**
 * What a device's clock says against ours. Each exchange of messages bounds the difference by its
 * delay: the offset is that of D. L. Mills, RFC 5905 section 8, θ = ((T2 − T1) + (T3 − T4))/2,
 * wrong by half the delay at most. A line through the exchanges, weighted by their delays, gives
 * offset and drift.
 *
 * <p>Readings are placed by stretches that join each other and only ever begin where nothing was
 * placed yet: what came late or twice is placed where it was or would have been placed, and no
 * correction turns the order of readings around.
 *
 * @param exchanges those kept, the shortest of each five minutes
 * @param stretches how times of the device are placed, in order; empty before the first word of it
 */
public record DeviceClock(List<Exchange> exchanges, List<Stretch> stretches) {
  /** A clock of which nothing is known. */
  public static final DeviceClock UNKNOWN = new DeviceClock(List.of(), List.of());

  /** One exchange is kept of so long a time (s) (our judgement). */
  private static final double KEPT_EVERY = 300;

  /** So many are kept (our judgement): two hours. */
  private static final int MOST_EXCHANGES = 24;

  /** So many stretches are kept (our judgement): a device that needs more has no clock. */
  private static final int MOST_STRETCHES = 200;

  /** Clocks of devices run fast or slow by about so much (1) (from memory: cheap quartz). */
  private static final double USUAL_DRIFT = 100e-6;

  /** What a delay leaves unsaid at least (s) (our judgement): clocks are read to a millisecond. */
  private static final double FINEST = 0.001;

  /** Without an answer that came back the delay is unknown; about so much (s) (our judgement). */
  private static final double UNKNOWN_DELAY = 0.5;

  /** A difference below this is not worth a correction (s) (our judgement): no gauge sees it. */
  private static final double TOLERATED = 0.02;

  /** A correction is spread over so long (s) (our judgement). */
  private static final double SPREAD = 60;

  /**
   * A reading may seem to be made so much after it came (s) (our judgement): before the first
   * exchange is whole a delay is taken for a clock that is behind.
   */
  public static final double AHEAD = 60;

  /** A correction of more than so much of the time is refused (1): order must stay. */
  private static final double STEEPEST = 0.5;

  /** Keeps its own lists. */
  public DeviceClock {
    exchanges = List.copyOf(exchanges);
    stretches = List.copyOf(stretches);
  }

  /**
   * A message and its answer.
   *
   * @param sent when the device sent it, by its clock (s)
   * @param received when it came here, by ours (s)
   * @param answered when the answer left, by ours (s)
   * @param heard when that came to the device, by its clock (s)
   */
  public record Exchange(double sent, double received, double answered, double heard) {
    /** Whether it can have been: no message came before it was sent. */
    public boolean isPossible() {
      return Double.isFinite(sent + received + answered + heard)
          && heard >= sent
          && answered >= received
          && delay() >= 0;
    }

    /** Time on the way, there and back (s). */
    public double delay() {
      return heard - sent - (answered - received);
    }

    /** What our clock shows more than the device's (s). */
    public double offset() {
      return (received - sent + answered - heard) / 2;
    }

    private double u() {
      // even over what the delay allows
      return FINEST + delay() / 2 / Math.sqrt(3);
    }

    private double middle() {
      return (sent + heard) / 2;
    }
  }

  /**
   * A stretch of the device's time.
   *
   * @param from where it begins, by the device's clock (s)
   * @param offset what our clock shows more there (s)
   * @param drift by how much the difference grows in a second (1)
   */
  public record Stretch(double from, double offset, double drift) {
    double ours(double device) {
      return device + offset + drift * (device - from);
    }
  }

  /**
   * What is known of a clock.
   *
   * @param offset what our clock shows more (s)
   * @param u its standard uncertainty (s)
   * @param drift by how much the difference grows in a second (1)
   * @param driftU its standard uncertainty (1)
   */
  public record Known(double offset, double u, double drift, double driftU) {}

  /** With one more exchange; what cannot have been is left out. */
  public DeviceClock heard(Exchange exchange) {
    if (!exchange.isPossible()) {
      return this;
    }
    List<Exchange> kept = new ArrayList<>();
    boolean better = true;
    for (Exchange e : exchanges) {
      if (bucket(e) != bucket(exchange)) {
        kept.add(e);
      } else if (e.delay() <= exchange.delay()) {
        kept.add(e);
        better = false;
      }
    }
    if (better) {
      kept.add(exchange);
    }
    while (kept.size() > MOST_EXCHANGES) {
      kept.remove(0);
    }
    return new DeviceClock(kept, stretches);
  }

  private static long bucket(Exchange e) {
    return (long) Math.floor(e.sent() / KEPT_EVERY);
  }

  /**
   * The difference at a time of the device.
   *
   * @param device the time, by the device's clock (s)
   * @param arrived when a message that was sent then came here (s): all there is before the first
   *     exchange is whole
   */
  public Known known(double device, double arrived) {
    if (exchanges.isEmpty()) {
      return new Known(arrived - device, UNKNOWN_DELAY, 0, USUAL_DRIFT);
    }
    double w = 0;
    double wt = 0;
    double wtt = 1 / (USUAL_DRIFT * USUAL_DRIFT);
    double wo = 0;
    double wto = 0;
    double first = exchanges.get(0).offset();
    for (Exchange e : exchanges) {
      double weight = 1 / (e.u() * e.u());
      double t = e.middle() - device;
      // offsets are told apart from the first, so that nothing is lost to their size
      double o = e.offset() - first;
      w += weight;
      wt += weight * t;
      wtt += weight * t * t;
      wo += weight * o;
      wto += weight * t * o;
    }
    double det = w * wtt - wt * wt;
    return new Known(
        first + (wtt * wo - wt * wto) / det,
        Math.sqrt(wtt / det),
        (w * wto - wt * wo) / det,
        Math.sqrt(w / det));
  }

  /**
   * Ready to place readings: where what is known has moved away from how they are placed, a new
   * stretch brings them together again.
   *
   * @param reached the latest time that was placed, by the device's clock (s)
   * @param sent a time of the device (s)
   * @param arrived when a message that was sent then came here (s)
   */
  public DeviceClock placing(double reached, double sent, double arrived) {
    if (stretches.isEmpty()) {
      Known now = known(sent, arrived);
      return new DeviceClock(exchanges, List.of(new Stretch(sent, now.offset(), now.drift())));
    }
    double from = Math.max(reached, stretches.get(stretches.size() - 1).from());
    double placed = ours(from) - from;
    Known there = known(from, arrived);
    double missing = there.offset() - placed;
    Stretch last = stretches.get(stretches.size() - 1);
    boolean underWay = stretches.size() > 1 && from - last.from() < SPREAD;
    // a correction that was made must end, or it becomes the next error
    boolean over = Math.abs(last.drift() - there.drift()) * SPREAD > TOLERATED;
    if (exchanges.isEmpty()
        || underWay
        || !over && Math.abs(missing) < Math.max(TOLERATED, there.u())
        || stretches.size() >= MOST_STRETCHES) {
      return this;
    }
    double drift = Math.max(-STEEPEST, Math.min(STEEPEST, there.drift() + missing / SPREAD));
    List<Stretch> more = new ArrayList<>(stretches);
    if (from <= last.from()) {
      more.remove(more.size() - 1);
    }
    more.add(new Stretch(from, placed, drift));
    return new DeviceClock(exchanges, more);
  }

  /** A time of the device by our clock (s); after {@link #placing} only. */
  public double ours(double device) {
    Stretch found = stretches.get(0);
    for (Stretch s : stretches) {
      if (s.from() <= device) {
        found = s;
      }
    }
    return found.ours(device);
  }
}
