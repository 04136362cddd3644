package gotera.cli.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpsConfigurator;
import com.sun.net.httpserver.HttpsServer;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.Random;
import javax.net.ssl.KeyManagerFactory;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A gauge at an address whose certificate the workshop made itself. */
class PinnedTests {
  private static final char[] SECRET = "for-this-run-only".toCharArray();

  private static KeyStore own(Path folder) throws Exception {
    Path file = folder.resolve("own.p12");
    Process made =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "keytool").toString(),
                "-genkeypair",
                "-alias",
                "own",
                "-keyalg",
                "EC",
                "-dname",
                "CN=Another name than it is reached by",
                "-storetype",
                "PKCS12",
                "-keystore",
                file.toString(),
                "-storepass",
                new String(SECRET))
            .redirectErrorStream(true)
            .start();
    assertThat(made.waitFor()).isZero();
    KeyStore store = KeyStore.getInstance("PKCS12");
    try (InputStream in = Files.newInputStream(file)) {
      store.load(in, SECRET);
    }
    return store;
  }

  private static HttpsServer server(KeyStore store) throws Exception {
    KeyManagerFactory keys = KeyManagerFactory.getInstance("PKIX");
    keys.init(store, SECRET);
    SSLContext context = SSLContext.getInstance("TLS");
    context.init(keys.getKeyManagers(), null, null);
    HttpsServer server =
        HttpsServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    server.setHttpsConfigurator(new HttpsConfigurator(context));
    server.createContext(
        "/api/gauges/pair",
        exchange -> {
          byte[] answer = "{\"token\":\"t\"}".getBytes(StandardCharsets.UTF_8);
          exchange.sendResponseHeaders(201, answer.length);
          exchange.getResponseBody().write(answer);
          exchange.close();
        });
    server.start();
    return server;
  }

  private static String pair(HttpsServer server, String fingerprint) throws Exception {
    return new Speaker(
            "https://127.0.0.1:" + server.getAddress().getPort(),
            fingerprint,
            new DeviceTime("a", DeviceTime.trueTime(), 0, 0),
            0,
            new Random(1))
        .pair("code", "name", 0.1, 0.1);
  }

  @Test
  void onlyTheCertificateThatWasNamedIsTrusted(@TempDir Path folder) throws Exception {
    KeyStore store = own(folder);
    byte[] certificate = store.getCertificate("own").getEncoded();
    String fingerprint =
        HexFormat.ofDelimiter(":")
            .withUpperCase()
            .formatHex(MessageDigest.getInstance("SHA-256").digest(certificate));
    HttpsServer server = server(store);
    try {
      assertThat(pair(server, fingerprint)).isEqualTo("t");
      assertThat(pair(server, fingerprint.replace(":", "").toLowerCase(java.util.Locale.ROOT)))
          .isEqualTo("t");
      char other = fingerprint.charAt(0) == '0' ? '1' : '0';
      assertThatThrownBy(() -> pair(server, other + fingerprint.substring(1)))
          .isInstanceOf(SSLException.class);
      assertThatThrownBy(() -> pair(server, "")).isInstanceOf(SSLException.class);
    } finally {
      server.stop(0);
    }
  }

  @Test
  void whatIsNoFingerprintIsSaid() {
    assertThatThrownBy(() -> Pinned.context("12:34"))
        .hasMessageContaining("64 hexadecimal digits: 12:34");
  }
}
