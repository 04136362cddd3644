package gotera.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * So many gauges at ten readings a second, each at a test of its own, with ten pages that watch;
 * then all of them as fast as they can. Prints what was kept and how long it took from the gauge to
 * the answer and to the page; writes the rows of the second part to a file for the database's own
 * insert.
 *
 * <pre>GaugeLoad PORT LOGIN PASSWORD GAUGES SECONDS ROWS.csv</pre>
 */
public final class GaugeLoad {
  private static final int WATCHED = 10;
  private static final int BATCH = 10;
  private static final int FAST_BATCH = 1000;
  private static final int FAST_BATCHES = 10;

  /** Between readings of the second part (ns). */
  private static final long FAST_EVERY = 2_000_000L;

  private final String address;
  private final HttpClient client =
      HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
  private final Queue<Double> answered = new ConcurrentLinkedQueue<>();
  private final Queue<Double> seen = new ConcurrentLinkedQueue<>();
  private final AtomicLong kept = new AtomicLong();
  private final AtomicLong again = new AtomicLong();

  private GaugeLoad(String address) {
    this.address = address;
  }

  /** A gauge, its test, and when it made the last reading of each batch. */
  private static final class Gauge {
    private final String test;
    private final String token;
    private final Map<Long, Long> made = new ConcurrentHashMap<>();
    private long number;

    Gauge(String test, String token) {
      this.test = test;
      this.token = token;
    }
  }

