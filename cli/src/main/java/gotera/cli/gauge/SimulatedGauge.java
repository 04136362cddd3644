package gotera.cli.gauge;

import gotera.cli.gauge.Buffer.KeptReading;
import gotera.coolant.CoolantMixture;
import gotera.coolant.Expansion;
import gotera.quantity.Temperature;
import gotera.simulation.LiveVehicle;
import gotera.simulation.StandInVehicle;
import gotera.simulation.StandInVehicle.Instruments;
import gotera.simulation.StandInVehicle.Leak;
import gotera.simulation.StandInVehicle.SystemUnderTest;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.Random;

/**
 * A simulated gauge: it reads a stand-in vehicle at its own pace, keeps what it reads on its disk,
 * and sends it when it can. Killed and started again it goes on, for the vehicle lived on
 * meanwhile.
 */
public final class SimulatedGauge {
  /** Most readings of a message. */
  private static final int MOST = 1000;

  /** Pauses after something failed (ms), growing. */
  private static final long SHORTEST_PAUSE = 250;

  private static final long LONGEST_PAUSE = 5000;

  private static final double CELSIUS = 20;

  /** What its hoses give at once (mL/kPa). */
  static final double HOSE = 0.3;

  /** Liquid in the vehicle (mL). */
  static final double LIQUID = 8000;

  /** Steps of its gauge (kPa) and of its probe (K). */
  static final double STEP = 0.05;

  static final double KELVINS = 0.1;

  private final Options options;
  private final PrintStream out;
  private final Buffer buffer;
  private final Properties state;
  private final DeviceTime time;
  private final double began;
  private final long seed;

  /**
   * What it is.
   *
   * @param address of the application
   * @param fingerprint of the certificate it trusts; empty: whatever this Java trusts
   * @param code that pairs it; empty where it is paired already
   * @param folder its disk
   * @param name what it is called
   * @param rated pressure to pump to (kPa)
   * @param leak rate of the leak at that pressure (mL/min)
   * @param orifice whether the leak is an orifice
   * @param air air in the system (mL)
   * @param everyMillis time between readings (ms)
   * @param sendMillis time between messages (ms)
   * @param minutes how long it reads (min)
   * @param leansAt when somebody leans on a hose (s); negative: nobody
   * @param failing share of messages that the network loses (1)
   * @param drift by how much its clock runs wrong (1)
   * @param seed of the simulation
   */
  public record Options(
      String address,
      String fingerprint,
      String code,
      Path folder,
      String name,
      double rated,
      double leak,
      boolean orifice,
      double air,
      long everyMillis,
      long sendMillis,
      double minutes,
      double leansAt,
      double failing,
      double drift,
      long seed) {}

  /** Opens its disk. */
  public SimulatedGauge(Options options, PrintStream out) throws IOException {
    this.options = options;
    this.out = out;
    this.buffer = new Buffer(options.folder());
    this.state = buffer.state();
    double now = DeviceTime.trueTime();
    began = Double.parseDouble(remembered("began", Double.toString(now)));
    seed = Long.parseLong(remembered("seed", Long.toString(options.seed())));
    Random chance = new Random(seed);
    time =
        new DeviceTime(
            remembered("clock", Long.toHexString(chance.nextLong())),
            began,
            Double.parseDouble(remembered("ahead", Double.toString(100 * chance.nextDouble()))),
            options.drift());
  }

  private String remembered(String name, String otherwise) throws IOException {
    String known = state.getProperty(name);
    if (known != null) {
      return known;
    }
    buffer.keep(name, otherwise);
    return otherwise;
  }

  /** Reads and sends until its time is over and all has come. */
  public int run() throws IOException, InterruptedException {
    Speaker speaker =
        new Speaker(
            options.address(),
            options.fingerprint(),
            time,
            options.failing(),
            new Random(System.nanoTime()));
    String token = state.getProperty("token", "");
    if (token.isEmpty()) {
      token = speaker.pair(options.code(), options.name(), STEP, KELVINS);
      buffer.keep("token", token);
    }
    out.println("simulated gauge \"" + options.name() + "\" writes to " + options.address());
    Thread reads = new Thread(this::read, "reads");
    reads.setDaemon(true);
    reads.start();
    return send(speaker, token, reads);
  }

  private int send(Speaker speaker, String token, Thread reads)
      throws IOException, InterruptedException {
    long pause = SHORTEST_PAUSE;
    while (reads.isAlive() || buffer.size() > 0) {
      List<KeptReading> lines = buffer.waiting(MOST);
      try {
        buffer.acknowledged(speaker.send(token, lines));
        pause = SHORTEST_PAUSE;
        if (buffer.size() < MOST) {
          Thread.sleep(options.sendMillis());
        }
      } catch (Speaker.Refused e) {
        out.println("refused: " + e.getMessage());
        if (e.isFinal()) {
          return 1;
        }
        Thread.sleep(pause);
      } catch (IOException e) {
        out.println("not sent: " + e.getMessage());
        Thread.sleep(pause);
        pause = Math.min(LONGEST_PAUSE, 2 * pause);
      }
    }
    out.println("all has come: " + (buffer.next() - 1) + " readings");
    buffer.close();
    return 0;
  }

  private void read() {
    LiveVehicle vehicle = vehicle(options, seed);
    double every = options.everyMillis() / 1000.0;
    long n = (long) Math.ceil((DeviceTime.trueTime() - began) / every);
    double end = 60 * options.minutes();
    try {
      List<KeptReading> lines = new ArrayList<>();
      while (n * every <= end) {
        double due = began + n * every;
        double ahead = due - DeviceTime.trueTime();
        if (ahead > 0) {
          if (!lines.isEmpty()) {
            buffer.keep(lines);
            lines.clear();
          }
          Thread.sleep((long) Math.ceil(1000 * ahead));
        }
        vehicle.until(n * every);
        LiveVehicle.Shown shown = vehicle.look();
        lines.add(
            new KeptReading(
                buffer.next() + lines.size(),
                time.at(due),
                rounded(shown.gauge()),
                rounded(shown.celsius()),
                shown.happened().map(k -> k.word()).orElse("")));
        n++;
      }
      buffer.keep(lines);
    } catch (IOException e) {
      out.println("the disk fails: " + e.getMessage());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  static double rounded(double value) {
    return Double.parseDouble(String.format(Locale.ROOT, "%.4f", value));
  }

  /** The vehicle it stands at. */
  static LiveVehicle vehicle(Options options, long seed) {
    Leak leak =
        options.orifice()
            ? Leak.orifice(options.leak(), options.rated())
            : Leak.seep(options.leak(), options.rated());
    return new LiveVehicle(
        new StandInVehicle(
            new SystemUnderTest(
                options.air(),
                LIQUID,
                HOSE,
                0.03,
                90,
                Expansion.againstCastings(new CoolantMixture(0.5), Temperature.ofCelsius(CELSIUS)),
                0.76),
            options.leak() > 0 ? List.of(leak) : List.of(),
            new Instruments(STEP, 0.03, KELVINS, 0.05)),
        new LiveVehicle.Plan(
            options.rated(),
            CELSIUS,
            -0.01,
            options.leansAt() < 0 ? Double.POSITIVE_INFINITY : options.leansAt()),
        seed);
  }
}
