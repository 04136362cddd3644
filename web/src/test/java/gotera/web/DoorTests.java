package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A crowd at the door, from an address of its own: it is not let in, and keeps nobody out. */
@ExtendWith(Application.class)
class DoorTests {
  private static final int CROWD = 250;

  /** So many of one address may be sending at once. */
  private static final int PLACES = 24;

  /** Another address of this machine. */
  private static Socket stranger(Application.Running application) throws IOException {
    URI address = URI.create(application.address());
    Socket socket =
        new Socket(address.getHost(), address.getPort(), InetAddress.getByName("127.0.0.2"), 0);
    socket.setSoTimeout(60_000);
    return socket;
  }

  private static void send(Socket to, String text) throws IOException {
    to.getOutputStream().write(text.getBytes(StandardCharsets.US_ASCII));
    to.getOutputStream().flush();
  }

  private static String head(String path, String... headers) {
    return "POST "
        + path
        + " HTTP/1.1\r\nHost: localhost\r\n"
        + String.join("\r\n", headers)
        + "\r\n\r\n";
  }

  private static boolean isSentAway(Socket one) throws IOException {
    one.setSoTimeout(1_000);
    try {
      String status = status(one);
      return status != null && status.contains("503");
    } catch (SocketTimeoutException e) {
      return false;
    }
  }

  private static String status(Socket of) throws IOException {
    return new BufferedReader(new InputStreamReader(of.getInputStream(), StandardCharsets.US_ASCII))
        .readLine();
  }

  @Test
  void whoSendsSlowlyKeepsNobodyOut(Application.Running application) throws IOException {
    Http here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    List<Socket> crowd = new ArrayList<>();
    try {
      for (int i = 0; i < CROWD; i++) {
        Socket one = stranger(application);
        crowd.add(one);
        send(
            one,
            head(
                    "/sign-in",
                    "Content-Type: application/x-www-form-urlencoded",
                    "Content-Length: 5000")
                + "u");
      }
      for (int i = 0; i < 5; i++) {
        assertThat(here.get("/account").status()).isEqualTo(200);
        assertThat(here.begin().test()).isNotEmpty();
      }
      // whichever of them came first hold a place; of the last ones more came than there are places
      int sentAway = 0;
      for (int i = CROWD - 1; i > CROWD - 3 * PLACES && sentAway < 6; i--) {
        sentAway += isSentAway(crowd.get(i)) ? 1 : 0;
      }
      assertThat(sentAway).as("sent away at once").isEqualTo(6);
      assertThat(readingOn()).as("threads held by whom is answered already").isZero();
    } finally {
      for (Socket one : crowd) {
        one.close();
      }
    }
  }

  /** Answered unread, of whatever kind: then nobody reads on, and the connection is closed. */
  @Test
  void aBodyThatIsNotReadIsNotWaitedFor(Application.Running application) throws IOException {
    String json = "Content-Type: application/json";
    String form = "Content-Type: application/x-www-form-urlencoded";
    String long5000 = "Content-Length: 5000";
    String chunked = "Transfer-Encoding: chunked";
    List<String> answered = new ArrayList<>();
    List<Socket> crowd = new ArrayList<>();
    try {
      for (String path : List.of("/api/gauges/pair", "/api/gauges/readings")) {
        answered.add(answer(application, crowd, head(path, form, long5000) + "a"));
        answered.add(answer(application, crowd, head(path, json, chunked) + "1000\r\n{"));
      }
      answered.add(answer(application, crowd, head("/nowhere", json, long5000) + "{"));
      String style = head("/styles/gotera.css", json, long5000).replaceFirst("POST", "GET");
      answered.add(answer(application, crowd, style + "{"));
      assertThat(answered)
          .containsExactly(
              "HTTP/1.1 415 , closed",
              "HTTP/1.1 413 , closed",
              "HTTP/1.1 415 , closed",
              "HTTP/1.1 413 , closed",
              "HTTP/1.1 302 , closed",
              "HTTP/1.1 200 , closed");
      assertThat(readingOn()).as("threads held by whom is answered already").isZero();
    } finally {
      for (Socket one : crowd) {
        one.close();
      }
    }
  }

  private static String answer(
      Application.Running application, List<Socket> crowd, String beginning) throws IOException {
    Socket one = stranger(application);
    crowd.add(one);
    send(one, beginning);
    one.setSoTimeout(10_000);
    BufferedReader answer =
        new BufferedReader(new InputStreamReader(one.getInputStream(), StandardCharsets.US_ASCII));
    try {
      String status = answer.readLine();
      answer.lines().forEach(line -> {});
      return status + ", closed";
    } catch (SocketTimeoutException | java.io.UncheckedIOException e) {
      return "kept open";
    }
  }

  /** Threads of the server that read on where all is answered. */
  private static long readingOn() {
    return Thread.getAllStackTraces().values().stream()
        .filter(
            stack ->
                Arrays.stream(stack)
                    .anyMatch(
                        at ->
                            at.getClassName().contains("InputFilter")
                                && at.getMethodName().equals("end")))
        .count();
  }

  /** Answered before anything of it is read: nothing of the body was sent. */
  @Test
  void whatAStrangerMayNotSendIsNotRead(Application.Running application) throws IOException {
    try (Socket one = stranger(application)) {
      send(
          one,
          head(
              "/jobs/import",
              "Content-Type: multipart/form-data; boundary=x",
              "Content-Length: 60000000"));
      assertThat(status(one)).contains("413");
    }
    try (Socket one = stranger(application)) {
      send(
          one,
          head(
              "/sign-in",
              "Content-Type: application/x-www-form-urlencoded",
              "Content-Length: 200000"));
      assertThat(status(one)).contains("413");
    }
    try (Socket one = stranger(application)) {
      send(
          one,
          head(
              "/sign-in",
              "Content-Type: application/x-www-form-urlencoded",
              "Transfer-Encoding: chunked"));
      assertThat(status(one)).contains("413");
    }
    try (Socket one = stranger(application)) {
      send(
          one,
          head(
              "/%64iary/" + "x".repeat(43),
              "Content-Type: multipart/form-data; boundary=x",
              "Content-Length: 60000000"));
      assertThat(status(one)).contains("413");
    }
  }
}
