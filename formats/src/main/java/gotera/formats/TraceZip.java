package gotera.formats;

import gotera.pressure.trace.Trace;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.Locale;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;

/**
 * A ZIP that holds one trace, as loggers and phones send it. It is read as a stream and never
 * unpacked to disk; what unpacks to more than {@value #MOST_BYTES} bytes, has more than {@value
 * #MOST_ENTRIES} entries or names a place outside itself is refused.
 */
public final class TraceZip {
  /**
   * Most bytes unpacked, all entries together (our judgement: twice two million rows with instants
   * and temperatures).
   */
  static final long MOST_BYTES = 200L * 1024 * 1024;

  /** Most entries (our judgement). */
  static final int MOST_ENTRIES = 100;

  private static final byte[] SIGNATURE = {'P', 'K', 3, 4};

  private TraceZip() {}

  /** Whether a file that begins with these bytes is a ZIP. */
  public static boolean looksLikeOne(byte[] beginning) {
    return beginning.length >= SIGNATURE.length
        && java.util.Arrays.equals(beginning, 0, SIGNATURE.length, SIGNATURE, 0, SIGNATURE.length);
  }

  /** Unpacking went beyond what is allowed. */
  private static final class TooMuch extends IOException {
    private static final long serialVersionUID = 1L;
  }

  /** Counts what is unpacked. */
  private static final class Counted extends FilterInputStream {
    private long left = MOST_BYTES;

    Counted(InputStream in) {
      super(in);
    }

    @Override
    public int read() throws IOException {
      int one = super.read();
      take(one < 0 ? 0 : 1);
      return one;
    }

    @Override
    public int read(byte[] into, int from, int length) throws IOException {
      int read = super.read(into, from, length);
      take(Math.max(0, read));
      return read;
    }

    private void take(int bytes) throws IOException {
      left -= bytes;
      if (left < 0) {
        throw new TooMuch();
      }
    }

    @Override
    public void close() {
      // the next entry comes from the same stream
    }
  }

  /** Reads the one trace in a ZIP. */
  public static ReadOutcome<Trace> read(InputStream stream) throws IOException {
    Optional<ReadOutcome<Trace>> trace = Optional.empty();
    try (ZipInputStream zip = new ZipInputStream(stream)) {
      Counted unpacked = new Counted(zip);
      int entries = 0;
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        String name = entry.getName();
        if (++entries > MOST_ENTRIES) {
          return rejected("more than " + MOST_ENTRIES + " entries", "one CSV file");
        }
        if (leadsOutside(name)) {
          return rejected(name, "names of files inside the ZIP");
        }
        if (entry.isDirectory() || !name.toLowerCase(Locale.ROOT).endsWith(".csv")) {
          unpacked.transferTo(java.io.OutputStream.nullOutputStream());
        } else if (trace.isPresent()) {
          return rejected(name, "one CSV file, there is another before it");
        } else {
          trace = Optional.of(TraceCsv.read(unpacked));
          // what was not looked at is counted too
          unpacked.transferTo(java.io.OutputStream.nullOutputStream());
        }
      }
    } catch (TooMuch e) {
      return rejected("more than " + MOST_BYTES / (1024 * 1024) + " MB unpacked", "one CSV file");
    } catch (ZipException | java.io.EOFException | IllegalArgumentException e) {
      return rejected(String.valueOf(e.getMessage()), "a whole ZIP file");
    }
    return trace.orElseGet(() -> rejected("no CSV file", "one CSV file"));
  }

  private static ReadOutcome<Trace> rejected(String found, String expected) {
    Problems problems = new Problems();
    problems.add(0, "ZIP", found, expected);
    return problems.rejected();
  }

  private static boolean leadsOutside(String name) {
    return name.startsWith("/")
        || name.contains("\\")
        || name.contains(":")
        || name.chars().anyMatch(c -> c < ' ')
        || java.util.List.of(name.split("/")).contains("..");
  }
}
