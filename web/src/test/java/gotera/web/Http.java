package gotera.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.CookiePolicy;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Someone with a session but without a browser; follows no redirect. */
final class Http {
  private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");

  private static final Pattern OLDER = Pattern.compile("href=\"([^\"]+)\">Older");

  private final HttpClient client;
  private final String address;
  private String token = "";

  Http(String address) {
    this(
        address,
        HttpClient.newBuilder()
            .cookieHandler(new CookieManager(null, CookiePolicy.ACCEPT_ALL))
            .followRedirects(HttpClient.Redirect.NEVER)
            .connectTimeout(Duration.ofSeconds(5))
            .build());
  }

  private Http(String address, HttpClient client) {
    this.address = address;
    this.client = client;
  }

  /** The same person, with the same session, at another process. */
  Http at(String other) {
    Http there = new Http(other, client);
    there.token = token;
    return there;
  }

  static Http signedIn(String address, String login, String password) {
    Http http = new Http(address);
    http.signIn(login, password);
    return http;
  }

  /** An answer. */
  record Answer(int status, String location, String text, HttpResponse<String> whole) {
    /** A number and its unit are kept on one line; here they read like any other words. */
    Answer {
      text = text.replace('\u00a0', ' ');
    }

    boolean toSignIn() {
      return status == 302 && location.endsWith("/sign-in");
    }

    String header(String name) {
      return whole.headers().firstValue(name).orElse("");
    }

    /** The first group of a pattern in its text. */
    String find(String pattern) {
      Matcher matcher = Pattern.compile(pattern).matcher(text);
      if (!matcher.find()) {
        throw new AssertionError("no " + pattern + " in " + text);
      }
      return matcher.group(1);
    }
  }

  Answer signIn(String login, String password) {
    get("/sign-in");
    Answer answer = post("/sign-in", Map.of("username", login, "password", password));
    if (answer.status() == 302 && !answer.location().endsWith("?error")) {
      get("/account");
    }
    return answer;
  }

  /** Reads a page and takes the token of its forms. */
  /** With a header of its own. */
  Answer get(String path, String header, String value) {
    return send(request(path).GET().header(header, value).build());
  }

  Answer get(String path) {
    Answer answer = send(request(path).GET().build());
    Matcher matcher = TOKEN.matcher(answer.text());
    if (matcher.find()) {
      token = matcher.group(1);
    }
    return answer;
  }

  /** A file as it comes. */
  record Bytes(int status, String type, byte[] content) {}

