package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/**
 * The disk fills up during a hold, the database falls, and room is made again: nothing that was
 * acknowledged is lost, and all comes back by itself.
 */
class DiskFullTests {
  private static final Path FOLDER = Path.of("target", "small-disk").toAbsolutePath();
  private static final int MEGABYTES = 420;
  private static final int RESERVE = 40;

  private final Set<UUID> acknowledged = new HashSet<>();

  private static boolean mayMount() {
    try {
      return new ProcessBuilder("unshare", "-rm", "mount", "-t", "tmpfs", "tmpfs", "/mnt")
              .start()
              .waitFor()
          == 0;
    } catch (IOException e) {
      return false;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  @Test
  void theHoldGoesOnAsSoonAsThereIsRoom() throws IOException, SQLException {
    assumeThat(mayMount()).as("a disk of its own can be had on this machine").isTrue();
    Script.delete(FOLDER);
    Map<String, String> settings =
        Map.of(
            "GOTERA_FIRST_ACCOUNT_CODE",
            Server.CODE,
            "GOTERA_DISK_RESERVE_MEGABYTES",
            Integer.toString(RESERVE));
    try (Server server = Server.onSmallDisk(FOLDER, MEGABYTES, settings)) {
      Http technician = server.firstAccount();
      Http.Begun begun = technician.begin();
      enter(technician, begun.test(), 20);
      assertThat(acknowledged).hasSize(20);

      Path filler = server.seen(FOLDER).resolve("filler");
      fill(filler, RESERVE / 2);
      server.until("writing is refused", () -> status(technician, begun.test()) == 507);
      assertThat(technician.get(begun.job() + "/pressure-test").status())
          .as("reading goes on")
          .isEqualTo(200);
      Files.delete(filler);
      server.until("writing goes on", () -> status(technician, begun.test()) == 302);
      enter(technician, begun.test(), 10);

      fill(filler, 0);
      long pid = Long.parseLong(Files.readString(server.seen(FOLDER).resolve("pid")).strip());
      ProcessHandle.of(pid).orElseThrow().destroyForcibly();
      server.until("it says disk", () -> status(technician, begun.test()) == 507);
      server.until(
          "the page says so too",
          () ->
              technician
                  .get(begun.job() + "/pressure-test")
                  .header("Gotera-Refusal")
                  .matches("disk|database"));
      server.until(
          "the supervisor waits for room",
          () -> Script.read(FOLDER.resolve("supervise.log")).contains("no room on the disk"));
      Files.delete(filler);
      long freed = System.nanoTime();
      server.until("the hold goes on", () -> status(technician, begun.test()) == 302);
      double seconds = (System.nanoTime() - freed) / 1e9;
      System.out.printf("disk freed, the hold went on after %.1f s%n", seconds);
      assertThat(seconds).as("by itself, soon").isLessThan(30);
      enter(technician, begun.test(), 10);
      assertThat(stored(server)).as("acknowledged and stored").isEqualTo(acknowledged.size());
    } finally {
      Script.delete(FOLDER);
    }
  }

  private void enter(Http technician, String test, int readings) {
    for (int i = 0; i < readings; i++) {
      assertThat(status(technician, test)).isEqualTo(302);
    }
  }

  private int status(Http technician, String test) {
    UUID entry = UUID.randomUUID();
    try {
      Http.Answer answer =
          technician.post(
              "/tests/" + test + "/readings",
              Map.of("gauge", "88 kPa", "entryId", entry.toString()));
      if (answer.status() == 302 && !answer.toSignIn()) {
        acknowledged.add(entry);
      }
      return answer.toSignIn() ? 0 : answer.status();
    } catch (UncheckedIOException e) {
      return 0;
    }
  }

  /** Leaves so many megabytes. */
  private static void fill(Path filler, int left) throws IOException {
    long free = Files.getFileStore(filler.getParent()).getUsableSpace() - left * 1_000_000L;
    byte[] megabyte = new byte[1 << 20];
    try (var out = Files.newOutputStream(filler)) {
      for (long written = 0; written < free; written += megabyte.length) {
        out.write(megabyte, 0, (int) Math.min(megabyte.length, free - written));
      }
    } catch (IOException e) {
      assertThat(left).as("more than there is was written: " + e).isZero();
    }
  }

  private int stored(Server server) throws SQLException {
    int stored = 0;
    try (Connection connection = Server.connect(server.seen(FOLDER));
        PreparedStatement query =
            connection.prepareStatement("select count(*) from trace_block where id = ?")) {
      for (UUID entry : acknowledged) {
        query.setString(1, entry.toString());
        try (ResultSet rows = query.executeQuery()) {
          rows.next();
          stored += rows.getInt(1);
        }
      }
    }
    return stored;
  }
}
