package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.account.AccountService;
import gotera.web.account.Role;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A second process on the same database, with the limits as they are shipped. */
@ExtendWith(Application.class)
class SecondProcessTests {
  private static final int ATTEMPTS = 1000;

  /** One address behind which one process or another answers. */
  private static final class OneAddress implements AutoCloseable {
    private final ServerSocket door;
    private final Queue<Socket> open = new ConcurrentLinkedQueue<>();
    private volatile int port;

    OneAddress(String first) throws IOException {
      door = new ServerSocket(0, 50, InetAddress.getByName("127.0.0.1"));
      port = URI.create(first).getPort();
      daemon(this::answer);
    }

    String address() {
      return "http://127.0.0.1:" + door.getLocalPort();
    }

    /** The next requests go to another process; what is open to the one before is closed. */
    void to(String address) throws IOException {
      port = URI.create(address).getPort();
      for (Socket socket = open.poll(); socket != null; socket = open.poll()) {
        socket.close();
      }
    }

    private void answer() {
      while (!door.isClosed()) {
        try {
          Socket outside = door.accept();
          Socket inside = new Socket(InetAddress.getByName("127.0.0.1"), port);
          open.add(outside);
          open.add(inside);
          daemon(() -> pump(outside, inside));
          daemon(() -> pump(inside, outside));
        } catch (IOException e) {
          if (!door.isClosed()) {
            throw new UncheckedIOException(e);
          }
        }
      }
    }

    private static void pump(Socket from, Socket to) {
      try (InputStream in = from.getInputStream();
          OutputStream out = to.getOutputStream()) {
        byte[] bytes = new byte[8192];
        for (int read = in.read(bytes); read >= 0; read = in.read(bytes)) {
          out.write(bytes, 0, read);
          out.flush();
        }
      } catch (IOException closed) {
        // one side hung up: the other is closed with it
      }
    }

    private static void daemon(Runnable work) {
      Thread thread = new Thread(work, "one address");
      thread.setDaemon(true);
      thread.start();
    }

    @Override
    public void close() throws IOException {
      door.close();
    }
  }

  @Test
  void aJobBegunOnOneIsFinishedOnTheOther(Application.Running application) throws IOException {
    String first = application.address();
    String second = application.second().address();
    try (OneAddress one = new OneAddress(first);
        Bench bench = Bench.at(application, one.address())) {
      bench.pumping("1.2 bar", "0.5 kPa");
      bench.reading("80");
      one.to(second);
      bench.reading("120");
      bench.click("Valve shut");
      one.to(first);
      bench.reading("119.5");
      one.to(second);
      assertThat(bench.page.content()).contains("80.0").contains("120.0").contains("119.5");
      bench.finish();
      bench.shows(".so-far summary", "Not proven");
      one.to(first);
      bench.step("Intake");
      bench.fill("Vehicle", "Behind one address");
      bench.click("Save intake");
      one.to(second);
      bench.open("/");
      bench.shows(".jobs", "Behind one address");
      bench.page.getByText("Sign out").click();
      bench.page.locator("#username").waitFor();
      one.to(first);
      bench.open("/jobs/new");
      assertThat(bench.page.url()).as("signed out on both").endsWith("/sign-in");
    }
  }

  @Test
  void aThousandAttemptsToSignInLeadNowhere(Application.Running application) {
    application
        .bean(AccountService.class)
        .put("besieged", "Besieged", "a long enough secret", Role.TECHNICIAN);
    Http attacker = new Http(application.second().address());
    attacker.get("/sign-in");
    int tried = 0;
    int refused = 0;
    for (int i = 0; i < ATTEMPTS; i++) {
      // the right one is among them, at a place where it no longer helps
      String password = i == 500 ? "a long enough secret" : "guess number " + i;
      Http.Answer answer =
          attacker.post("/sign-in", java.util.Map.of("username", "besieged", "password", password));
      if (answer.status() == 429) {
        refused++;
        assertThat(answer.header("Retry-After")).isNotEmpty();
      } else {
        tried++;
        assertThat(answer.location()).endsWith("?error");
      }
    }
    assertThat(tried).as("20 a minute, and what a minute adds").isBetween(20, 60);
    assertThat(refused).isEqualTo(ATTEMPTS - tried);
    assertThat(attacker.get("/jobs/new").toSignIn()).isTrue();
    // and the account is locked on the other process too, where this sender is not held up
    Http elsewhere = new Http(application.address());
    assertThat(elsewhere.signIn("besieged", "a long enough secret").location()).endsWith("?error");
  }

  /** Links and codes of gauges that somebody guesses: as few a minute as passwords. */
  @Test
  void guessedLinksAndCodesAreHeldUp(Application.Running application) throws IOException {
    String code = "{\"code\":\"AAAABBBB\"}";
    assertThat(guesses(application, "127.0.0.3", "GET /report/" + "x".repeat(43), ""))
        .isBetween(20L, 30L);
    assertThat(guesses(application, "127.0.0.4", "POST /api/gauges/pair", code))
        .isBetween(20L, 30L);
  }

  /** How many of forty, from an address of this machine, are not answered 429. */
  private static long guesses(
      Application.Running application, String from, String request, String body)
      throws IOException {
    URI address = URI.create(application.second().address());
    long heard = 0;
    for (int i = 0; i < 40; i++) {
      try (Socket one =
          new Socket(address.getHost(), address.getPort(), InetAddress.getByName(from), 0)) {
        String head =
            " HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\nContent-Type: application/json\r\n";
        one.getOutputStream()
            .write(
                (request + head + "Content-Length: " + body.length() + "\r\n\r\n" + body)
                    .getBytes(StandardCharsets.US_ASCII));
        String answer =
            new String(one.getInputStream().readAllBytes(), StandardCharsets.ISO_8859_1);
        assertThat(answer).startsWith("HTTP/1.1 4");
        heard += answer.startsWith("HTTP/1.1 429") ? 0 : 1;
      }
    }
    return heard;
  }
}
