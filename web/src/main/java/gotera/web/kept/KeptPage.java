package gotera.web.kept;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * A page as it was made, cut at its marks.
 *
 * @param texts what stands before, between and behind the marks (UTF-8)
 * @param marks one less than texts
 * @param type its type, with the character set
 */
record KeptPage(List<byte[]> texts, List<Mark> marks, String type) {
  /** Cuts a page at its marks. */
  static KeptPage of(String page, String type) {
    List<byte[]> texts = new ArrayList<>();
    List<Mark> marks = new ArrayList<>();
    int from = 0;
    for (int at = page.indexOf(Mark.BEGIN); at >= 0; at = page.indexOf(Mark.BEGIN, from)) {
      int end = page.indexOf(Mark.END, at);
      texts.add(page.substring(from, at).getBytes(StandardCharsets.UTF_8));
      marks.add(Mark.valueOf(page.substring(at + Mark.BEGIN.length(), end)));
      from = end + 1;
    }
    texts.add(page.substring(from).getBytes(StandardCharsets.UTF_8));
    return new KeptPage(List.copyOf(texts), List.copyOf(marks), type);
  }

  /** The page with what belongs in the place of its marks now. */
  byte[] with(Function<Mark, String> now) {
    List<byte[]> all = new ArrayList<>();
    int length = 0;
    for (int i = 0; i < texts.size(); i++) {
      all.add(texts.get(i));
      length += texts.get(i).length;
      if (i < marks.size()) {
        byte[] filled = now.apply(marks.get(i)).getBytes(StandardCharsets.UTF_8);
        all.add(filled);
        length += filled.length;
      }
    }
    byte[] page = new byte[length];
    int at = 0;
    for (byte[] part : all) {
      System.arraycopy(part, 0, page, at, part.length);
      at += part.length;
    }
    return page;
  }

  /** Roughly what it takes (bytes). */
  int weight() {
    return texts.stream().mapToInt(t -> t.length).sum();
  }
}
