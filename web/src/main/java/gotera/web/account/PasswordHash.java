package gotera.web.account;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;

/**
 * Prints what is kept of a password that is given on standard input; for the server's own command.
 */
final class PasswordHash {
  private PasswordHash() {}

  public static void main(String[] arguments) throws IOException {
    String password =
        new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8)).readLine();
    if (password == null || password.isEmpty()) {
      throw new IOException("no password was given");
    }
    System.out.println(PasswordEncoderFactories.createDelegatingPasswordEncoder().encode(password));
  }
}
