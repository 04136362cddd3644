package gotera.web;

import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;

/**
 * Kills the application, then the database, without warning and at random moments, while four
 * clients enter readings into two tests; then looks up every acknowledged reading in the database.
 */
final class KillDrill {
  private static final int CLIENTS = 4;
  private static final int LONGEST_MS = 1500;

  private final Server server;
  private final Path folder;
  private final Random random;
  private final Queue<Entered> acknowledged = new ConcurrentLinkedQueue<>();
  private final Queue<String> wrong = new ConcurrentLinkedQueue<>();
  private final AtomicInteger sent = new AtomicInteger();
  private final AtomicInteger unanswered = new AtomicInteger();
  private final AtomicInteger refused = new AtomicInteger();
  private final AtomicBoolean over = new AtomicBoolean();

  private record Entered(UUID id, String test, double kilopascals) {}

  /**
   * What was counted.
   *
   * @param acknowledged readings that were answered as kept
   * @param stored how many of these the database holds, with their value
   * @param refused answers that said nothing was kept
   * @param unanswered requests without any answer
   * @param wrong answers nobody may get
   */
  record Count(
      int applicationKills,
      int databaseKills,
      int sent,
      int acknowledged,
      int stored,
      int refused,
      int unanswered,
      List<String> wrong) {}

  KillDrill(Server server, Path folder, long seed) {
    this.server = server;
    this.folder = folder;
    this.random = new Random(seed);
  }

  Count run(Http technician, int kills) throws SQLException {
    List<String> tests = List.of(technician.begin().test(), technician.begin().test());
    List<Thread> clients = new ArrayList<>();
    for (int i = 0; i < CLIENTS; i++) {
      Http client = Http.signedIn(server.address(), Server.LEAD, Server.PASSWORD);
      String test = tests.get(i % tests.size());
      double first = 40 + i * 10;
      clients.add(new Thread(() -> enter(client, test, first), "client " + i));
    }
    clients.forEach(c -> c.setDaemon(true));
    clients.forEach(Thread::start);
    for (int i = 0; i < kills; i++) {
      kill(server::application);
    }
    for (int i = 0; i < kills; i++) {
      kill(this::database);
    }
    work(10);
    over.set(true);
    for (Thread client : clients) {
      try {
        client.join();
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException(e);
      }
    }
    return new Count(
        kills,
        kills,
        sent.get(),
        acknowledged.size(),
        stored(),
        refused.get(),
        unanswered.get(),
        List.copyOf(wrong));
  }

  /** At a random moment of work that goes on. */
  private void kill(Supplier<ProcessHandle> running) {
    work(8);
    Server.pause(random.nextInt(LONGEST_MS));
    ProcessHandle process = running.get();
    if (!process.destroyForcibly()) {
      throw new AssertionError("could not be killed: " + process);
    }
    server.until("the killed process is gone", () -> !process.isAlive());
  }

  private ProcessHandle database() {
    return ProcessHandle.of(Long.parseLong(Script.read(folder.resolve("pid")))).orElseThrow();
  }

  /** Waits until so many more readings are acknowledged: work goes on again. */
  private void work(int readings) {
    int before = acknowledged.size();
    server.until("readings are entered", () -> acknowledged.size() >= before + readings);
  }

  private void enter(Http client, String test, double first) {
    int next = 0;
    Entered entry = null;
    while (!over.get() || entry != null) {
      if (entry == null) {
        entry = new Entered(UUID.randomUUID(), test, first + (next++ % 99) / 10.0);
      }
      try {
        sent.incrementAndGet();
        Http.Answer answer =
            client.post(
                "/tests/" + test + "/readings",
                Map.of("gauge", entry.kilopascals() + " kPa", "entryId", entry.id().toString()));
        if (answer.status() == 302 && !answer.toSignIn()) {
          acknowledged.add(entry);
          entry = null;
        } else if (answer.status() == 503 && answer.header("Gotera-Refusal").equals("database")) {
          refused.incrementAndGet();
          Server.pause(100);
        } else if (answer.status() == 422) {
          // another client's reading came in between: this one is not later
          refused.incrementAndGet();
          entry = null;
        } else {
          wrong.add(answer.status() + " " + answer.whole().headers().map() + " " + answer.text());
          entry = null;
        }
      } catch (UncheckedIOException e) {
        unanswered.incrementAndGet();
        Server.pause(100);
      }
    }
  }

  private int stored() throws SQLException {
    int stored = 0;
    try (Connection connection = Server.connect(folder);
        PreparedStatement query =
            connection.prepareStatement(
                "select payload from trace_block where id = ? and pressure_test_id = ?")) {
      for (Entered entered : acknowledged) {
        query.setObject(1, entered.id());
        query.setObject(2, UUID.fromString(entered.test()));
        try (ResultSet rows = query.executeQuery()) {
          // a block holds time, gauge and temperature; these hold one reading each
          if (rows.next()
              && ByteBuffer.wrap(rows.getBytes(1)).getDouble(Double.BYTES)
                  == entered.kilopascals()) {
            stored++;
          }
        }
      }
    }
    return stored;
  }
}
