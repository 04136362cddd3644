package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/**
 * A gauge at ten readings a second is killed, cut off and started again, and its server is killed:
 * every reading it made is stored once and in order. Once each here; fifty times by
 * bench/gauge-drill.
 */
class GaugeDrillTests {
  private static final int TIMES = Integer.getInteger("gotera.kills", 1);
  private static final long SEED = Long.getLong("gotera.seed", 4711);

  private record Reading(double seconds, double kilopascals) {}

  private static Process gauge(Path folder, String address, String code, double minutes)
      throws IOException {
    Path jar;
    try (var jars = Files.list(Path.of("..", "cli", "target"))) {
      jar =
          jars.filter(p -> p.getFileName().toString().matches("gotera-cli-.*\\.jar"))
              .findFirst()
              .orElseThrow();
    }
    return new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-XX:TieredStopAtLevel=1",
            "-Xmx64m",
            "-jar",
            jar.toString(),
            "gauge",
            "--address",
            address,
            "--code",
            code,
            "--folder",
            folder.toString(),
            "--send",
            "200",
            "--failing",
            "0.1",
            "--minutes",
            Double.toString(minutes))
        .redirectErrorStream(true)
        .redirectOutput(
            ProcessBuilder.Redirect.appendTo(folder.resolveSibling("gauge.log").toFile()))
        .start();
  }

  @Test
  void everyReadingIsStoredOnceAndInOrder() throws Exception {
    Path folder = Path.of("target", "gauge-drill").toAbsolutePath();
    Script.run("database", "stop", folder.toString());
    Script.delete(folder);
    Path disk = Path.of("target", "gauge-disk").toAbsolutePath();
    Script.delete(disk);
    Random random = new Random(SEED);
    try (Server server =
            Server.supervised(folder, Map.of("GOTERA_FIRST_ACCOUNT_CODE", Server.CODE));
        Wire wire = new Wire(server.port)) {
      Http technician = server.firstAccount();
      String test = technician.begin().test();
      technician.post("/tests/" + test + "/gauges/code", Map.of());
      String code =
          technician
              .get("/tests/" + test + "/gauges")
              .find("gauge-code\">([A-Z2-7]{4} [A-Z2-7]{4})<");
      long began = System.nanoTime();
      Process gauge = gauge(disk, wire.address(), code, 600);
      // it is paired before anything happens to it
      patiently(
          () ->
              Files.exists(disk.resolve("state"))
                  && Files.readString(disk.resolve("state")).contains("token"));
      for (int i = 0; i < 3 * TIMES; i++) {
        made(disk, 3 + random.nextInt(25));
        switch (i % 3) {
          case 0 -> {
            gauge.destroyForcibly().waitFor();
            gauge = gauge(disk, wire.address(), "", 600);
          }
          case 1 -> {
            wire.cut();
            made(disk, random.nextInt(30));
            wire.mend();
          }
          default -> {
            server.until("the server is there again", () -> server.readiness() == 200);
            server.application().destroyForcibly();
          }
        }
      }
      gauge.destroyForcibly().waitFor();
      double minutes = (System.nanoTime() - began) / 60e9;
      Process last = gauge(disk, wire.address(), "", minutes);
      assertThat(last.waitFor(180, TimeUnit.SECONDS)).as("all of it came in the end").isTrue();
      assertThat(last.exitValue()).isZero();
      List<Double> made = made(disk);
      List<Reading> stored = stored(folder, test);
      System.out.println(
          "gauge drill, seed "
              + SEED
              + ": "
              + TIMES
              + " times each, "
              + made.size()
              + " readings made, "
              + stored.size()
              + " stored");
      assertThat(made).hasSizeGreaterThan(TIMES * 15);
      assertThat(stored.stream().map(Reading::kilopascals).toList()).isEqualTo(made);
    }
  }

  /** Waits until the gauge has made so many readings more. */
  private static void made(Path disk, int more) throws Exception {
    int before = made(disk).size();
    patiently(() -> made(disk).size() >= before + more);
  }

  /** Something that comes true in the end. */
  private interface Truth {
    boolean isTrue() throws IOException;
  }

  private static void patiently(Truth truth) throws Exception {
    long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(120);
    while (!truth.isTrue()) {
      assertThat(System.nanoTime()).as("it never came true").isLessThan(until);
      Thread.sleep(100);
    }
  }

  /** What the gauge read, by number. */
  private static List<Double> made(Path disk) throws IOException {
    return Files.readString(disk.resolve("readings.csv"))
        .lines()
        .map(l -> l.split(","))
        .sorted(Comparator.comparingLong(p -> Long.parseLong(p[0])))
        .map(p -> Double.parseDouble(p[2]))
        .toList();
  }

  /** What the database holds, by time. */
  private static List<Reading> stored(Path folder, String test) throws Exception {
    List<Reading> all = new ArrayList<>();
    try (Connection database = Server.connect(folder);
        PreparedStatement blocks =
            database.prepareStatement(
                "select payload from trace_block where pressure_test_id = ?")) {
      blocks.setString(1, test);
      try (ResultSet row = blocks.executeQuery()) {
        while (row.next()) {
          ByteBuffer packed = ByteBuffer.wrap(row.getBytes(1));
          while (packed.hasRemaining()) {
            all.add(new Reading(packed.getDouble(), packed.getDouble()));
            packed.getDouble();
          }
        }
      }
    }
    all.sort(Comparator.comparingDouble(Reading::seconds));
    return all;
  }
}
