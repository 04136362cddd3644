package gotera.web.settings;

import gotera.range.Range;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Predicate;
import org.springframework.boot.ExitCodeGenerator;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.core.env.ConfigurableEnvironment;
import org.springframework.core.env.EnumerablePropertySource;
import org.springframework.core.env.PropertySource;

/** Checks the configuration before anything starts, and names all its faults together. */
public final class SettingsCheck
    implements ApplicationListener<ApplicationEnvironmentPreparedEvent> {
  private static final int MOST_RESERVED = 999_999;

  /** One database, or the nodes of a cluster in the order in which they are tried. */
  private static final String DATABASE =
      "jdbc:mariadb:(sequential:|loadbalance:)?//[^/,\\s]+:\\d+(,[^/,\\s]+:\\d+)*/\\w+(\\?\\S*)?";

  private static final String OURS = "gotera.";

  /**
   * A setting.
   *
   * @param name its name
   * @param expected what may stand there
   * @param accepts whether a text may
   */
  record Setting(String name, String expected, Predicate<String> accepts) {}

  static final List<Setting> SETTINGS =
      List.of(
          new Setting(
              "gotera.database.url",
              "jdbc:mariadb://HOST:PORT/NAME, or jdbc:mariadb:sequential://HOST:PORT,HOST:PORT/NAME",
              v -> v.matches(DATABASE)),
          new Setting("gotera.database.user", "a name", v -> !v.isBlank()),
          new Setting("gotera.database.password", "any text", v -> true),
          new Setting(
              "gotera.disk.database-folder", "empty, or a folder of this machine", v -> true),
          new Setting(
              "gotera.disk.reserve-megabytes",
              "a number from 1 to 999999",
              v -> v.isEmpty() || number(v) >= 1 && number(v) <= MOST_RESERVED),
          new Setting(
              "gotera.address",
              "empty, or http(s)://HOST:PORT",
              v -> v.isEmpty() || v.matches("https?://[^/\\s]+/?")),
          new Setting(
              "gotera.workshop.time-zone",
              "empty, or a time zone such as Europe/Zurich",
              v -> v.isEmpty() || java.time.ZoneId.getAvailableZoneIds().contains(v)),
          new Setting(
              "gotera.workshop.altitude-metres",
              "empty, or metres above the sea, -500 to 5000",
              v ->
                  v.isEmpty()
                      || v.matches("-?\\d{1,4}") && Range.ALTITUDE.holds(Double.parseDouble(v))),
          new Setting(
              "gotera.first-account.code",
              "empty, or at least 8 characters",
              v -> v.isEmpty() || v.length() >= 8),
          new Setting(
              "gotera.demo.password",
              "empty, or at least 8 characters",
              v -> v.isEmpty() || v.length() >= 8),
          new Setting(
              "gotera.second-factor.of",
              "nobody, leads or everyone",
              v -> v.matches("|nobody|leads|everyone")),
          new Setting(
              "gotera.limits.sign-ins-per-minute", "a number from 1", SettingsCheck::positive),
          new Setting(
              "gotera.limits.entries-per-minute", "a number from 1", SettingsCheck::positive),
          new Setting(
              "gotera.limits.uploads-per-minute", "a number from 1", SettingsCheck::positive),
          new Setting(
              "gotera.limits.batches-per-minute", "a number from 1", SettingsCheck::positive),
          new Setting(
              "gotera.watch.token",
              "empty, or at least 20 characters without spaces",
              v -> v.matches("|\\S{20,}")),
          new Setting(
              "gotera.stand-in.command", "empty, or the program that simulates a gauge", v -> true),
          new Setting(
              "server.port", "a number from 0 to 65535", v -> number(v) >= 0 && number(v) <= 65535),
          new Setting(
              "server.address", "an address of this machine", SettingsCheck::ofThisMachine));

  /** The configuration is wrong. */
  public static final class Faulty extends RuntimeException implements ExitCodeGenerator {
    /** EX_CONFIG of BSD's sysexits.h. */
    static final int EXIT_CODE = 78;

    private static final long serialVersionUID = 1L;

    Faulty(String message) {
      super(message);
    }

    @Override
    public int getExitCode() {
      return EXIT_CODE;
    }
  }

  @Override
  public void onApplicationEvent(ApplicationEnvironmentPreparedEvent event) {
    List<String> faults = faults(event.getEnvironment());
    if (!faults.isEmpty()) {
      throw new Faulty(
          "the configuration is wrong, "
              + faults.size()
              + (faults.size() == 1 ? " fault:" : " faults:")
              + "\n  - "
              + String.join("\n  - ", faults));
    }
  }

  static List<String> faults(ConfigurableEnvironment environment) {
    List<String> faults = new ArrayList<>();
    for (Setting setting : SETTINGS) {
      String value = environment.getProperty(setting.name(), "");
      if (!setting.accepts().test(value)) {
        boolean secret = setting.name().matches(".*(password|code|token)");
        faults.add(
            setting.name()
                + (secret ? "" : " is \"" + value + "\"")
                + ": expected "
                + setting.expected());
      }
    }
    faults.addAll(unknown(environment));
    return faults;
  }

  private static List<String> unknown(ConfigurableEnvironment environment) {
    Map<String, String> known = new TreeMap<>();
    SETTINGS.forEach(s -> known.put(plain(s.name()), s.name()));
    List<String> unknown = new ArrayList<>();
    for (PropertySource<?> source : environment.getPropertySources()) {
      if (source instanceof EnumerablePropertySource<?> names) {
        for (String name : names.getPropertyNames()) {
          String dotted = name.toLowerCase(Locale.ROOT).replace('_', '.');
          if (dotted.startsWith(OURS) && !known.containsKey(plain(name))) {
            unknown.add(name + " is no setting; there are " + String.join(", ", ours()));
          }
        }
      }
    }
    return unknown.stream().distinct().toList();
  }

  private static List<String> ours() {
    return SETTINGS.stream().map(Setting::name).filter(n -> n.startsWith(OURS)).toList();
  }

  private static String plain(String name) {
    return name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", "");
  }

  private static long number(String text) {
    return text.matches("\\d{1,9}") ? Long.parseLong(text) : -1;
  }

  private static boolean positive(String text) {
    return number(text) >= 1;
  }

  private static boolean ofThisMachine(String text) {
    try {
      java.net.InetAddress address = java.net.InetAddress.getByName(text);
      return address.isAnyLocalAddress()
          || address.isLoopbackAddress()
          || java.net.NetworkInterface.getByInetAddress(address) != null;
    } catch (java.net.UnknownHostException | java.net.SocketException e) {
      return false;
    }
  }
}
