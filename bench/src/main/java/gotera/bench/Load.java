package gotera.bench;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * People at the application: so many clients, each signed in and with a connection of its own, do
 * the same again and again for so long. Its own few lines of HTTP, so that the client takes little
 * of the machine that is measured.
 *
 * <pre>
 * Load PORT LOGIN PASSWORD CLIENTS SECONDS readings      into one test that it begins
 * Load PORT LOGIN PASSWORD CLIENTS SECONDS get PATH…     pages, one after the other
 * Load PORT LOGIN PASSWORD 1 TIMES times PATH            a page so many times, with nothing said
 * Load PORT LOGIN PASSWORD 1 1 job VEHICLE               where its job is
 * Load PORT LOGIN PASSWORD 1 1 cookie                    what somebody who is signed in sends
 * Load PORT - - 1 1 style                                where the style is
 * Load PORT - - CLIENTS SECONDS get PATH…                the same without signing in
 * </pre>
 */
public final class Load {
  private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");
  private static final int WARM_SECONDS = 5;

  private Load() {}

  /** Runs, and prints one line for each kind of request. */
  public static void main(String[] arguments) throws Exception {
    int port = Integer.parseInt(arguments[0]);
    String login = arguments[1];
    String password = arguments[2];
    int clients = Integer.parseInt(arguments[3]);
    int seconds = Integer.parseInt(arguments[4]);
    List<String> paths = new ArrayList<>();
    if (arguments[5].equals("times")) {
      try (Person one = new Person(port, login, password)) {
        for (int i = 0; i < seconds; i++) {
          one.get(arguments[6]);
        }
      }
      return;
    }
    if (arguments[5].equals("cookie")) {
      try (Person one = new Person(port, login, password)) {
        one.cookies.forEach((name, value) -> System.out.println(name + "=" + value));
      }
      return;
    }
    if (arguments[5].equals("job") || arguments[5].equals("style")) {
      boolean job = arguments[5].equals("job");
      try (Person one = new Person(port, login, password)) {
        String page = one.get(job ? "/?q=" + Person.encoded(arguments[6]) : "/sign-in").text();
        Matcher found =
            Pattern.compile(job ? "/jobs/[0-9a-f-]{36}" : "/[^\"]*\\.css").matcher(page);
        System.out.println(found.find() ? found.group() : "");
      }
      return;
    }
    boolean readings = arguments[5].equals("readings");
    if (readings) {
      try (Person first = new Person(port, login, password)) {
        paths.add(begun(first));
      }
    } else {
      paths.addAll(Arrays.asList(arguments).subList(6, arguments.length));
    }
    for (String path : paths) {
      run(port, login, password, clients, Math.min(seconds, WARM_SECONDS), readings, path);
      System.out.println(run(port, login, password, clients, seconds, readings, path));
    }
  }

  /** A test in a new job, set up and begun; gives where its readings go. */
  private static String begun(Person person) throws IOException {
    String bench = person.post("/test-now", Map.of()).header("location");
    bench = bench.replaceAll("^https?://[^/]+", "");
    Map<String, String> setup = new LinkedHashMap<>();
    setup.put("stamp", "1.2 bar");
    setup.put("gaugeStep", "0.1 kPa");
    setup.put("readingMode", "digital");
    setup.put("liquid", "8 L");
    setup.put("strength", "50");
    setup.put("airGap", "20");
    setup.put("gapArea", "12");
    setup.put("testerVolume", "60 mL");
    person.post(bench, setup);
    Matcher test =
        Pattern.compile("/tests/[0-9a-f-]{36}/readings").matcher(person.get(bench).text());
    if (!test.find()) {
      throw new IOException("no test was begun");
    }
    return test.group();
  }

  private static String run(
      int port,
      String login,
      String password,
      int clients,
      int seconds,
      boolean readings,
      String path)
      throws Exception {
    AtomicBoolean over = new AtomicBoolean();
    List<Thread> threads = new ArrayList<>();
    List<Counted> counted = new ArrayList<>();
    List<Person> people = new ArrayList<>();
    for (int i = 0; i < clients; i++) {
      people.add(new Person(port, login, password));
    }
    for (Person person : people) {
      Counted mine = new Counted();
      counted.add(mine);
      threads.add(new Thread(() -> work(person, over, mine, readings, path)));
    }
    long begun = System.nanoTime();
    threads.forEach(Thread::start);
    Thread.sleep(seconds * 1000L);
    over.set(true);
    for (Thread t : threads) {
      t.join();
    }
    double took = (System.nanoTime() - begun) / 1e9;
    for (Person person : people) {
      person.close();
    }
    return said(readings ? "readings of one test" : path, clients, took, counted);
  }

  private static void work(
      Person person, AtomicBoolean over, Counted mine, boolean readings, String path) {
    int n = 0;
    while (!over.get()) {
      long begun = System.nanoTime();
      try {
        Answer answer =
            readings
                ? person.post(
                    path,
                    Map.of("gauge", String.format(Locale.ROOT, "%.1f kPa", 60 + n++ % 200 / 10.0)))
                : person.get(path);
        mine.add(answer.status(), System.nanoTime() - begun, answer.body().length);
      } catch (IOException e) {
        mine.add(0, System.nanoTime() - begun, 0);
      }
    }
  }

