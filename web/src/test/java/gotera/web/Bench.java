package gotera.web;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.LoadState;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A technician at the bench: a browser that is signed in, with the words of the screen. */
final class Bench implements AutoCloseable {
  private final BrowserContext context;
  final Page page;
  private final String address;
  private final Application.Running application;
  private String account = "";
  private Hand hand = Hand.MOUSE;

  private Bench(Application.Running application, String address, int width, int height) {
    this.context = application.browser().person(width, height);
    this.page = context.newPage();
    this.address = address;
    this.application = application;
  }

  private Bench(
      Application.Running application, String address, String account, int width, int height) {
    this(application, address, width, height);
    this.account = account;
    if (application.sessions().take(account, context)) {
      open("/");
      if (page.locator(".top a[href='/account']").filter(is(account)).count() == 1) {
        return;
      }
      context.clearCookies(); // somebody signed out meanwhile, or in as another
    }
    open("/sign-in");
    signIn(account, Application.PASSWORD);
  }

  private static Locator.FilterOptions is(String account) {
    return new Locator.FilterOptions().setHasText(Pattern.compile("^\\s*" + account + "\\s*$"));
  }

  /** How somebody works at the screen. */
  enum Hand {
    MOUSE,
    TOUCH,
    KEYBOARD
  }

  /** Works by touch or by keyboard from now on. */
  Bench by(Hand other) {
    hand = other;
    return this;
  }

  /** Clicks, touches, or presses the key on something. */
  void use(Locator what) {
    switch (hand) {
      case MOUSE -> what.click();
      case TOUCH -> what.tap();
      case KEYBOARD -> {
        what.focus();
        page.keyboard().press("Enter");
      }
    }
  }

  /** Uses something that leads to a new page. */
  void follow(String selector) {
    settled(() -> use(page.locator(selector).first()));
  }

  /** Chooses a radio button or check box by its value. */
  void choose(String value) {
    Locator input = page.locator("input[value='" + value + "']").first();
    if (hand == Hand.KEYBOARD) {
      input.focus();
      page.keyboard().press("Space");
    } else {
      use(page.locator("label:has(input[value='" + value + "'])").first());
    }
  }

  /** Opens what is folded away, by its summary. */
  void unfold(String summary) {
    Locator details =
        page.locator("details").filter(new Locator.FilterOptions().setHasText(summary)).last();
    if (details.getAttribute("open") == null) {
      use(details.locator("summary").first());
    }
  }

  /** Signs in where the page asks for it. */
  void signIn(String account, String password) {
    page.fill("#username", account);
    page.fill("#password", password);
    page.press("#password", "Enter");
    page.locator(".top").waitFor();
    page.waitForLoadState();
  }

  static Bench of(Application.Running application) {
    return of(application, "bench");
  }

  static Bench of(Application.Running application, String account) {
    return new Bench(application, application.address(), account, 1280, 800);
  }

  /** At another address than the application's own. */
  static Bench at(Application.Running application, String address) {
    return at(application, address, "bench", Application.PASSWORD);
  }

  /** As somebody at another address. */
  static Bench at(
      Application.Running application, String address, String account, String password) {
    Bench bench = new Bench(application, address, 1280, 800);
    bench.open("/sign-in");
    bench.signIn(account, password);
    return bench;
  }

  /** Somebody without an account, with a phone, at a page they were given. */
  static Bench stranger(Application.Running application, String path) {
    Bench stranger = new Bench(application, application.address(), 390, 780);
    stranger.open(path);
    return stranger;
  }

