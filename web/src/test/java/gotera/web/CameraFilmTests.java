package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import gotera.pressure.trace.Trace;
import gotera.pressure.verdict.VerdictKind;
import gotera.simulation.StandInVehicle;
import gotera.simulation.StandInVehicle.Hold;
import gotera.simulation.StandInVehicle.Instruments;
import gotera.simulation.StandInVehicle.Leak;
import gotera.simulation.StandInVehicle.SystemUnderTest;
import gotera.testkit.dial.DrawnDial;
import gotera.testkit.dial.DrawnDial.Trouble;
import gotera.testkit.dial.Film;
import gotera.web.FilmedServer.Seen;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/**
 * Films of drawn dials before the browser's camera: what the whole way from lens to verdict makes
 * of them. Some dozens of frames here; ten thousand with {@code -Dfilmed.frames=10000}.
 */
@ExtendWith(Application.class)
class CameraFilmTests {
  private static final int FRAMES = Integer.getInteger("filmed.frames", 30);

  /** From so many frames on a hold without a leak is filmed, too. */
  private static final int WHOLE = 1000;

  private static final int A_DIAL = Math.min(100, Math.max(15, FRAMES / 2));

  /** Pictures of a film that are good for the still. */
  private static final int STILLS = 6;

  private static final double[] MARKS = {0, 100, 200};

  /** As far as the page cuts around the farthest mark. */
  private static final double AROUND = 1.18;

  private static double half(double[][] touched) {
    return AROUND
        * Arrays.stream(touched)
            .skip(1)
            .mapToDouble(m -> Math.hypot(m[0] - touched[0][0], m[1] - touched[0][1]))
            .max()
            .orElseThrow();
  }

  /** The page of a test's camera, its dial touched, looking; empty where no still was good. */
  private static Optional<Page> looking(
      BrowserContext person,
      FilmedServer server,
      String test,
      double[][] touched,
      Predicate<Seen> good) {
    Page page = person.newPage();
    page.navigate(server.address() + "/sign-in");
    page.fill("#username", "bench");
    page.fill("#password", Application.PASSWORD);
    page.press("#password", "Enter");
    page.locator(".top").waitFor();
    page.navigate(server.address() + "/tests/" + test + "/camera");
    page.click("[data-camera-start]");
    page.locator("[data-camera-freeze]").waitFor();
    until(
        page,
        server,
        () ->
            Boolean.TRUE.equals(
                page.locator("[data-camera-video]").evaluate("video => video.videoWidth > 0")));
    for (int tries = 0; tries < 40; tries++) {
      page.click("[data-camera-freeze]");
      touch(page, touched);
      int answered = server.stills().size();
      page.click("[data-camera-use]");
      until(page, server, () -> server.stills().size() > answered);
      if (good.test(server.stills().get(answered))) {
        page.locator("[data-camera-stop]").waitFor();
        return Optional.of(page);
      }
      // whoever sees that something is wrong with a still takes another
      page.click("[data-camera-again]");
    }
    return Optional.empty();
  }

  private static void touch(Page page, double[][] touched) {
    for (int i = 0; i < touched.length; i++) {
      Locator still = page.locator("[data-camera-still]");
      var box = still.boundingBox();
      still.click(
          new Locator.ClickOptions()
              .setPosition(
                  (Film.LEFT + touched[i][0]) / Film.WIDTH * box.width,
                  (Film.TOP + touched[i][1]) / Film.HEIGHT * box.height));
      if (i > 0) {
        page.locator("[data-camera-marks] input").last().fill(Double.toString(MARKS[i - 1]));
      }
    }
  }

  private static void until(Page page, FilmedServer server, BooleanSupplier truth) {
    for (int i = 0; i < 1500 && !truth.getAsBoolean(); i++) {
      page.waitForTimeout(40);
    }
    assertThat(truth.getAsBoolean()).as(() -> "answered so far: " + server.seen()).isTrue();
  }

  /** Sends frames as fast as they are answered: the page's seconds are not waited for. */
  private static void frames(Page page, BooleanSupplier enough) {
    for (int i = 0; i < 200 * A_DIAL && !enough.getAsBoolean(); i++) {
      page.clock().runFor(1000);
      page.waitForTimeout(10);
    }
    assertThat(enough.getAsBoolean()).isTrue();
  }

