package gotera.formats;

import java.util.Collection;
import java.util.Comparator;

/** The known word that is nearest to one that is not known, by edit distance. */
final class Nearest {
  private Nearest() {}

  static String to(String word, Collection<String> known) {
    return known.stream()
        .min(Comparator.comparingInt((String k) -> distance(word, k)).thenComparing(k -> k))
        .orElse("");
  }

  /** V. I. Levenshtein, Soviet Physics Doklady 10 (1966) 707. */
  private static int distance(String a, String b) {
    int[] row = new int[b.length() + 1];
    for (int j = 0; j <= b.length(); j++) {
      row[j] = j;
    }
    for (int i = 1; i <= a.length(); i++) {
      int diagonal = row[0];
      row[0] = i;
      for (int j = 1; j <= b.length(); j++) {
        int substituted = diagonal + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1);
        diagonal = row[j];
        row[j] = Math.min(substituted, 1 + Math.min(row[j], row[j - 1]));
      }
    }
    return row[b.length()];
  }
}
