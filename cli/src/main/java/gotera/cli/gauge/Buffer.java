package gotera.cli.gauge;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.Properties;

/**
 * What a gauge has read and not yet got rid of, on its disk. A reading is on the disk before it is
 * sent, so that whatever has come somewhere is there under its number after any end.
 */
final class Buffer implements AutoCloseable {
  private static final String READINGS = "readings.csv";

  /** The file is written anew when so many of its lines were acknowledged. */
  private static final int TIDY_AFTER = 20_000;

  private final Path folder;
  private final FileChannel lockFile;
  private final FileLock lock;
  private FileChannel out;
  private final Deque<KeptReading> waiting = new ArrayDeque<>();
  private long last;
  private int acknowledgedLines;

  /**
   * A reading as it is kept.
   *
   * @param number its number
   * @param at when, by the gauge's clock (s)
   * @param gauge what it showed (kPa)
   * @param celsius the probe (°C)
   * @param event what was done; empty for nothing
   */
  record KeptReading(long number, double at, double gauge, double celsius, String event) {
    String text() {
      return number + "," + at + "," + gauge + "," + celsius + "," + event + "\n";
    }

    static Optional<KeptReading> read(String text) {
      String[] parts = text.split(",", -1);
      return parts.length == 5
          ? Optional.of(
              new KeptReading(
                  Long.parseLong(parts[0]),
                  Double.parseDouble(parts[1]),
                  Double.parseDouble(parts[2]),
                  Double.parseDouble(parts[3]),
                  parts[4]))
          : Optional.empty();
    }
  }

  /** Opens a buffer, with what is in it; refuses a folder that another gauge has open. */
  Buffer(Path folder) throws IOException {
    this.folder = Files.createDirectories(folder);
    lockFile =
        FileChannel.open(
            folder.resolve("lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
    FileLock got = lockFile.tryLock();
    if (got == null) {
      lockFile.close();
      throw new IOException("another gauge uses " + folder);
    }
    lock = got;
    long acknowledged = Long.parseLong(state().getProperty("acknowledged", "0"));
    Path file = folder.resolve(READINGS);
    if (Files.exists(file)) {
      String all = Files.readString(file);
      // what was being written when it ended has no end of line
      int whole = all.lastIndexOf('\n') + 1;
      for (String text : all.substring(0, whole).lines().toList()) {
        KeptReading.read(text)
            .ifPresent(
                line -> {
                  last = line.number();
                  if (line.number() > acknowledged) {
                    waiting.add(line);
                  }
                });
      }
      last = Math.max(last, acknowledged);
    }
    out = rewritten();
  }

  private FileChannel rewritten() throws IOException {
    Path anew = folder.resolve(READINGS + ".new");
    FileChannel channel =
        FileChannel.open(
            anew,
            StandardOpenOption.CREATE,
            StandardOpenOption.TRUNCATE_EXISTING,
            StandardOpenOption.WRITE);
    StringBuilder text = new StringBuilder();
    waiting.forEach(line -> text.append(line.text()));
    write(channel, text.toString());
    replace(anew, folder.resolve(READINGS));
    acknowledgedLines = 0;
    return channel;
  }

  private static void replace(Path from, Path to) throws IOException {
    try {
      Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (AtomicMoveNotSupportedException e) {
      Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
    }
  }

  private static void write(FileChannel channel, String text) throws IOException {
    ByteBuffer bytes = ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8));
    while (bytes.hasRemaining()) {
      channel.write(bytes);
    }
    channel.force(false);
  }

  /** The number of the next reading. */
  synchronized long next() {
    return last + 1;
  }

  /** Keeps readings; once this returns they are on the disk. */
  synchronized void keep(List<KeptReading> lines) throws IOException {
    StringBuilder text = new StringBuilder();
    for (KeptReading line : lines) {
      text.append(line.text());
    }
    write(out, text.toString());
    waiting.addAll(lines);
    last = lines.isEmpty() ? last : lines.get(lines.size() - 1).number();
  }

  /** The oldest readings that nobody has acknowledged. */
  synchronized List<KeptReading> waiting(int most) {
    List<KeptReading> some = new ArrayList<>();
    for (KeptReading line : waiting) {
      if (some.size() >= most) {
        break;
      }
      some.add(line);
    }
    return some;
  }

  synchronized int size() {
    return waiting.size();
  }

  /** Everything up to a number is kept elsewhere. */
  synchronized void acknowledged(long through) throws IOException {
    while (!waiting.isEmpty() && waiting.peek().number() <= through) {
      waiting.remove();
      acknowledgedLines++;
    }
    if (acknowledgedLines > TIDY_AFTER) {
      keep("acknowledged", Long.toString(through));
      out.close();
      out = rewritten();
    }
  }

  /** Small things it remembers. */
  Properties state() throws IOException {
    Properties state = new Properties();
    Path file = folder.resolve("state");
    if (Files.exists(file)) {
      try (var in = Files.newBufferedReader(file)) {
        state.load(in);
      }
    }
    return state;
  }

  synchronized void keep(String name, String value) throws IOException {
    Properties state = state();
    state.setProperty(name, value);
    Path anew = folder.resolve("state.new");
    try (var to = Files.newBufferedWriter(anew)) {
      state.store(to, "a simulated gauge");
    }
    replace(anew, folder.resolve("state"));
  }

  @Override
  public void close() throws IOException {
    out.close();
    lock.release();
    lockFile.close();
  }
}
