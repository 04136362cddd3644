package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.WaitForSelectorState;
import gotera.web.pressure.Readings;
import gotera.web.pressure.trace.Kept;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** A needle read by the browser's camera, which shows a drawn film here. */
@ExtendWith(Application.class)
class CameraTests {
  private static final int WIDTH = 640;
  private static final int HEIGHT = 480;
  private static final double X = 330;
  private static final double Y = 236;
  private static final double RADIUS = 170;
  private static final double FULL = 160;

  /** Where the needle of the film stands (kPa). */
  private static final double SHOWN = 90;

  private static double angle(double kilopascals) {
    return Math.toRadians(135 + 270 * kilopascals / FULL);
  }

  private static BufferedImage frame(boolean hand) {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setColor(new Color(96, 92, 88));
    g.fillRect(0, 0, WIDTH, HEIGHT);
    g.setColor(new Color(232, 230, 220));
    g.fill(new Ellipse2D.Double(X - 200, Y - 200, 400, 400));
    g.setColor(Color.BLACK);
    g.setStroke(new BasicStroke(2.5f));
    for (int p = 0; p <= FULL; p += 10) {
      g.draw(ray(p, RADIUS - 22, RADIUS));
    }
    g.setStroke(new BasicStroke(8, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    g.draw(ray(SHOWN, -30, 148));
    if (hand) {
      g.setColor(new Color(180, 130, 110));
      g.fillRect((int) X - 40, (int) Y - 230, 260, 260);
    }
    g.dispose();
    return image;
  }

  private static Line2D ray(double kilopascals, double from, double to) {
    double cos = Math.cos(angle(kilopascals));
    double sin = Math.sin(angle(kilopascals));
    return new Line2D.Double(X + from * cos, Y + from * sin, X + to * cos, Y + to * sin);
  }

  /** A film of one picture. */
  private static Path film(Path folder, boolean hand) throws IOException {
    ByteArrayOutputStream one = new ByteArrayOutputStream();
    ImageIO.write(frame(hand), "jpg", one);
    Path film = folder.resolve(hand ? "hand.mjpeg" : "dial.mjpeg");
    try (OutputStream out = Files.newOutputStream(film)) {
      for (int i = 0; i < 30; i++) {
        one.writeTo(out);
      }
    }
    return film;
  }

  private static void touch(Page page, double x, double y) {
    Locator still = page.locator("[data-camera-still]");
    var box = still.boundingBox();
    still.click(
        new Locator.ClickOptions().setPosition(x / WIDTH * box.width, y / HEIGHT * box.height));
  }

  private static Page signedIn(BrowserContext person, String address) {
    Page page = person.newPage();
    page.navigate(address + "/sign-in");
    page.fill("#username", "bench");
    page.fill("#password", Application.PASSWORD);
    page.press("#password", "Enter");
    page.locator(".top").waitFor();
    return page;
  }

  private static void begin(Page page) {
    page.click("[data-camera-start]");
    page.locator("[data-camera-freeze]")
        .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.VISIBLE));
    patiently(
        page,
        () ->
            Boolean.TRUE.equals(
                page.locator("[data-camera-video]").evaluate("video => video.videoWidth > 0")));
    page.click("[data-camera-freeze]");
    touch(page, X, Y);
    for (double p : new double[] {0, 80, 160}) {
      touch(page, X + RADIUS * Math.cos(angle(p)), Y + RADIUS * Math.sin(angle(p)));
      page.locator("[data-camera-marks] input").last().fill(Double.toString(p));
    }
    page.click("[data-camera-use]");
  }