  private static int[] dial(FilmedServer server, int seed, Path film) throws IOException {
    Random random = new Random(seed);
    DrawnDial drawn = new DrawnDial(random);
    double[][] touched = drawn.touched(MARKS);
    int pictures = Math.min(150, 2 * A_DIAL);
    double[] truth = new double[pictures];
    try (Film made = new Film(film)) {
      for (int i = 0; i < pictures; i++) {
        truth[i] = 3 + 194 * random.nextDouble();
        Trouble trouble = Trouble.values()[i % Trouble.values().length];
        made.show(drawn.picture(truth[i], trouble), touched[0], i, 1);
      }
      for (int i = 0; i < STILLS; i++) {
        float[] still = drawn.picture(200 * random.nextDouble(), Trouble.NOTHING);
        made.show(still, touched[0], pictures + i, 12);
      }
    }
    Http bench = Http.signedIn(server.address(), "bench", Application.PASSWORD);
    Http.Begun begun = bench.begin(Map.of("gaugeStep", "2 kPa", "readingMode", "needle"));
    server.film(half(touched), number -> server.set(server.now().plus(Duration.ofMillis(100))));
    try (Browser browser = Browser.withCamera(film);
        BrowserContext person = browser.person(1280, 800)) {
      person.clock().install();
      Optional<Page> page =
          looking(person, server, begun.test(), touched, s -> s.read() && s.number() >= pictures);
      if (page.isEmpty()) {
        // whoever sees no needle in the picture puts the lamp elsewhere
        return new int[] {0, 0, 0, 0};
      }
      frames(
          page.get(),
          () -> server.seen().stream().filter(s -> s.number() < pictures).count() >= A_DIAL);
    }
    bench.post(begun.job() + "/discard", Map.of());
    // the still is looked at again and again while the film comes back to it
    List<Seen> seen = server.seen().stream().filter(s -> s.number() < pictures).toList();
    assertThat(seen).extracting(Seen::number).allSatisfy(n -> assertThat(n).isNotNegative());
    List<Seen> read = seen.stream().filter(Seen::read).toList();
    double[] off =
        read.stream()
            .mapToDouble(s -> Math.abs(s.kilopascals() - truth[s.number()]))
            .sorted()
            .toArray();
    return new int[] {
      seen.size(),
      off.length,
      (int) Arrays.stream(off).filter(o -> o <= DrawnDial.DIVISION / 4).count(),
      (int) Arrays.stream(off).filter(o -> o >= DrawnDial.DIVISION).count()
    };
  }

  @Test
  void framesAreReadToAQuarterOfADivisionOrNotAtAll(
      Application.Running application, @TempDir Path folder) throws IOException {
    int[] all = new int[4];
    try (FilmedServer server = new FilmedServer(application)) {
      for (int seed = 1; all[0] < FRAMES; seed++) {
        assertThat(seed).as("dials").isLessThan(10 + 2 * FRAMES / A_DIAL);
        int[] one = dial(server, seed, folder.resolve("dial.mjpeg"));
        Arrays.setAll(all, i -> all[i] + one[i]);
      }
    }
    System.out.printf(
        "filmed dials: %d frames sent by the browser, %d read, %.1f %% of them within a quarter"
            + " of a division, %d off by a division%n",
        all[0], all[1], 100.0 * all[2] / all[1], all[3]);
    assertThat(all[3]).as("off by a division, unsaid").isZero();
    assertThat(all[2]).isGreaterThanOrEqualTo((int) Math.floor(0.95 * all[1]));
    assertThat(all[1]).isGreaterThan(all[0] / 3);
  }

  private static PressureTestView tested(FilmedServer server, String test) {
    return server.bean(PressureService.class).require(UUID.fromString(test));
  }

  /** So many half seconds the needle stands still, before and after. */
  private static final int STANDS = 30;

