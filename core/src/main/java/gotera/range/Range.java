package gotera.range;

/**
 * The lowest and highest value of each kind of figure. Wider than any vehicle needs, so that only
 * slips of hand, unit or decimal point fall outside; where a figure is refused nothing of it is
 * stored. Our judgement, untested, where nothing else is said.
 */
public enum Range {
  /** Pressure that rates are quoted at (kPa). */
  RATED(5, 400, "kPa"),
  /** Highest pressure of a test (kPa). */
  LIMIT(5, 400, "kPa"),
  /** Any gauge reading (kPa); nothing is below a vacuum. */
  GAUGE(-101.5, 1000, "kPa"),
  /** Gauge reading of a system under pressure, or before it is pumped up (kPa). */
  PRESSED(0, 400, "kPa"),
  /** A vacuum, counted below the surrounding air (kPa). */
  VACUUM(0, 101.5, "kPa"),
  /** Air pressure where people work (kPa): 5000 m above to 1000 m below the sea (ISO 2533). */
  ATMOSPHERE(50, 115, "kPa"),
  /** Height above the sea (m), as far as ISO 2533 is used here. */
  ALTITUDE(-500, 5000, "m"),
  /** Temperature of the room (°C). */
  ROOM(-40, 60, "°C"),
  /** Temperature of coolant (°C): it freezes and boils inside this range. */
  COOLANT(-60, 160, "°C"),
  /** Liquid in a system (mL). */
  LIQUID(100, 1_000_000, "mL"),
  /** Liquid in a vehicle's system, as forms ask for it (mL). */
  CAPACITY(500, 200_000, "mL"),
  /** Volume fraction of concentrate (1), as far as the tables of coolant reach. */
  STRENGTH(0, 0.6, ""),
  /** The same in percent. */
  STRENGTH_PERCENT(0, 60, "%"),
  /** Strength of what is poured in, concentrate included (%). */
  POURED_PERCENT(0, 100, "%"),
  /** Strength that is wanted (%). */
  WANTED_PERCENT(1, 60, "%"),
  /** Air trapped in a filled system, or all of a dry one (mL). */
  AIR(0, 1_000_000, "mL"),
  /** Compliance of hoses (mL/kPa). */
  HOSE(0, 100, "mL/kPa"),
  /** Relative standard uncertainty (1). */
  RELATIVE(0, 10, ""),
  /** Smallest step of a gauge (kPa). */
  GAUGE_STEP(0.001, 50, "kPa"),
  /** Repeatability or wander of a gauge (kPa). */
  GAUGE_NOISE(0, 50, "kPa"),
  /** End of a gauge's scale (kPa). */
  GAUGE_SCALE(1, 10_000, "kPa"),
  /** Smallest step of a thermometer (K). */
  THERMOMETER_STEP(0.001, 10, "K"),
  /** Repeatability of a thermometer (K). */
  THERMOMETER_NOISE(0, 10, "K"),
  /** A tester's own leak and its uncertainty (mL/min). */
  OWN_LEAK(0, 1000, "mL/min"),
  /** Acceptance limit (mL/min). */
  ACCEPTANCE(0.0001, 1000, "mL/min"),
  /** Hours stood (h). */
  STOOD(0, 10_000, "h"),
  /** Time on a trace's clock (s): also where it counts from some day of the last century. */
  TRACE_CLOCK(-1e10, 1e10, "s"),
  /** Length of a trace (s): a month. */
  TRACE_LENGTH(0, 31 * 86_400.0, "s"),
  /** Minutes since something disturbed the hoses (min). */
  SINCE(0, 1e6, "min"),
  /** Volume let out or pushed in to measure, or to close (mL). */
  DRAW(0.1, 5000, "mL"),
  /** What settled in an earlier hold (mL). */
  SETTLED(-10_000, 10_000, "mL"),
  /** Air of one stroke of a pump (mL). */
  STROKE(0.1, 5000, "mL"),
  /** Strokes counted (1). */
  STROKES(1, 5000, ""),
  /** Pressure of a maker's rule (kPa). */
  RULE_PRESSURE(5, 400, "kPa"),
  /** Time of a maker's rule (min). */
  RULE_MINUTES(0.1, 600, "min"),
  /** Drop that a maker's rule allows (kPa). */
  RULE_DROP(0.1, 400, "kPa"),
  /** Height of an air gap (mm). */
  GAP(0, 500, "mm"),
  /** Area of a neck or tank (cm²). */
  AREA(0.1, 2000, "cm²"),
  /** Air in a tester's hose and adapter (mL). */
  TESTER_AIR(0, 5000, "mL"),
  /** Level against its mark (mm). */
  LEVEL(-500, 500, "mm"),
  /** Hours hot since the mark before (h); none where it only stood. */
  HOT_HOURS(0, 10_000, "h"),
  /** A distance driven between two looks at the level. */
  DISTANCE(5, 400_000, "km"),
  /** Hours hot in a week (h). */
  HOT_HOURS_A_WEEK(0, 168, "h"),
  /** Loss in a week (mL). */
  LOSS_A_WEEK(0, 500_000, "mL"),
  /** Weeks since something was replaced. */
  WEEKS_AGO(0, 2000, "weeks"),
  /** Days since something was replaced (d). */
  DAYS_AGO(0, 14_000, "d"),
  /** What a vehicle has run (km). */
  KILOMETRES(0, 10_000_000, "km"),
  /** Coolant put in or taken out (mL). */
  FILL(1, 200_000, "mL"),
  /** Coolant put in since a mark, perhaps none (mL). */
  TOP_UP(0, 200_000, "mL"),
  /** Coolant caught (mL). */
  CAUGHT(0, 20_000, "mL"),
  /** Minutes it gathered for (min). */
  GATHERED(0.5, 1000, "min"),
  /** Drops in a minute. */
  DROPS(0, 600, "drops"),
  /** Size of a glow (mm). */
  GLOW(0.1, 1000, "mm"),
  /** Dye put in (mL). */
  DOSE(0.1, 2000, "mL"),
  /** Minutes an engine ran (min). */
  RAN(0.5, 100_000, "min"),
  /** Minutes somebody worked on something (min). */
  WORKED(0, 10_000, "min"),
  /** Length of a wait (min): a month. */
  WAIT(0, 31 * 1440.0, "min"),
  /** Time between readings that are planned (s). */
  INTERVAL(1, 600, "s"),
  /** Drift that is planned with (K/min). */
  DRIFT(-1, 1, "K/min"),
  /** Air that is planned with (mL). */
  PLANNED_AIR(1, 20_000, "mL"),
  /** Pressure that is planned with (kPa). */
  PLANNED_PRESSURE(10, 400, "kPa"),
  /** A measured leak rate told by a file (mL/min). */
  RATE(-1000, 100_000, "mL/min"),
  /** Its standard uncertainty (mL/min). */
  RATE_U(1e-6, 100_000, "mL/min"),
  /** Diameter of a bore (mm). */
  BORE(30, 300, "mm"),
  /** Depth of coolant over a piston (mm). */
  DEPTH(0.1, 200, "mm"),
  /** A price in any currency. */
  PRICE(0, 10_000_000, ""),
  /** Hours of labour (h). */
  LABOUR(0, 1000, "h"),
  /** Tax (%). */
  TAX(0, 100, "%"),
  /** Days until parts are there (d). */
  DELIVERY(0, 1000, "d"),
  /** Number of a cylinder. */
  CYLINDER(1, 16, ""),
  /** How long ago something happened that is written down afterwards (min): a day. */
  AGO(0, 1440, "min"),
  /** Bubbles counted between two looks. */
  BUBBLES(0, 10_000, "bubbles"),
  /** Temperature of a surface of a running engine (°C). */
  SURFACE(-40, 700, "°C"),
  /** Minutes an engine idled before its hoses were felt (min). */
  IDLED(0, 1000, "min"),
  /** What is gone over a watch of the level; less than nothing where the marks err (mL). */
  LEVEL_LOST(-20_000, 200_000, "mL"),
  /** Its standard uncertainty (mL). */
  LEVEL_U(0.01, 20_000, "mL"),
  /** Length of a watch of the level (d). */
  WATCHED_DAYS(0.1, 4000, "d"),
  /** Hours hot meanwhile (h). */
  WATCHED_HOURS(0.1, 10_000, "h"),
  /** Screws, bolts or clips that hold something. */
  FASTENERS(0, 500, ""),
  /** Diameter of a ring, its groove, its cord (mm). */
  RING(0.2, 500, "mm"),
  /** Size of a bottle or jug (mL). */
  BOTTLE(100, 200_000, "mL"),
  /** A rate measured at one place (mL/min). */
  SITE_RATE(0, 100_000, "mL/min"),
  /** Lower bound of a gross leak. */
  LEAST_RATE(0.001, 100_000, "mL/min");

  private final double low;
  private final double high;
  private final String unit;

  Range(double low, double high, String unit) {
    this.low = low;
    this.high = high;
    this.unit = unit;
  }

  /** Lowest value, in {@link #unit}. */
  public double low() {
    return low;
  }

  /** Highest value, in {@link #unit}. */
  public double high() {
    return high;
  }

  /** Unit both are in; empty for a plain number. */
  public String unit() {
    return unit;
  }

  /** Whether a value lies inside; what is not a number does not. */
  public boolean holds(double value) {
    return value >= low && value <= high;
  }
}
