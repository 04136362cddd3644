package gotera.web;

import com.microsoft.playwright.Browser.NewContextOptions;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType.LaunchOptions;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Debian's Chromium without a window. */
final class Browser implements AutoCloseable {
  /** Longest wait for anything (ms): a starved machine is only slower. */
  static final double PATIENCE = Integer.getInteger("test.patience", 40_000);

  private static final Path EXECUTABLE = Path.of("/usr/bin/chromium-headless-shell");

  private final Playwright playwright =
      Playwright.create(
          // the browser is Debian's: nothing is downloaded
          new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
  private final com.microsoft.playwright.Browser chromium;

  Browser() {
    this(List.of());
  }

  /** One whose camera shows a film (MJPEG), again and again. */
  static Browser withCamera(Path film) {
    return new Browser(
        List.of(
            "--use-fake-ui-for-media-stream",
            "--use-fake-device-for-media-stream",
            "--use-file-for-fake-video-capture=" + film));
  }

  private Browser(List<String> more) {
    List<String> arguments =
        new ArrayList<>(
            List.of(
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                // two thirds of what the browser itself took: processes for pages that nobody opens
                // (the last list counts: what the driver leaves out stands here, too)
                "--disable-features=SpareRendererForSitePerProcess,PaintHolding,HttpsUpgrades,"
                    + "Translate,ThirdPartyStoragePartitioning,MediaRouter,OptimizationHints,"
                    + "BoundaryEventDispatchTracksNodeRemoval,DestroyProfileOnBrowserClose,"
                    + "AvoidUnnecessaryBeforeUnloadCheckSync",
                "--in-process-gpu",
                "--num-raster-threads=1"));
    arguments.addAll(more);
    chromium =
        playwright
            .chromium()
            .launch(new LaunchOptions().setExecutablePath(EXECUTABLE).setArgs(arguments));
  }

  /** A browser of one person, with a window of this size that can also be touched. */
  BrowserContext person(int width, int height) {
    BrowserContext context =
        chromium.newContext(
            new NewContextOptions().setViewportSize(width, height).setHasTouch(true));
    context.setDefaultTimeout(PATIENCE);
    return context;
  }

  @Override
  public void close() {
    chromium.close();
    playwright.close();
  }
}
