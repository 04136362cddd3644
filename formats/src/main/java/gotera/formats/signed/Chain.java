package gotera.formats.signed;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/**
 * Everything that was done in a job, each entry bound to all before it: its hash is SHA-256 over
 * the hash before and its own members. Nothing can be changed, taken out or put in without every
 * later hash being another.
 *
 * @param links the entries, in the order they were bound
 */
public record Chain(List<Link> links) {
  /** What the first entry is bound to. */
  public static final String BEGINNING = "0".repeat(64);

  /** Keeps its own copy. */
  public Chain {
    links = List.copyOf(links);
  }

  /**
   * An entry.
   *
   * @param at when it was done
   * @param by the account
   * @param what in a few words
   * @param hash its hash, hexadecimal
   */
  public record Link(Instant at, String by, String what, String hash) {
    /** An entry bound to the hash before it. */
    public static Link after(String before, Instant at, String by, String what) {
      return new Link(at, by, what, hash(before, at, by, what));
    }

    private static String hash(String before, Instant at, String by, String what) {
      Digest digest = new Digest().add(before.getBytes(StandardCharsets.UTF_8));
      for (String member : List.of(at.toString(), by, what)) {
        byte[] bytes = member.getBytes(StandardCharsets.UTF_8);
        // with its length, so that no two ways of cutting read alike
        digest.add(("\n" + bytes.length + ":").getBytes(StandardCharsets.UTF_8)).add(bytes);
      }
      return digest.hex();
    }
  }

  /** The last hash. */
  public String head() {
    return links.isEmpty() ? BEGINNING : links.get(links.size() - 1).hash();
  }

  /** This chain and one more entry. */
  public Chain and(Instant at, String by, String what) {
    List<Link> more = new ArrayList<>(links);
    more.add(Link.after(head(), at, by, what));
    return new Chain(more);
  }

  /** Number, from 1, of the first entry that does not fit what stands before it. */
  public OptionalInt firstBroken() {
    String before = BEGINNING;
    for (int i = 0; i < links.size(); i++) {
      Link link = links.get(i);
      if (!Link.after(before, link.at(), link.by(), link.what()).hash().equals(link.hash())) {
        return OptionalInt.of(i + 1);
      }
      before = link.hash();
    }
    return OptionalInt.empty();
  }
}