  @Test
  void aNeedleIsReadOnceASecondAndItsPicturesAreKept(
      Application.Running application, @TempDir Path folder) throws IOException {
    Http bench = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = bench.begin();
    try (Browser browser = Browser.withCamera(film(folder, false))) {
      Page page = signedIn(browser.person(1280, 800), application.address());
      page.navigate(application.address() + "/tests/" + begun.test() + "/camera");
      begin(page);
      said(page, "\u00b1");
      patiently(page, () -> stored(application, begun).size() >= 3);
      page.click("[data-camera-stop]");
      page.locator("[data-camera-stop]")
          .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.HIDDEN));
      page.fill("[name=typed]", "91");
      page.click("[data-camera-compare] [value=last]");
      said(page, "they agree");
      page.fill("[name=typed]", "60");
      page.click("[data-camera-compare] [value=last]");
      said(page, "do not agree");
      page.reload();
      assertThat(page.locator(".camera-kept img").count()).isEqualTo(3);
      assertThat(bench.get(begun.job() + "/history").text())
          .contains("A dial touched for the camera");
    }
    List<Double> read = stored(application, begun);
    assertThat(read).allSatisfy(p -> assertThat(p).isBetween(SHOWN - 2.5, SHOWN + 2.5));
  }

  /** Touches the dial of a test without a browser. */
  static void touched(Http bench, String test) throws IOException {
    ByteArrayOutputStream still = new ByteArrayOutputStream();
    ImageIO.write(frame(false), "jpg", still);
    Http.Answer answer =
        bench.postFile(
            "/tests/" + test + "/camera/dial",
            java.util.Map.of("touched", "330 236\n210 356 0\n450 356 160"),
            "still",
            still.toByteArray());
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
  }

  @Test
  void aCoveredNeedleIsNotGuessed(Application.Running application, @TempDir Path folder)
      throws IOException {
    Http bench = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = bench.begin();
    try (Browser browser = Browser.withCamera(film(folder, true))) {
      Page page = signedIn(browser.person(390, 844), application.address());
      page.navigate(application.address() + "/tests/" + begun.test() + "/camera");
      begin(page);
      said(page, "Not read");
    }
    assertThat(stored(application, begun)).isEmpty();
  }

  @Test
  void whatIsNoDialIsSaid(Application.Running application) throws IOException {
    Http bench = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = bench.begin();
    ByteArrayOutputStream still = new ByteArrayOutputStream();
    ImageIO.write(frame(false), "jpg", still);
    String address = "/tests/" + begun.test() + "/camera/dial";
    for (String touched :
        List.of(
            "", "1 1", "x y\n1 2 3", "330 236\n200 356 0", "1 1\n2 2 0\n3 3 10", "1 1 1 1\n5")) {
      Http.Answer answer =
          bench.postFile(
              address, java.util.Map.of("touched", touched), "still", still.toByteArray());
      assertThat(answer.status()).as(touched).isEqualTo(422);
      assertThat(answer.text())
          .as(touched)
          .contains("\"done\":false")
          .containsPattern("said\":\"[A-Z].{20}");
    }
    Http.Answer none =
        bench.postFile(address, java.util.Map.of("touched", "1 1"), "still", new byte[] {1, 2});
    assertThat(none.status()).isEqualTo(422);
    Http.Answer frame =
        bench.postFile(
            "/tests/" + begun.test() + "/camera/frames",
            java.util.Map.of("entry", UUID.randomUUID().toString()),
            "frame",
            still.toByteArray());
    assertThat(frame.status()).as("no dial was touched").isEqualTo(404);
    bench.post("/tests/" + begun.test() + "/finish", java.util.Map.of("sure", "true"));
    Http.Answer sealed =
        bench.postFile(
            address,
            java.util.Map.of("touched", "330 236\n210 356 0\n450 356 160"),
            "still",
            still.toByteArray());
    assertThat(sealed.text()).contains("stays as it is");
  }

  private static void said(Page page, String text) {
    page.locator("[data-camera-said]", new Page.LocatorOptions().setHasText(text)).waitFor();
  }

  private static void patiently(Page page, java.util.function.BooleanSupplier truth) {
    for (int i = 0; i < 200 && !truth.getAsBoolean(); i++) {
      page.waitForTimeout(200);
    }
    assertThat(truth.getAsBoolean()).isTrue();
  }

  private static List<Double> stored(Application.Running application, Http.Begun begun) {
    return application
        .bean(Readings.class)
        .contents(UUID.fromString(begun.test()))
        .readings()
        .stream()
        .map(Kept::gauge)
        .toList();
  }
}
