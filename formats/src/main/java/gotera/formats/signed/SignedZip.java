package gotera.formats.signed;

import gotera.formats.signed.Authenticity.Different;
import gotera.formats.signed.Authenticity.Genuine;
import gotera.formats.signed.Statement.Part;
import gotera.formats.signed.Statement.Signed;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.KeyPair;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/**
 * A ZIP whose {@code manifest.json} states the SHA-256 of each of its files and the head of the
 * chain in {@code chain.json}, and whose {@code signature.txt} is the signature under it. Written
 * twice from the same it is the same, byte for byte.
 */
public final class SignedZip {
  /** Most bytes unpacked, all entries together (our judgement): a quarter of a small heap. */
  static final long MOST_BYTES = 128L * 1024 * 1024;

  /** Most bytes of one entry (our judgement): ten times the records of a year with a gauge. */
  static final long MOST_OF_ONE = 24L * 1024 * 1024;

  /** Most entries (our judgement). */
  private static final int MOST_ENTRIES = 5000;

  private static final String MANIFEST = "manifest.json";
  private static final String SIGNATURE = "signature.txt";
  private static final String CHAIN = "chain.json";

  /** All entries carry this time: the first that a ZIP can write. */
  private static final LocalDateTime NO_TIME = LocalDateTime.of(1980, 1, 1, 0, 0);

  private SignedZip() {}

  /** What a file holds, or why it is refused. */
  public sealed interface Opened {
    /** Its files by name, and its chain. */
    record Files(Map<String, byte[]> files, Chain chain) implements Opened {}

    /** Why it cannot be taken. */
    record Refused(String what) implements Opened {}
  }

  /** Packs files, in their order, with the chain. */
  public static byte[] pack(Map<String, byte[]> files, Chain chain, Instant at, KeyPair keys)
      throws IOException {
    Map<String, byte[]> all = new LinkedHashMap<>(files);
    all.put(CHAIN, ChainJson.write(chain).getBytes(StandardCharsets.UTF_8));
    Statement statement = Statement.of(parts(all), chain, at, keys);
    all.put(MANIFEST, statement.text().getBytes(StandardCharsets.UTF_8));
    all.put(
        SIGNATURE,
        Base64.getEncoder().encodeToString(statement.sign(keys)).getBytes(StandardCharsets.UTF_8));
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> file : all.entrySet()) {
        ZipEntry entry = new ZipEntry(file.getKey());
        entry.setTimeLocal(NO_TIME);
        zip.putNextEntry(entry);
        zip.write(file.getValue());
        zip.closeEntry();
      }
    }
    return out.toByteArray();
  }

  private static List<Part> parts(Map<String, byte[]> files) {
    return files.entrySet().stream()
        .map(f -> new Part(f.getKey(), Digest.of(f.getValue())))
        .toList();
  }

  /** Whether a ZIP is as it was signed. */
  public static Authenticity check(byte[] zip) {
    Read read = read(zip);
    return read.checked();
  }

  /** Opens a ZIP whose signature holds. */
  public static Opened open(byte[] zip) {
    Read read = read(zip);
    return read.checked() instanceof Different d
        ? new Opened.Refused(d.what())
        : new Opened.Files(read.files(), read.chain());
  }

  private record Read(Map<String, byte[]> files, Chain chain, Authenticity checked) {
    static Read refused(String what) {
      return new Read(Map.of(), new Chain(List.of()), new Different(what));
    }
  }

  private static Read read(byte[] zip) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    try {
      Optional<String> refused = unpack(zip, files);
      if (refused.isPresent()) {
        return Read.refused(refused.get());
      }
    } catch (ZipException | java.io.EOFException | IllegalArgumentException e) {
      return Read.refused("it is no whole ZIP file");
    } catch (IOException e) {
      return Read.refused("it cannot be read: " + e.getMessage());
    }
    byte[] manifest = files.remove(MANIFEST);
    byte[] signature = files.remove(SIGNATURE);
    if (manifest == null || signature == null) {
      return Read.refused("it carries no signature");
    }
    Optional<Statement> statement =
        decoded(signature)
            .flatMap(
                s -> Statement.read(new Signed(new String(manifest, StandardCharsets.UTF_8), s)));
    if (statement.isEmpty()) {
      return Read.refused("its signature does not fit its manifest");
    }
    Optional<String> different = statement.get().firstDifferent(parts(files));
    if (different.isPresent()) {
      return Read.refused(different.get());
    }
    return chained(statement.get(), files);
  }

  private static Read chained(Statement s, Map<String, byte[]> files) {
    byte[] text = files.remove(CHAIN);
    Optional<Chain> chain = text == null ? Optional.empty() : ChainJson.read(text);
    if (chain.isEmpty()) {
      return Read.refused("its chain cannot be read");
    }
    OptionalInt broken = chain.get().firstBroken();
    if (broken.isPresent()) {
      return Read.refused("entry " + broken.getAsInt() + " of the chain does not fit");
    }
    if (!chain.get().head().equals(s.head())) {
      return Read.refused("its chain ends otherwise than was signed");
    }
    return new Read(
        files, chain.get(), new Genuine(s.fingerprint(), s.at(), s.entries(), s.head()));
  }

  private static Optional<byte[]> decoded(byte[] text) {
    try {
      return Optional.of(
          Base64.getDecoder().decode(new String(text, StandardCharsets.US_ASCII).strip()));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** Unpacks into memory, bounded; says what is wrong, if anything is. */
  private static Optional<String> unpack(byte[] zip, Map<String, byte[]> into) throws IOException {
    long left = MOST_BYTES;
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        String name = entry.getName();
        if (!name.matches("[A-Za-z0-9._-]+(/[A-Za-z0-9._-]+)?") || name.contains("..")) {
          return Optional.of("it holds a name that leads elsewhere");
        }
        byte[] content = in.readNBytes((int) Math.min(left, MOST_OF_ONE) + 1);
        left -= content.length;
        if (left < 0 || content.length > MOST_OF_ONE || into.size() >= MOST_ENTRIES) {
          return Optional.of("it unpacks to more than can be taken");
        }
        if (into.put(name, content) != null) {
          return Optional.of(name + " is in it twice");
        }
      }
    }
    return into.isEmpty() ? Optional.of("it is no whole ZIP file") : Optional.empty();
  }
}
