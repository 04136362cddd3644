package gotera.formats;

import gotera.suspects.Vocabulary;
import gotera.suspects.Vocabulary.VocabularyEntry;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The known word that is nearest to one that is not known, by edit distance; other words for a name
 * stand for it.
 */
final class Nearest {
  private Nearest() {}

  /** Letters of a word that are compared: no known one is as long. */
  private static final int COMPARED = 60;

  private static final Map<String, List<String>> SYNONYMS =
      Vocabulary.published().entries().stream()
          .collect(
              Collectors.toMap(
                  VocabularyEntry::name,
                  VocabularyEntry::synonyms,
                  (a, b) -> Stream.concat(a.stream(), b.stream()).toList()));

  static String to(String word, Collection<String> known) {
    String said = word.substring(0, Math.min(COMPARED, word.length()));
    return known.stream()
        .min(Comparator.comparingInt((String k) -> meant(said, k)).thenComparing(k -> k))
        .orElse("");
  }

  /** How far off the name is, or another word for it, hyphens being as good as spaces. */
  private static int meant(String said, String name) {
    String spoken = said.replace('-', ' ');
    return SYNONYMS.getOrDefault(name, List.of()).stream()
        .mapToInt(s -> distance(spoken, s))
        .reduce(distance(said, name), Math::min);
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
