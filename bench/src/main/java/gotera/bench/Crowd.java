package gotera.bench;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Strangers who connect and then send slowly, half, or nothing, and somebody else who works: how
 * much longer a page takes meanwhile than without them.
 *
 * <pre>
 * Crowd PORT COOKIE PAGE CONNECTIONS ADDRESS…    an address begins with GET or POST: "POST /sign-in"
 * </pre>
 *
 * <p>Prints a line for each kind at each address, and ends with 1 where a page took more than twice
 * its usual time.
 */
public final class Crowd {
  private static final int PAGES = 40;
  private static final double MOST = 2;

  private final int port;
  private final String cookie;
  private final String page;

  private Crowd(int port, String cookie, String page) {
    this.port = port;
    this.cookie = cookie;
    this.page = page;
  }

  /** How a stranger is slow. */
  private enum Kind {
    /** Connects and says nothing. */
    SILENT,
    /** Sends half of the head and stops. */
    HALF_HEAD,
    /** Sends the head a byte at a time. */
    SLOW_HEAD,
    /** Sends the head and half of a form, and stops. */
    HALF_BODY,
    /** Sends a form a byte at a time. */
    SLOW_BODY,
    /** Sends all and never reads the answer. */
    NOT_READING;

    private boolean fits(String method) {
      return this != HALF_BODY && this != SLOW_BODY || method.equals("POST");
    }
  }

  /** Runs. */
  public static void main(String[] arguments) throws Exception {
    Crowd crowd = new Crowd(Integer.parseInt(arguments[0]), arguments[1], arguments[2]);
    int connections = Integer.parseInt(arguments[3]);
    crowd.median();
    boolean slow = false;
    for (String address : Arrays.asList(arguments).subList(4, arguments.length)) {
      String method = address.split(" ")[0];
      for (Kind kind : Kind.values()) {
        if (kind.fits(method)) {
          double usual = crowd.median();
          double ratio = crowd.with(kind, method, address.split(" ")[1], connections) / usual;
          slow |= ratio > MOST;
          System.out.printf("%s, %s: %.1f times the usual %.1f ms%n", address, kind, ratio, usual);
        }
      }
    }
    System.exit(slow ? 1 : 0);
  }

  private double with(Kind kind, String method, String path, int connections) throws Exception {
    List<Socket> strangers = new ArrayList<>();
    try {
      for (int i = 0; i < connections; i++) {
        // from another address than the one who works
        Socket one =
            new Socket(
                InetAddress.getByName("127.0.0.1"), port, InetAddress.getByName("127.0.0.2"), 0);
        strangers.add(one);
        send(one, begin(kind, method, path));
      }
      Thread drip = new Thread(() -> drip(kind, strangers), "drip");
      drip.setDaemon(true);
      drip.start();
      double took = median();
      drip.interrupt();
      drip.join();
      return took;
    } finally {
      for (Socket one : strangers) {
        one.close();
      }
    }
  }

  private static String begin(Kind kind, String method, String path) {
    String head = method + " " + path + " HTTP/1.1\r\nHost: localhost\r\n";
    String form =
        method.equals("POST") ? "Content-Type: " + type(path) + "\r\nContent-Length: 5000\r\n" : "";
    return switch (kind) {
      case SILENT -> "";
      case HALF_HEAD, SLOW_HEAD -> head + "X-";
      case HALF_BODY, SLOW_BODY -> head + form + "\r\n\"username=a";
      case NOT_READING -> (head + form + "\r\n" + (form.isEmpty() ? "" : "a".repeat(5000)));
    };
  }

  /** Gauges speak JSON: a form is not even begun to be read there. */
  private static String type(String path) {
    return path.startsWith("/api/gauges")
        ? "application/json"
        : "application/x-www-form-urlencoded";
  }

  /** One byte more to each, again and again. */
  private static void drip(Kind kind, List<Socket> strangers) {
    if (kind != Kind.SLOW_HEAD && kind != Kind.SLOW_BODY) {
      return;
    }
    while (!Thread.currentThread().isInterrupted()) {
      for (Socket one : strangers) {
        try {
          send(one, "a");
        } catch (IOException sentAway) {
          // it was refused: that is what is hoped for
        }
      }
      try {
        Thread.sleep(200);
      } catch (InterruptedException e) {
        return;
      }
    }
  }

  private static void send(Socket to, String text) throws IOException {
    try {
      to.getOutputStream().write(text.getBytes(StandardCharsets.US_ASCII));
      to.getOutputStream().flush();
    } catch (java.net.SocketException sentAway) {
      // refused before all was sent
    }
  }

  /** How long the page takes (ms), in the middle of many times, each by a connection of its own. */
  private double median() throws IOException {
    double[] took = new double[PAGES];
    for (int i = 0; i < PAGES; i++) {
      long begun = System.nanoTime();
      try (Socket socket = new Socket(InetAddress.getByName("127.0.0.1"), port)) {
        socket.setSoTimeout(30_000);
        OutputStream out = socket.getOutputStream();
        out.write(
            ("GET "
                    + page
                    + " HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\nCookie: "
                    + cookie
                    + "\r\n\r\n")
                .getBytes(StandardCharsets.US_ASCII));
        InputStream in = socket.getInputStream();
        String answer = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        if (!answer.startsWith("HTTP/1.1 200")) {
          throw new IOException(answer.substring(0, Math.min(200, answer.length())));
        }
      } catch (SocketTimeoutException e) {
        return Double.POSITIVE_INFINITY;
      }
      took[i] = (System.nanoTime() - begun) / 1e6;
    }
    Arrays.sort(took);
    return took[PAGES / 2];
  }
}
