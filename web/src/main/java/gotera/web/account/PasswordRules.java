package gotera.web.account;

import com.nulabinc.zxcvbn.Zxcvbn;
import gotera.web.figures.FieldProblems;
import java.nio.charset.StandardCharsets;
import java.util.List;

/**
 * What a password must be: long enough and not easily guessed; nothing about kinds of characters.
 */
final class PasswordRules {
  /**
   * Shortest password (NIST SP 800-63B-4, section 3.1.1, asks for 8 where another factor helps).
   */
  private static final int SHORTEST = 10;

  /** What the hash takes: bcrypt reads no more than 72 bytes (Provos and Mazieres 1999). */
  private static final int LONGEST_BYTES = 72;

  /** Guesses that must not suffice, on zxcvbn's scale of 0 to 4 (our judgement, untested). */
  private static final int LEAST_SCORE = 2;

  private static final Zxcvbn GUESSER = new Zxcvbn();

  private PasswordRules() {}

  static void check(FieldProblems problems, String field, String password, String... known) {
    if (password.length() < SHORTEST) {
      problems.add(field, "problem.password-short", SHORTEST);
    } else if (password.getBytes(StandardCharsets.UTF_8).length > LONGEST_BYTES) {
      problems.add(field, "problem.password-long", LONGEST_BYTES);
    } else if (GUESSER.measure(password, List.of(known)).getScore() < LEAST_SCORE) {
      problems.add(field, "problem.password-guessed");
    }
  }
}
