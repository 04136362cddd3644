package gotera.web;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.ScreenshotOptions;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Takes pictures of a running demonstration: {@code Pictures ADDRESS PASSWORD FOLDER [VIEW…]}. A
 * view is {@code name=path[@phone]}, the path starting at the front page or, after {@code n:}, at
 * the n-th open job.
 */
final class Pictures {
  private static final List<String> MAIN_VIEWS =
      List.of(
          "front=/",
          "report=3:report",
          "make-safe=2:make-safe",
          "visual-check=2:visual-check",
          "refill=3:refill",
          "cap=2:cap",
          "pressure-test=2:pressure-test",
          "pressure-test-phone=2:pressure-test@phone",
          "find=2:find",
          "find-phone=2:find@phone",
          "circuit=3:circuit",
          "dye-dark-bay=4:dye?dark=true&joint=pump.block-gasket",
          "suspects=2:suspects",
          "re-test=3:re-test",
          "guided-check-phone=4:inside/gas-check@phone",
          "floor=/floor",
          "decide=2:decide",
          "hand-over=3:hand-over");

  private Pictures() {}

  /** Takes the pictures. */
  public static void main(String[] arguments) {
    List<String> views = new ArrayList<>(List.of(arguments).subList(3, arguments.length));
    if (views.isEmpty()) {
      views.addAll(MAIN_VIEWS);
    }
    try (Browser browser = new Browser()) {
      for (String view : views) {
        String[] nameAndPath = view.split("=", 2);
        boolean phone = nameAndPath[1].endsWith("@phone");
        String path = nameAndPath[1].replace("@phone", "");
        try (BrowserContext person = phone ? browser.person(390, 844) : browser.person(1280, 800)) {
          Page page = person.newPage();
          signIn(page, arguments[0], arguments[1]);
          page.navigate(arguments[0] + address(page, path));
          page.waitForTimeout(300);
          page.screenshot(
              new ScreenshotOptions()
                  .setPath(Path.of(arguments[2], nameAndPath[0] + ".png"))
                  .setFullPage(path.contains("print") || view.contains("full")));
        }
      }
    }
  }

  private static void signIn(Page page, String base, String password) {
    page.navigate(base + "/sign-in");
    page.fill("#username", "lead");
    page.fill("#password", password);
    page.click("text=Sign in");
    page.locator(".top").waitFor();
  }

  private static String address(Page page, String path) {
    if (path.startsWith("/")) {
      return path;
    }
    int job = Integer.parseInt(path.substring(0, 1));
    String href = page.locator(".jobs a").nth(job - 1).getAttribute("href");
    return href.replaceAll("(/jobs/[^/]+)/.*", "$1/") + path.substring(2);
  }
}
