package gotera.formats;

/**
 * One thing that is wrong with a file, at its place.
 *
 * @param line line of the file, from 1; 0 where the whole file is meant
 * @param place column or member it concerns; empty where the whole line is meant
 * @param found what stands there
 * @param expected what should stand there
 */
public record FormatProblem(long line, String place, String found, String expected) {
  private static final int LONGEST = 60;

  /** Shortens what was found to something that can be shown, without control characters. */
  public FormatProblem {
    place = shown(place);
    found = shown(found);
  }

  private static String shown(String text) {
    String plain = text.replaceAll("[\\p{Cntrl}\\p{Cs}\\p{Cf}]", "\u00b7");
    return plain.length() > LONGEST ? plain.substring(0, LONGEST) + "\u2026" : plain;
  }

  /** The problem as a sentence. */
  public String sentence() {
    StringBuilder sentence = new StringBuilder();
    if (line > 0) {
      sentence.append("line ").append(line).append(", ");
    }
    if (!place.isEmpty()) {
      sentence.append(place).append(": ");
    }
    return sentence
        .append("found \u201c")
        .append(found)
        .append("\u201d, expected ")
        .append(expected)
        .toString();
  }
}