  /** Reads a file. */
  Bytes bytes(String path) {
    try {
      HttpResponse<byte[]> response =
          client.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofByteArray());
      return new Bytes(
          response.statusCode(),
          response.headers().firstValue("Content-Type").orElse(""),
          response.body());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  Answer post(String path, Map<String, String> fields) {
    return send(form(path, fields).header("X-CSRF-TOKEN", token).build());
  }

  /** A form with a file, as a browser sends it. */
  Answer postFile(String path, Map<String, String> fields, String name, byte[] content) {
    String edge = "edge-of-a-part";
    StringBuilder parts = new StringBuilder();
    fields.forEach(
        (key, value) ->
            parts
                .append("--" + edge + "\r\nContent-Disposition: form-data; name=\"")
                .append(key + "\"\r\n\r\n" + value + "\r\n"));
    parts
        .append("--" + edge + "\r\nContent-Disposition: form-data; name=\"" + name)
        .append("\"; filename=\"hold.csv\"\r\nContent-Type: text/csv\r\n\r\n");
    byte[] end = ("\r\n--" + edge + "--\r\n").getBytes(StandardCharsets.UTF_8);
    return send(
        request(path)
            .header("Content-Type", "multipart/form-data; boundary=" + edge)
            .header("X-CSRF-TOKEN", token)
            .POST(
                HttpRequest.BodyPublishers.concat(
                    HttpRequest.BodyPublishers.ofString(parts.toString()),
                    HttpRequest.BodyPublishers.ofByteArray(content),
                    HttpRequest.BodyPublishers.ofByteArray(end)))
            .build());
  }

  /** Address of the newest open job of a vehicle. */
  String job(String vehicle) {
    return get("/?q=" + URLEncoder.encode(vehicle, StandardCharsets.UTF_8))
        .find("<a href=\"(/jobs/[0-9a-f-]{36})/");
  }

  /** The list of open jobs, page after page. */
  String openJobs() {
    StringBuilder all = new StringBuilder();
    Matcher older = OLDER.matcher("");
    for (String next = "/"; !next.isEmpty(); next = older.find() ? older.group(1) : "") {
      String page = get(next).text();
      all.append(page);
      older.reset(page);
    }
    return all.toString();
  }

  /** A job and its test, pumping. */
  record Begun(String job, String test) {}

  /** Begins a job with a test. */
  Begun begin() {
    return begin(Map.of());
  }

  /** The same, set up otherwise. */
  Begun begin(Map<String, String> otherwise) {
    String bench = post("/test-now", Map.of()).location().replaceAll("^https?://[^/]+", "");
    Map<String, String> setup = new HashMap<>();
    setup.put("stamp", "1.2 bar");
    setup.put("gaugeStep", "0.1 kPa");
    setup.put("readingMode", "digital");
    setup.put("liquid", "8 L");
    setup.put("strength", "50");
    setup.put("airGap", "20");
    setup.put("gapArea", "12");
    setup.put("testerVolume", "60 mL");
    setup.putAll(otherwise);
    post(bench, setup);
    return new Begun(
        bench.replaceAll("/pressure-test$", ""),
        get(bench).find("/tests/([0-9a-f-]{36})/readings"));
  }

  /** As another site's page would send it: with the cookies, without the token. */
  Answer forge(String path, Map<String, String> fields) {
    return send(form(path, fields).header("Origin", "https://elsewhere.example").build());
  }

  Answer send(String method, String path) {
    return send(
        request(path)
            .method(method, HttpRequest.BodyPublishers.noBody())
            .header("X-CSRF-TOKEN", token)
            .build());
  }

  private HttpRequest.Builder request(String path) {
    return HttpRequest.newBuilder(URI.create(path.startsWith("http") ? path : address + path))
        .timeout(Duration.ofSeconds(60))
        .header("Accept", "text/html, */*;q=0.8");
  }

  private HttpRequest.Builder form(String path, Map<String, String> fields) {
    String body =
        fields.entrySet().stream()
            .map(f -> f.getKey() + "=" + URLEncoder.encode(f.getValue(), StandardCharsets.UTF_8))
            .collect(Collectors.joining("&"));
    return request(path)
        .header("Content-Type", "application/x-www-form-urlencoded")
        .POST(HttpRequest.BodyPublishers.ofString(body));
  }

  /** The text of an answer; of one that goes on nothing is waited for. */
  private static HttpResponse.BodySubscriber<String> body(HttpResponse.ResponseInfo info) {
    boolean goesOn =
        info.headers().firstValue("Content-Type").orElse("").startsWith("text/event-stream");
    return goesOn
        ? HttpResponse.BodySubscribers.mapping(
            HttpResponse.BodySubscribers.ofInputStream(),
            in -> {
              try (in) {
                return "";
              } catch (IOException e) {
                throw new UncheckedIOException(e);
              }
            })
        : HttpResponse.BodySubscribers.ofString(StandardCharsets.UTF_8);
  }

  /** An answer that goes on, line by line; whoever closes it leaves. */
  Stream<String> lines(String path) {
    try {
      HttpResponse<Stream<String>> response =
          client.send(
              request(path).GET().timeout(Duration.ofMinutes(2)).build(),
              HttpResponse.BodyHandlers.ofLines());
      if (response.statusCode() != 200) {
        throw new AssertionError("status " + response.statusCode() + " of " + path);
      }
      return response.body();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private Answer send(HttpRequest request) {
    try {
      HttpResponse<String> response = client.send(request, Http::body);
      return new Answer(
          response.statusCode(),
          response.headers().firstValue("Location").orElse(""),
          response.body(),
          response);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }
}