  /** A hold of half an hour, read by the camera, beside the same one typed as it truly was. */
  private static VerdictKind hold(FilmedServer server, double leak, Path film) throws IOException {
    Trace truth =
        new StandInVehicle(
                new SystemUnderTest(84, 8000, 0.26, 0.03, 90, 4.2e-4, 0.76),
                leak > 0 ? List.of(Leak.seep(leak, 110)) : List.of(),
                new Instruments(0.1, 0.05, 0.1, 0.05))
            .run(new Hold(110, 20, 1800, 15, 18, -0.01), new Random(7))
            .trace();
    double shut = truth.events().get(truth.events().size() - 1).seconds();
    int first =
        IntStream.range(0, truth.size())
            .filter(i -> truth.seconds(i) >= shut)
            .findFirst()
            .orElseThrow();
    Random random = new Random(5);
    DrawnDial drawn = new DrawnDial(random);
    double[][] touched = drawn.touched(MARKS);
    try (Film made = new Film(film)) {
      for (int i = first; i < truth.size(); i++) {
        boolean stands = i == first || i == truth.size() - 1;
        Trouble trouble = i % 9 == 4 && !stands ? Trouble.HAND : Trouble.NOTHING;
        for (int n = 0; n < (stands ? STANDS : 1); n++) {
          made.show(drawn.picture(truth.gauge(i), trouble), touched[0], i, stands ? 15 : 5);
        }
      }
    }
    Http bench = Http.signedIn(server.address(), "bench", Application.PASSWORD);
    Map<String, String> setUp =
        Map.of("gaugeStep", "1 kPa", "readingMode", "needle", "soak", "overnight");
    Http.Begun typed = bench.begin(setUp);
    bench.post("/tests/" + typed.test() + "/events", Map.of("kind", "valve-shut"));
    Instant from = server.now();
    for (int i = first; i < truth.size(); i++) {
      server.set(from.plusMillis(Math.round(1000 * (truth.seconds(i) - shut)) + 1));
      bench.post(
          "/tests/" + typed.test() + "/readings",
          Map.of("gauge", truth.gauge(i) + " kPa", "confirmed", "true"));
    }
    bench.post("/tests/" + typed.test() + "/finish", Map.of("sure", "true"));
    Http.Begun begun = bench.begin(setUp);
    AtomicReference<Instant> held = new AtomicReference<>();
    server.film(
        half(touched),
        number -> {
          Instant since = held.get();
          if (since != null) {
            server.set(since.plusMillis(Math.round(1000 * (truth.seconds(number) - shut))));
          }
        });
    try (Browser browser = Browser.withCamera(film);
        BrowserContext person = browser.person(390, 844)) {
      Page page = looking(person, server, begun.test(), touched, Seen::read).orElseThrow();
      until(page, server, () -> server.seen().stream().anyMatch(Seen::read));
      bench.post("/tests/" + begun.test() + "/events", Map.of("kind", "valve-shut"));
      held.set(server.now());
      until(
          page,
          server,
          () -> server.seen().stream().anyMatch(s -> s.number() == truth.size() - 1 && s.read()));
      page.click("[data-camera-stop]");
      page.locator("[data-camera-stop]")
          .waitFor(
              new Locator.WaitForOptions()
                  .setState(com.microsoft.playwright.options.WaitForSelectorState.HIDDEN));
    }
    bench.post("/tests/" + begun.test() + "/finish", Map.of("sure", "true"));
    PressureTestView read = tested(server, begun.test());
    PressureTestView asItWas = tested(server, typed.test());
    assertThat(read.trace().size()).isGreaterThan(20);
    assertThat(read.result().verdict()).isEqualTo(asItWas.result().verdict());
    return asItWas.result().verdict();
  }

  @Test
  void aWholeHoldHasTheVerdictOfItsTrueCurve(Application.Running application, @TempDir Path folder)
      throws IOException {
    try (FilmedServer server = new FilmedServer(application)) {
      assertThat(hold(server, 8, folder.resolve("leak.mjpeg"))).isEqualTo(VerdictKind.LEAK);
      if (FRAMES >= WHOLE) {
        assertThat(hold(server, 0, folder.resolve("tight.mjpeg"))).isNotEqualTo(VerdictKind.LEAK);
      }
    }
  }
}
