package gotera.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;

/** The application as a process of its own, as an installation runs it. */
final class Server implements AutoCloseable {
  static final String CODE = "first-code-for-tests";
  static final String LEAD = "first-lead";
  static final String PASSWORD = "wet gloves at the van";

  private final Process process;
  private final List<String> command;
  private final Path log;
  private final Map<String, String> environment;
  final int port;

  private Server(List<String> command, Map<String, String> settings, Path log) {
    this(command, settings, log, freePort());
  }

  private static int freePort() {
    try (ServerSocket free = new ServerSocket(0)) {
      return free.getLocalPort();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private Server(List<String> command, Map<String, String> settings, Path log, int port) {
    this.command = command;
    this.log = log;
    this.port = port;
    environment = new LinkedHashMap<>(settings);
    environment.put("SERVER_PORT", Integer.toString(port));
    ProcessBuilder builder =
        new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(log.toFile());
    builder.environment().putAll(environment);
    try {
      process = builder.start();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** One process on a database that runs; its settings as environment variables. */
  static Server start(String name, Map<String, String> settings) {
    return new Server(java(), settings, Path.of("target", name + ".log")).ready();
  }

  /** Ends it without warning. */
  void kill() {
    process.destroyForcibly();
    try {
      process.waitFor();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  /** One that was killed, started again at the same address. */
  Server again() {
    return new Server(command, environment, log, port).ready();
  }

  /** Database and application, both started again whenever one dies. */
  static Server supervised(Path folder, Map<String, String> settings) {
    return supervised(List.of(), folder, settings);
  }

  /** The same on a disk of its own of so many megabytes, which nobody but the two sees. */
  static Server onSmallDisk(Path folder, int megabytes, Map<String, String> settings) {
    String mount = "mount -t tmpfs -o size=" + megabytes + "m tmpfs \"$0\" && exec \"$@\"";
    return supervised(
        List.of("unshare", "-rm", "bash", "-c", mount, folder.toString()), folder, settings);
  }

  /** A folder as its processes see it. */
  Path seen(Path folder) {
    return Path.of("/proc/" + process.pid() + "/root" + folder);
  }

  private static Server supervised(List<String> within, Path folder, Map<String, String> settings) {
    List<String> command = new ArrayList<>(within);
    command.add(Script.path("supervise"));
    command.add(folder.toString());
    command.add(folder.resolve("application.log").toString());
    command.addAll(java());
    try {
      Files.createDirectories(folder);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return new Server(command, settings, folder.resolve("supervise.log")).ready();
  }

  /** Where the classes of this build are. */
  static String classPath() {
    return System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
  }

  private static List<String> java() {
    return List.of(
        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
        "-XX:TieredStopAtLevel=1",
        "-XX:+UseSerialGC",
        "-Xmx384m",
        "-Dspring.main.lazy-initialization=true",
        "-cp",
        classPath(),
        "gotera.web.GoteraApplication");
  }

  String address() {
    return "http://127.0.0.1:" + port;
  }

  /** The process of the application itself. */
  ProcessHandle application() {
    return process
        .children()
        .filter(p -> p.info().command().orElse("").endsWith("/java"))
        .findFirst()
        .orElseThrow();
  }

  /** What a page without database says of the server. */
  int readiness() {
    try {
      return new Http(address()).get("/actuator/health/readiness").status();
    } catch (UncheckedIOException e) {
      return 0;
    }
  }

  private Server ready() {
    try {
      until("the server is ready", () -> readiness() == 200);
      return this;
    } catch (AssertionError e) {
      close();
      throw e;
    }
  }

  /** Waits for something, but not for ever. */
  void until(String what, BooleanSupplier happened) {
    long begun = System.nanoTime();
    while (!happened.getAsBoolean()) {
      if (!process.isAlive() || System.nanoTime() - begun > TimeUnit.SECONDS.toNanos(90)) {
        throw new AssertionError("not within 90 s, or the process ended: " + what);
      }
      pause(50);
    }
  }

  static void pause(long milliseconds) {
    try {
      Thread.sleep(milliseconds);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  /** Makes the first account and signs in with it. */
  Http firstAccount() {
    Http http = new Http(address());
    http.get("/first-account");
    http.post(
        "/first-account",
        Map.of("code", CODE, "login", LEAD, "name", "First Lead", "password", PASSWORD));
    http.signIn(LEAD, PASSWORD);
    return http;
  }

  /** Settings by which a process finds the database of a folder. */
  static Map<String, String> database(Path folder) {
    Map<String, String> settings = new LinkedHashMap<>();
    for (String line : Script.read(folder.resolve("environment")).split("\n")) {
      if (line.startsWith("export ")) {
        String[] setting = line.substring("export ".length()).split("=", 2);
        settings.put(setting[0], setting[1]);
      }
    }
    return settings;
  }

  /** A connection to the database of a folder. */
  static Connection connect(Path folder) throws SQLException {
    Map<String, String> settings = database(folder);
    return DriverManager.getConnection(
        settings.get("GOTERA_DATABASE_URL"),
        settings.get("GOTERA_DATABASE_USER"),
        settings.get("GOTERA_DATABASE_PASSWORD"));
  }

  @Override
  public void close() {
    process.destroy();
    try {
      if (!process.waitFor(60, TimeUnit.SECONDS)) {
        process.destroyForcibly();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      process.destroyForcibly();
    }
  }
}
