package gotera.web.security;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicLong;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Whether there is room to write where the data lies. A database whose disk is full ends; so
 * writing is refused while there is still room for the database to stay in order.
 */
final class DiskRoom {
  private static final Logger LOG = LoggerFactory.getLogger(DiskRoom.class);

  /** Measured at most so often (our judgement): less than a second of uploads. */
  private static final long EVERY = Duration.ofMillis(500).toNanos();

  private static final long MEGABYTE = 1_000_000;

  private final String folder;
  private final long reserve;
  private final AtomicLong measured = new AtomicLong(System.nanoTime() - EVERY);
  private volatile boolean enough = true;

  DiskRoom(DiskProperties properties) {
    this.folder = properties.databaseFolder();
    this.reserve = properties.reserveMegabytes() * MEGABYTE;
  }

  /** Whether there is; where nothing can be measured, nothing is refused. */
  boolean isEnough() {
    long last = measured.get();
    long now = System.nanoTime();
    if (!folder.isEmpty() && now - last >= EVERY && measured.compareAndSet(last, now)) {
      measure();
    }
    return enough;
  }

  /** Free room above the reserve (bytes); not a number where nothing is measured. */
  double aboveReserve() {
    if (folder.isEmpty()) {
      return Double.NaN;
    }
    try {
      return Files.getFileStore(Path.of(folder)).getUsableSpace() - (double) reserve;
    } catch (IOException e) {
      LOG.warn("the room for the data in {} cannot be measured: {}", folder, e.toString());
      return Double.NaN;
    }
  }

  private void measure() {
    boolean before = enough;
    try {
      enough = Files.getFileStore(Path.of(folder)).getUsableSpace() >= reserve;
    } catch (IOException e) {
      LOG.warn("the room for the data in {} cannot be measured: {}", folder, e.toString());
      enough = true;
    }
    if (before != enough) {
      LOG.warn(enough ? "there is room again in {}" : "no room in {}: nothing is written", folder);
    }
  }
}
