package gotera.pressure.trace;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What the gauge, and perhaps a thermometer, said and when. Immutable; times strictly increase.
 * Kept in plain arrays, for a trace may have millions of readings.
 */
public final class Trace {
  private final double[] seconds;
  private final double[] gauge;
  private final double[] celsius;
  private final int first;
  private final int size;
  private final List<TraceEvent> events;

  private Trace(
      double[] seconds,
      double[] gauge,
      double[] celsius,
      int first,
      int size,
      List<TraceEvent> events) {
    this.seconds = seconds;
    this.gauge = gauge;
    this.celsius = celsius;
    this.first = first;
    this.size = size;
    this.events = events;
  }

  /** Number of readings. */
  public int size() {
    return size;
  }

  /** Time of a reading (s). */
  public double seconds(int i) {
    return seconds[first + checked(i)];
  }

  /** Gauge pressure of a reading (kPa). */
  public double gauge(int i) {
    return gauge[first + checked(i)];
  }

  private int checked(int i) {
    return java.util.Objects.checkIndex(i, size);
  }

  /** Whether the thermometer was read with this reading. */
  public boolean hasTemperature(int i) {
    return !Double.isNaN(celsius[first + checked(i)]);
  }

  /** Coolant temperature of a reading (°C), if {@link #hasTemperature}. */
  public double celsius(int i) {
    return celsius[first + checked(i)];
  }

  /** Events in order of time. */
  public List<TraceEvent> events() {
    return events;
  }

  /** The first event of a kind. */
  public Optional<TraceEvent> first(TraceEvent.Kind kind) {
    return events.stream().filter(e -> e.kind() == kind).findFirst();
  }

  /** The last event of a kind. */
  public Optional<TraceEvent> last(TraceEvent.Kind kind) {
    return events.stream().filter(e -> e.kind() == kind).reduce((a, b) -> b);
  }

  /** Highest gauge pressure read (kPa); empty without readings. */
  public Optional<Double> highest() {
    return size == 0
        ? Optional.empty()
        : Optional.of(Arrays.stream(gauge, first, first + size).max().getAsDouble());
  }

  /** Lowest gauge pressure read (kPa); empty without readings. */
  public Optional<Double> lowest() {
    return size == 0
        ? Optional.empty()
        : Optional.of(Arrays.stream(gauge, first, first + size).min().getAsDouble());
  }

  /** The readings from one moment to another, both included, with all events. */
  public Trace between(double from, double to) {
    int begin = indexFrom(from);
    int end = indexFrom(Math.nextUp(to));
    return new Trace(seconds, gauge, celsius, begin, Math.max(0, end - begin), events);
  }

  /** What was known at a moment: the readings up to it and what had happened by then. */
  public Trace until(double moment) {
    return new Trace(
        seconds,
        gauge,
        celsius,
        first,
        Math.max(0, indexFrom(Math.nextUp(moment)) - first),
        events.stream().filter(e -> e.seconds() <= moment).toList());
  }

  /** Index in the arrays of the first reading of this trace that is not before a moment. */
  private int indexFrom(double moment) {
    int found = Arrays.binarySearch(seconds, first, first + size, moment);
    return found >= 0 ? found : -found - 1;
  }

  /** A trace under construction. */
  public static Builder builder() {
    return new Builder();
  }

  /** Collects readings in order of time. */
  public static final class Builder {
    private double[] seconds = new double[64];
    private double[] gauge = new double[64];
    private double[] celsius = new double[64];
    private int size;
    private final List<TraceEvent> events = new ArrayList<>();

    private Builder() {}

    /**
     * Adds a reading.
     *
     * @param second time (s), later than the reading before
     * @param kilopascals gauge pressure (kPa)
     * @param degrees coolant temperature (°C), not a number if it was not read
     */
    public Builder reading(double second, double kilopascals, double degrees) {
      if (size > 0 && !(second > seconds[size - 1])) {
        throw new IllegalArgumentException(
            "time " + second + " s is not later than " + seconds[size - 1] + " s");
      }
      if (!Double.isFinite(second) || !Double.isFinite(kilopascals)) {
        throw new IllegalArgumentException("reading " + second + " s, " + kilopascals + " kPa");
      }
      if (size == seconds.length) {
        seconds = Arrays.copyOf(seconds, 2 * size);
        gauge = Arrays.copyOf(gauge, 2 * size);
        celsius = Arrays.copyOf(celsius, 2 * size);
      }
      seconds[size] = second;
      gauge[size] = kilopascals;
      celsius[size] = degrees;
      size++;
      return this;
    }

    /** Adds a reading without temperature. */
    public Builder reading(double second, double kilopascals) {
      return reading(second, kilopascals, Double.NaN);
    }

    /** Adds an event, in any order. */
    public Builder event(TraceEvent event) {
      events.add(event);
      return this;
    }

    /** The finished trace. */
    public Trace build() {
      events.sort(Comparator.comparingDouble(TraceEvent::seconds));
      return new Trace(
          Arrays.copyOf(seconds, size),
          Arrays.copyOf(gauge, size),
          Arrays.copyOf(celsius, size),
          0,
          size,
          List.copyOf(events));
    }
  }
}