  /** What a link gives to whoever follows it. */
  byte[] fetch(String link) {
    String path =
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(link).setExact(true))
            .getAttribute("href");
    return page.request().get(address + path).body();
  }

  /** With a phone. */
  static Bench onPhone(Application.Running application, String account) {
    return new Bench(application, application.address(), account, 390, 780);
  }

  /** At a screen of this size. */
  static Bench sized(Application.Running application, int width, int height) {
    return new Bench(application, application.address(), "bench", width, height);
  }

  /** Pages of the latest pressure test of a job that stand apart from its bench. */
  List<String> apart(String job) {
    open(job + "/pressure-test");
    Matcher test = Pattern.compile("/tests/[0-9a-f-]{36}").matcher(page.content());
    if (!test.find()) {
      throw new AssertionError("no test in " + job);
    }
    return List.of(
        test.group() + "/live", test.group() + "/gauges", test.group() + "/camera", "/floor");
  }

  /** Address of a job of the demonstration. */
  String demoJob(String vehicle) {
    open("/?q=" + vehicle.replace(' ', '+'));
    return page.locator(".jobs a")
        .filter(new Locator.FilterOptions().setHasText(vehicle))
        .first()
        .getAttribute("href")
        .replaceAll("(/jobs/[^/]+)/.*", "$1");
  }

  void open(String path) {
    page.navigate(address + path);
  }

  /** Clicks a button or link whose name begins so and waits for what it brings. */
  void click(String name) {
    settled(() -> use(button(name)));
  }

  /** Does something that makes a request and waits until the page stands again. */
  void settled(Runnable action) {
    page.evaluate("document.getElementById('page').dataset.old = '1'");
    action.run();
    page.locator("#page:not([data-old])").waitFor();
    // The keys of a page work once its modules have run, which is before this.
    page.waitForLoadState(LoadState.DOMCONTENTLOADED);
  }

  Locator button(String name) {
    Pattern begins =
        Pattern.compile("^\\s*" + name.replaceAll("[.*+?^${}()|\\[\\]\\\\]", "\\\\$0"));
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(begins))
        .or(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(begins)))
        .first();
  }

  void fill(String label, String text) {
    Locator field = page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).first();
    if (hand == Hand.KEYBOARD) {
      field.focus();
      page.keyboard().press("Control+a");
      page.keyboard().type(text);
    } else {
      field.fill(text);
    }
  }

  void step(String name) {
    settled(
        () ->
            use(
                page.locator(".rail a")
                    .filter(new Locator.FilterOptions().setHasText(name))
                    .first()));
    Consistent.check(this);
  }

  /** A page as it is sent, without going there. */
  String read(String path) {
    return page.request().get(address + path).text();
  }

  /**
   * Waits until something on the page is so; the page's own rules forbid evaluating in a loop
   * there.
   */
  void until(String expression) {
    double end = System.nanoTime() / 1e6 + Browser.PATIENCE;
    while (!Boolean.TRUE.equals(page.evaluate(expression))) {
      if (System.nanoTime() / 1e6 > end) {
        throw new AssertionError("not so in time: " + expression);
      }
      page.waitForTimeout(50);
    }
  }

  /** Waits until something on the page says so. */
  void shows(String selector, String words) {
    PlaywrightAssertions.assertThat(page.locator(selector).first())
        .containsText(
            words,
            new LocatorAssertions.ContainsTextOptions()
                .setUseInnerText(true)
                .setTimeout(Browser.PATIENCE));
  }

  /** Waits until so many of something are on the page. */
  void counts(String selector, int number) {
    PlaywrightAssertions.assertThat(page.locator(selector))
        .hasCount(number, new LocatorAssertions.HasCountOptions().setTimeout(Browser.PATIENCE));
  }

  /** Waits until a field holds a text. */
  void holds(String selector, String value) {
    PlaywrightAssertions.assertThat(page.locator(selector).first())
        .hasValue(value, new LocatorAssertions.HasValueOptions().setTimeout(Browser.PATIENCE));
  }

  /** Presses a key that leads to a new page. */
  void press(String key) {
    settled(() -> page.keyboard().press(key));
  }

  void type(String text) {
    page.keyboard().type(text);
  }

  void focus(String selector) {
    page.locator(selector).first().focus();
  }

  /** Begins a job with a test that is being pumped. */
  void pumping(String stamp, String gaugeStep) {
    click("Start a test now");
    fill("Stamped on the cap", stamp);
    fill("Finest reading you can make", gaugeStep);
    click("Begin pumping");
  }

  /** Types a reading and keeps it; says that it is written down afterwards where that is asked. */
  void reading(String value) {
    page.locator("#gauge").fill(value);
    click("Save reading");
    writtenAfterwards();
  }

  /**
   * Says once that readings are written down afterwards, where their time is ahead of the clock.
   */
  void writtenAfterwards() {
    if (page.locator("button[name=later]").count() > 0) {
      click("I write this down afterwards");
    }
  }

  /** Ends the test that is open: first what then ends is read, then it is sealed. */
  void finish() {
    click("Finish");
    click("Finish and seal");
  }

  /** Gives a curve as a file. */
  void curve(String csv) {
    use(
        page.locator("summary")
            .filter(new Locator.FilterOptions().setHasText("Curve from a file"))
            .first());
    giveFile("hold.csv", csv);
    click("Take it");
  }

  /** Types a draw and keeps it. */
  void draw(String kind, String millilitres, String before, String after) {
    if (page.locator("#draws[open]").count() == 0) {
      use(page.locator("#draws summary"));
    }
    page.locator("#draws").getByText(kind).first().click();
    page.locator("#volume").fill(millilitres);
    page.locator("#before").fill(before);
    page.locator("#after").fill(after);
    click("Save the draw");
  }

  /** Pumps up and gives a whole hold as a file, read by a good gauge and thermometer. */
  void hold(SimulatedHold hold, String gaugeStep, String liquid) {
    fill("Finest reading you can make", gaugeStep);
    use(page.locator(".more summary").first());
    fill("Thermometer reads to, K", "0.05");
    fill("Liquid in the system", liquid);
    click("Begin pumping");
    curve(hold.csv());
    String[] large = hold.draw(20);
    draw("measuring draw", "20", large[0], large[1]);
  }

  /** Closes a hold with the small draw that a sign-off needs. */
  void closed(SimulatedHold hold) {
    String[] small = hold.draw(2);
    draw("closing draw", "2 ml", small[0], small[1]);
  }

  /** Chooses a photograph. */
  void photograph(byte[] jpeg) {
    page.setInputFiles("#photo", new FilePayload("photo.jpg", "image/jpeg", jpeg));
  }

  /** Says that the part is new. */
  void renewed() {
    page.locator("input[name=renewed]").check();
  }

  /** Gives a recording of what is said. */
  void say(byte[] sound) {
    page.setInputFiles("#voice", new FilePayload("said.webm", "audio/webm", sound));
  }

  /** Begins a job of a vehicle. */
  void job(String vehicle, String complaint) {
    open("/jobs/new");
    fill("Vehicle", vehicle);
    page.locator("#complaint").fill(complaint);
    click("Begin the job");
    step("Cap");
  }

  /** Builds the circuit of the job's vehicle from a preset, with more features. */
  void circuit(String type, String preset, String... extras) {
    page.navigate(address + jobPath() + "/circuit");
    follow("a[href$='preset=" + preset + "']");
    fill("Name of the engine type", type);
    for (String extra : extras) {
      choose(extra);
    }
    click("Build the circuit");
  }

  /** Ends the wait of a vehicle; those of others stay. */
  void endWait(String vehicle) {
    settled(
        () ->
            use(
                page.locator(".wait")
                    .filter(new Locator.FilterOptions().setHasText(vehicle))
                    .first()
                    .locator("button")));
  }

  /** Says that the step to be written was so many minutes ago. */
  void ago(int minutes) {
    unfold("Written afterwards");
    fill("Minutes ago", Integer.toString(minutes));
  }

  /** Notes a repair at a joint. */
  void repaired(String joint, String note) {
    step("Repair");
    page.locator("#joint").selectOption(joint);
    page.locator("#note").fill(note);
    click("Save the note");
    shows("#repair-notes", note);
  }

  /** Does every step of the refill that is open, one after the other. */
  void refilled() {
    step("Refill");
    int open = page.locator("#fill-steps button[name=does]").count();
    for (int i = open; i > 0; i--) {
      follow("#fill-steps button[name=does]");
      counts("#fill-steps button[name=does]", i - 1);
    }
    shows(".rail", "filled");
  }

  /** Goes to a joint on the drawing. */
  void joint(String code) {
    follow("#joint-" + code.replace(".", "\\."));
  }

  void giveFile(String name, byte[] content) {
    page.setInputFiles("#file", new FilePayload(name, "text/csv", content));
  }

  void giveFile(String name, String content) {
    giveFile(name, content.getBytes(StandardCharsets.UTF_8));
  }

  /** On Find: a place that was dried beads under pressure. */
  void beads(String place) {
    beads(place, "cold-pressure");
  }

  /** The same in a state. */
  void beads(String place, String state) {
    step("Find");
    joint(place);
    page.locator("#joint-panel input[value=" + state + "] + span").click();
    page.locator("input[name=dried]").check();
    click("Wet");
  }

  /** All text of it, what is folded away too. */
  String whole(String selector) {
    return page.locator(selector).first().textContent().replace('\u00a0', ' ');
  }

  String text(String selector) {
    return page.locator(selector).first().innerText().replace('\u00a0', ' ');
  }

  String jobPath() {
    return page.url().replaceAll("^https?://[^/]+(/jobs/[^/]+)/.*", "$1");
  }

  @Override
  public void close() {
    if (!account.isEmpty()) {
      application.sessions().give(account, context);
    }
    context.close();
  }
}