  /** Runs both parts. */
  public static void main(String[] arguments) throws Exception {
    GaugeLoad load = new GaugeLoad("http://127.0.0.1:" + arguments[0]);
    load.signIn(arguments[1], arguments[2]);
    int count = Integer.parseInt(arguments[3]);
    List<Gauge> gauges = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      gauges.add(load.paired(i));
    }
    load.steady(gauges, Integer.parseInt(arguments[4]));
    load.fast(gauges, Path.of(arguments[5]));
    System.exit(0);
  }

  private void steady(List<Gauge> gauges, int seconds) throws InterruptedException {
    gauges.stream().limit(WATCHED).forEach(g -> start(() -> watch(g)));
    Thread.sleep(2000);
    long until = System.nanoTime() + seconds * 1_000_000_000L;
    List<Thread> threads = gauges.stream().map(g -> start(() -> sendSteadily(g, until))).toList();
    for (Thread t : threads) {
      t.join();
    }
    Thread.sleep(2000);
    long made = gauges.stream().mapToLong(g -> g.number).sum();
    System.out.printf(
        Locale.ROOT,
        "%d gauges for %d s: %d readings made, %d kept, %d messages sent again%n",
        gauges.size(),
        seconds,
        made,
        kept.get(),
        again.get());
    said("from the last reading of a message to its answer", answered);
    said("from the last reading of a message to the page", seen);
  }

  private static void said(String what, Queue<Double> times) {
    double[] sorted = times.stream().mapToDouble(d -> 1000 * d).sorted().toArray();
    System.out.printf(
        Locale.ROOT,
        "%s: median %.0f ms, p99 %.0f ms (%d)%n",
        what,
        sorted[sorted.length / 2],
        sorted[(int) (sorted.length * 0.99)],
        sorted.length);
  }

  private void sendSteadily(Gauge gauge, long until) {
    try {
      // gauges do not beat together
      Thread.sleep((long) (1000 * Math.random()));
      long next = System.nanoTime();
      while (System.nanoTime() < until) {
        List<String> readings = new ArrayList<>();
        for (int i = 0; i < BATCH; i++) {
          next += 100_000_000L;
          long ahead = next - System.nanoTime();
          if (ahead > 0) {
            Thread.sleep(ahead / 1_000_000, (int) (ahead % 1_000_000));
          }
          readings.add(reading(++gauge.number, next, value(gauge.number / BATCH)));
        }
        gauge.made.put(gauge.number / BATCH, next);
        send(gauge, "one", readings, next);
        answered.add((System.nanoTime() - next) / 1e9);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /**
   * What the gauge shows in its n-th message: another tenth each, for the page to be told apart.
   */
  private static double value(long n) {
    return 50 + n % 400 / 10.0;
  }

  private static String reading(long number, long nanos, double pressure) {
    return String.format(
        Locale.ROOT,
        "{\"number\":%d,\"at\":%.4f,\"pressure\":%.2f,\"temperature\":20.1}",
        number,
        nanos / 1e9,
        pressure);
  }

  private void send(Gauge gauge, String clock, List<String> readings, long now)
      throws InterruptedException {
    String body =
        String.format(
            Locale.ROOT,
            "{\"clock\":\"%s\",\"sent\":%.4f,\"readings\":[%s]}",
            clock,
            now / 1e9,
            String.join(",", readings));
    while (true) {
      try {
        HttpResponse<String> answer =
            client.send(
                HttpRequest.newBuilder(URI.create(address + "/api/gauges/readings"))
                    .header("Content-Type", "application/json")
                    .header("Authorization", "Bearer " + gauge.token)
                    .POST(HttpRequest.BodyPublishers.ofString(body))
                    .build(),
                HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() == 200) {
          kept.addAndGet(Long.parseLong(find(answer.body(), "\"kept\":(\\d+)")));
          return;
        }
        if (answer.statusCode() != 503 && answer.statusCode() != 429) {
          throw new IllegalStateException(answer.statusCode() + " " + answer.body());
        }
      } catch (IOException e) {
        System.err.println(e);
      }
      again.incrementAndGet();
      Thread.sleep(100);
    }
  }

  /** A page asks anew after some minutes, as a browser does. */
  private void watch(Gauge gauge) {
    try {
      while (!Thread.interrupted()) {
        listen(gauge);
      }
    } catch (IOException | InterruptedException e) {
      System.err.println(e);
    }
  }

  private void listen(Gauge gauge) throws IOException, InterruptedException {
    HttpResponse<java.io.InputStream> answer =
        client.send(
            HttpRequest.newBuilder(URI.create(address + "/tests/" + gauge.test + "/live/feed"))
                .build(),
            HttpResponse.BodyHandlers.ofInputStream());
    try (BufferedReader lines =
        new BufferedReader(new InputStreamReader(answer.body(), StandardCharsets.UTF_8))) {
      String line = lines.readLine();
      while (line != null) {
        if (line.startsWith("data:")) {
          note(gauge, Double.parseDouble(find(line, "\"gauge\":\"([0-9.]+)\"")));
        }
        line = lines.readLine();
      }
    }
  }

  private void note(Gauge gauge, double shown) {
    long now = System.nanoTime();
    for (Map.Entry<Long, Long> e : gauge.made.entrySet()) {
      if (Math.abs(value(e.getKey()) - shown) < 0.01) {
        seen.add((now - e.getValue()) / 1e9);
        gauge.made.remove(e.getKey());
      }
    }
  }

  private void fast(List<Gauge> gauges, Path file) throws Exception {
    long before = kept.get();
    List<List<List<String>>> all = new ArrayList<>();
    try (PrintWriter rows = new PrintWriter(Files.newBufferedWriter(file))) {
      for (Gauge gauge : gauges) {
        List<List<String>> batches = new ArrayList<>();
        // as if kept while the network was away: all of it made before it is sent
        long at = System.nanoTime() - FAST_BATCHES * FAST_BATCH * FAST_EVERY;
        for (int b = 0; b < FAST_BATCHES; b++) {
          List<String> readings = new ArrayList<>();
          for (int i = 0; i < FAST_BATCH; i++) {
            at += FAST_EVERY;
            readings.add(reading(++gauge.number, at, 60));
            rows.printf(Locale.ROOT, "%s,%.4f,60.00,20.1%n", gauge.test, at / 1e9);
          }
          batches.add(readings);
        }
        all.add(batches);
      }
    }
    long begun = System.nanoTime();
    List<Thread> threads = new ArrayList<>();
    for (int g = 0; g < gauges.size(); g++) {
      Gauge gauge = gauges.get(g);
      List<List<String>> batches = all.get(g);
      threads.add(
          start(
              () -> {
                try {
                  for (List<String> batch : batches) {
                    send(gauge, "two", batch, System.nanoTime());
                  }
                } catch (InterruptedException e) {
                  Thread.currentThread().interrupt();
                }
              }));
    }
    for (Thread t : threads) {
      t.join();
    }
    double took = (System.nanoTime() - begun) / 1e9;
    System.out.printf(
        Locale.ROOT,
        "as fast as they can: %d rows kept in %.1f s, %.0f rows/s%n",
        kept.get() - before,
        took,
        (kept.get() - before) / took);
  }

  private static Thread start(Runnable work) {
    Thread thread = new Thread(work);
    thread.setDaemon(true);
    thread.start();
    return thread;
  }

  private void signIn(String login, String password) throws IOException, InterruptedException {
    post("/sign-in", "/sign-in", Map.of("username", login, "password", password));
  }

  private Gauge paired(int i) throws IOException, InterruptedException {
    String bench = post("/", "/test-now", Map.of()).replaceAll("^https?://[^/]+", "");
    post(
        bench,
        bench,
        Map.of(
            "stamp",
            "1.2 bar",
            "gaugeStep",
            "0.1 kPa",
            "readingMode",
            "digital",
            "liquid",
            "8 L",
            "strength",
            "50",
            "airGap",
            "20",
            "gapArea",
            "12",
            "testerVolume",
            "60 mL"));
    String test = find(get(bench), "/tests/([0-9a-f-]{36})/readings");
    post(bench, "/tests/" + test + "/gauges/code", Map.of());
    String code = find(get("/tests/" + test + "/gauges"), "gauge-code\">([A-Z2-7 ]{9})<");
    HttpResponse<String> paired =
        client.send(
            HttpRequest.newBuilder(URI.create(address + "/api/gauges/pair"))
                .header("Content-Type", "application/json")
                .POST(
                    HttpRequest.BodyPublishers.ofString(
                        "{\"code\":\"" + code + "\",\"name\":\"Gauge " + i + "\",\"step\":0.01}"))
                .build(),
            HttpResponse.BodyHandlers.ofString());
    return new Gauge(test, find(paired.body(), "\"token\":\"([^\"]+)\""));
  }

  private String get(String path) throws IOException, InterruptedException {
    return client
        .send(
            HttpRequest.newBuilder(URI.create(address + path)).build(),
            HttpResponse.BodyHandlers.ofString())
        .body();
  }

  /** Sends a form with the token of a page; gives where the answer leads. */
  private String post(String page, String path, Map<String, String> fields)
      throws IOException, InterruptedException {
    String token = find(get(page), "name=\"_csrf\"[^>]*value=\"([^\"]+)\"");
    String body =
        fields.entrySet().stream()
            .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
            .collect(Collectors.joining("&", "_csrf=" + token + "&", ""));
    return client
        .send(
            HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build(),
            HttpResponse.BodyHandlers.ofString())
        .headers()
        .firstValue("Location")
        .orElse("");
  }

  private static String find(String text, String pattern) {
    Matcher found = Pattern.compile(pattern).matcher(text);
    if (!found.find()) {
      throw new IllegalStateException("nothing like " + pattern + " in " + text);
    }
    return found.group(1);
  }
}