  private static String said(String what, int clients, double took, List<Counted> counted) {
    List<Long> all = new ArrayList<>();
    Map<Integer, Integer> answers = new TreeMap<>();
    long bytes = 0;
    for (Counted c : counted) {
      all.addAll(c.nanos);
      bytes += c.bytes;
      c.answers.forEach((status, times) -> answers.merge(status, times, Integer::sum));
    }
    all.sort(null);
    return String.format(
        Locale.ROOT,
        "%s: %d clients, %.0f/s, median %.1f ms, p99 %.1f ms, %d bytes each, answers %s",
        what,
        clients,
        all.size() / took,
        all.get(all.size() / 2) / 1e6,
        all.get((int) (all.size() * 0.99)) / 1e6,
        bytes / Math.max(1, all.size()),
        answers);
  }

  /** What one client counted. */
  private static final class Counted {
    private final List<Long> nanos = new ArrayList<>();
    private final Map<Integer, Integer> answers = new TreeMap<>();
    private long bytes;

    void add(int status, long took, int size) {
      nanos.add(took);
      answers.merge(status, 1, Integer::sum);
      bytes += size;
    }
  }

  private record Answer(int status, Map<String, String> headers, byte[] body) {
    String header(String name) {
      return headers.getOrDefault(name, "");
    }

    String text() {
      return new String(body, StandardCharsets.UTF_8);
    }
  }

  /** Someone with a session and a connection. */
  private static final class Person implements AutoCloseable {
    private final int port;
    private final Map<String, String> cookies = new LinkedHashMap<>();
    private Socket socket;
    private InputStream in;
    private OutputStream out;
    private String token = "";

    Person(int port, String login, String password) throws IOException {
      this.port = port;
      connect();
      if (!login.equals("-")) {
        get("/sign-in");
        post("/sign-in", Map.of("username", login, "password", password));
        if (get("/account").status() != 200) {
          throw new IOException("could not sign in as " + login);
        }
      }
    }

    private void connect() throws IOException {
      socket = new Socket("127.0.0.1", port);
      socket.setTcpNoDelay(true);
      in = new BufferedInputStream(socket.getInputStream(), 1 << 16);
      out = socket.getOutputStream();
    }

    Answer get(String path) throws IOException {
      Answer answer = send("GET", path, "");
      if (token.isEmpty() || path.equals("/account")) {
        Matcher found = TOKEN.matcher(answer.text());
        token = found.find() ? found.group(1) : token;
      }
      return answer;
    }

    Answer post(String path, Map<String, String> fields) throws IOException {
      StringBuilder body = new StringBuilder("_csrf=" + encoded(token));
      fields.forEach(
          (name, value) -> body.append('&').append(name).append('=').append(encoded(value)));
      return send("POST", path, body.toString());
    }

    private static String encoded(String text) {
      return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    private Answer send(String method, String path, String body) throws IOException {
      StringBuilder head = new StringBuilder();
      head.append(method)
          .append(' ')
          .append(path)
          .append(" HTTP/1.1\r\nHost: 127.0.0.1:")
          .append(port);
      head.append("\r\nAccept: text/html\r\n");
      if (!cookies.isEmpty()) {
        head.append("Cookie: ");
        cookies.forEach((name, value) -> head.append(name).append('=').append(value).append("; "));
        head.append("\r\n");
      }
      if (!body.isEmpty()) {
        head.append("Content-Type: application/x-www-form-urlencoded\r\nContent-Length: ");
        head.append(body.length()).append("\r\n");
      }
      head.append("\r\n").append(body);
      out.write(head.toString().getBytes(StandardCharsets.UTF_8));
      out.flush();
      Answer answer = read();
      if (answer.header("connection").equals("close")) {
        socket.close();
        connect();
      }
      return answer;
    }

    private Answer read() throws IOException {
      String first = line();
      int status = Integer.parseInt(first.split(" ")[1]);
      Map<String, String> headers = new LinkedHashMap<>();
      for (String line = line(); !line.isEmpty(); line = line()) {
        int colon = line.indexOf(':');
        String name = line.substring(0, colon).toLowerCase(Locale.ROOT);
        String value = line.substring(colon + 1).strip();
        if (name.equals("set-cookie")) {
          String[] cookie = value.split(";")[0].split("=", 2);
          cookies.put(cookie[0], cookie[1]);
        }
        headers.put(name, value);
      }
      byte[] body;
      if (headers.getOrDefault("transfer-encoding", "").equals("chunked")) {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        for (int size = Integer.parseInt(line(), 16);
            size > 0;
            size = Integer.parseInt(line(), 16)) {
          all.write(in.readNBytes(size));
          line();
        }
        line();
        body = all.toByteArray();
      } else {
        body = in.readNBytes(Integer.parseInt(headers.getOrDefault("content-length", "0")));
      }
      return new Answer(status, headers, body);
    }

    private String line() throws IOException {
      ByteArrayOutputStream line = new ByteArrayOutputStream();
      for (int b = in.read(); b != '\n'; b = in.read()) {
        if (b < 0) {
          throw new IOException("the connection ended");
        }
        if (b != '\r') {
          line.write(b);
        }
      }
      return line.toString(StandardCharsets.UTF_8);
    }

    @Override
    public void close() throws IOException {
      socket.close();
    }
  }
}
