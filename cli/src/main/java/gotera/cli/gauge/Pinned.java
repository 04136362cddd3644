package gotera.cli.gauge;

import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.CertificateException;
import java.security.cert.X509Certificate;
import java.util.HexFormat;
import java.util.Locale;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLEngine;
import javax.net.ssl.TrustManager;
import javax.net.ssl.X509ExtendedTrustManager;

/**
 * Trusts the one certificate whose fingerprint somebody compared and typed, and no other: a
 * workshop's own certificate is signed by nobody. Whoever has its key is who was meant, by whatever
 * name it is reached.
 */
final class Pinned extends X509ExtendedTrustManager {
  private final String fingerprint;

  private Pinned(String fingerprint) {
    this.fingerprint = fingerprint;
  }

  /**
   * A context for that certificate.
   *
   * @param typed SHA-256 as hexadecimal digits, with or without colons
   * @throws IllegalArgumentException where it is no fingerprint
   */
  static SSLContext context(String typed) {
    String digits = typed.replaceAll("[:\\s]", "").toLowerCase(Locale.ROOT);
    if (!digits.matches("[0-9a-f]{64}")) {
      throw new IllegalArgumentException("a fingerprint has 64 hexadecimal digits: " + typed);
    }
    try {
      SSLContext context = SSLContext.getInstance("TLS");
      context.init(null, new TrustManager[] {new Pinned(digits)}, null);
      return context;
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("this Java speaks no TLS", e);
    }
  }

  private void check(X509Certificate[] chain) throws CertificateException {
    try {
      byte[] seen = MessageDigest.getInstance("SHA-256").digest(chain[0].getEncoded());
      byte[] shown = HexFormat.of().formatHex(seen).getBytes(StandardCharsets.US_ASCII);
      if (!MessageDigest.isEqual(shown, fingerprint.getBytes(StandardCharsets.US_ASCII))) {
        throw new CertificateException("another certificate than the one that was named");
      }
    } catch (GeneralSecurityException e) {
      throw e instanceof CertificateException c ? c : new CertificateException(e);
    }
  }

  @Override
  public void checkServerTrusted(X509Certificate[] chain, String type) throws CertificateException {
    check(chain);
  }

  @Override
  public void checkServerTrusted(X509Certificate[] chain, String type, Socket socket)
      throws CertificateException {
    check(chain);
  }

  @Override
  public void checkServerTrusted(X509Certificate[] chain, String type, SSLEngine engine)
      throws CertificateException {
    check(chain);
  }

  @Override
  public void checkClientTrusted(X509Certificate[] chain, String type) throws CertificateException {
    throw new CertificateException("a gauge serves nobody");
  }

  @Override
  public void checkClientTrusted(X509Certificate[] chain, String type, Socket socket)
      throws CertificateException {
    checkClientTrusted(chain, type);
  }

  @Override
  public void checkClientTrusted(X509Certificate[] chain, String type, SSLEngine engine)
      throws CertificateException {
    checkClientTrusted(chain, type);
  }

  @Override
  public X509Certificate[] getAcceptedIssuers() {
    return new X509Certificate[0];
  }
}
