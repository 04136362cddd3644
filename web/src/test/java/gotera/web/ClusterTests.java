package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLongArray;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * Three nodes and two processes, of which nodes and processes are killed while four clients enter
 * through both: nothing acknowledged is lost, nothing is there twice, nobody is answered 500. Needs
 * what bench/cluster installs, and is run by it.
 */
@EnabledIfSystemProperty(named = "cluster.folder", matches = ".+")
class ClusterTests {
  private static final int CLIENTS = 4;

  /** Every so many entries the same one is sent to both processes at once. */
  private static final int TOGETHER = 5;

  private static final int KILLS = Integer.getInteger("cluster.kills", 1);
  private static final long SEED = Long.getLong("cluster.seed", 4711);

  private record Reading(UUID id, String test, double kilopascals) {}

  private final Server[] processes = new Server[2];
  private final Queue<Reading> acknowledged = new ConcurrentLinkedQueue<>();
  private final Queue<String> begun = new ConcurrentLinkedQueue<>();
  private final Queue<String> wrong = new ConcurrentLinkedQueue<>();
  private final AtomicInteger refused = new AtomicInteger();
  private final AtomicInteger unanswered = new AtomicInteger();
  private final AtomicBoolean over = new AtomicBoolean();

  /** When each client was answered last (ns). */
  private final AtomicLongArray heard = new AtomicLongArray(CLIENTS);

  @Test
  void whatWasAcknowledgedIsOnEveryNodeOnce() throws Exception {
    Random random = new Random(SEED);
    try (Cluster cluster = new Cluster(Path.of(System.getProperty("cluster.folder")))) {
      Map<String, String> settings = cluster.settings(0);
      settings.put("GOTERA_FIRST_ACCOUNT_CODE", Server.CODE);
      settings.put("GOTERA_LIMITS_ENTRIES_PER_MINUTE", "1000000");
      settings.put("GOTERA_LIMITS_SIGN_INS_PER_MINUTE", "1000");
      processes[0] = Server.start("cluster-1", settings);
      Map<String, String> other = cluster.settings(1);
      other.put("GOTERA_LIMITS_ENTRIES_PER_MINUTE", "1000000");
      other.put("GOTERA_LIMITS_SIGN_INS_PER_MINUTE", "1000");
      processes[1] = Server.start("cluster-2", other);
      Http lead = processes[0].firstAccount();
      acrossProcesses(lead);
      List<Http.Begun> tests = List.of(lead.begin(), lead.begin());
      List<Thread> clients = new ArrayList<>();
      for (int i = 0; i < CLIENTS; i++) {
        int client = i;
        Http http = Http.signedIn(processes[0].address(), Server.LEAD, Server.PASSWORD);
        Random own = new Random(SEED + i);
        clients.add(
            new Thread(() -> enter(client, http, tests.get(client % 2), own), "client " + i));
      }
      clients.forEach(c -> c.setDaemon(true));
      clients.forEach(Thread::start);
      double node = 0;
      double process = 0;
      for (int i = 0; i < KILLS; i++) {
        pause(random);
        int killed = random.nextInt(Cluster.NODES);
        long at = System.nanoTime();
        cluster.kill(killed);
        node = Math.max(node, untilEverybodyGoesOn(at));
        cluster.again(killed);
        pause(random);
        int gone = random.nextInt(2);
        at = System.nanoTime();
        processes[gone].kill();
        process = Math.max(process, untilEverybodyGoesOn(at));
        processes[gone] = processes[gone].again();
      }
      pause(random);
      over.set(true);
      for (Thread client : clients) {
        client.join(TimeUnit.SECONDS.toMillis(90));
      }
      List<Integer> stored = new ArrayList<>();
      List<Integer> twice = new ArrayList<>();
      for (int i = 0; i < Cluster.NODES; i++) {
        try (Connection database = cluster.connect(i)) {
          stored.add(stored(database));
          twice.add(twice(database));
        }
      }
      System.out.printf(
          "cluster, seed %d: %d nodes and %d processes killed; %d readings acknowledged, stored on"
              + " the nodes %s; %d waits sent to both processes at once, there twice %s; %d refused,"
              + " %d unanswered, %d wrong; everybody went on %.1f s after a node's and %.1f s after"
              + " a process's death at the latest%n",
          SEED,
          KILLS,
          KILLS,
          acknowledged.size(),
          stored,
          begun.size(),
          twice,
          refused.get(),
          unanswered.get(),
          wrong.size(),
          node,
          process);
      assertThat(wrong).isEmpty();
      assertThat(stored).containsOnly(acknowledged.size());
      assertThat(twice).containsOnly(0);
      assertThat(acknowledged.size()).isGreaterThan(20 * KILLS);
      assertThat(Math.max(node, process)).as("s until entries went on").isLessThanOrEqualTo(5);
    } finally {
      for (Server process : processes) {
        if (process != null) {
          process.close();
        }
      }
    }
  }

  private static void pause(Random random) {
    Server.pause(1000 + random.nextInt(2000));
  }

  /** Sessions, waits, sign-ins, gauges and what is told to open pages reach the other process. */
  private void acrossProcesses(Http lead) {
    Http there = lead.at(processes[1].address());
    assertThat(there.get("/account").status()).as("a session").isEqualTo(200);
    Http.Begun job = lead.begin();
    try (Stream<String> lines = there.lines(job.job() + "/changes")) {
      Iterator<String> told = lines.filter(l -> l.startsWith("data:")).iterator();
      String before = told.next();
      assertThat(lead.post(job.job() + "/waits", Map.of("kind", "cure", "minutes", "90")).status())
          .isEqualTo(302);
      assertThat(told.next()).as("an open page of the other process").isNotEqualTo(before);
    }
    String wait = there.get(job.job() + "/waits").find("/waits/([0-9a-f-]{36})/end");
    there.post("/waits/" + wait + "/end", Map.of());
    assertThat(lead.get(job.job() + "/waits").text()).doesNotContain("/waits/" + wait + "/end");
    lead.post("/tests/" + job.test() + "/gauges/code", Map.of());
    String code =
        lead.get("/tests/" + job.test() + "/gauges")
            .find("gauge-code\">([A-Z2-7]{4} [A-Z2-7]{4})<");
    GaugeTests.pair(processes[1].address(), code);
    assertThat(lead.get("/tests/" + job.test() + "/gauges").text()).contains("Bay 2");
    Http wrongOnes = new Http(processes[1].address());
    for (int i = 0; i < 5; i++) {
      wrongOnes.signIn("besieged", "wrong " + i);
    }
    assertThat(new Http(processes[0].address()).signIn("besieged", "wrong").location())
        .endsWith("?error");
    there.post("/sign-out", Map.of());
    assertThat(lead.get("/jobs/new").toSignIn()).as("signed out everywhere").isTrue();
    lead.signIn(Server.LEAD, Server.PASSWORD);
  }

  /** Waits until each client was answered since, and says how long that took (s). */
  private double untilEverybodyGoesOn(long since) {
    for (int i = 0; i < CLIENTS; i++) {
      while (heard.get(i) < since) {
        assertThat(System.nanoTime() - since)
            .as("client %d goes on", i)
            .isLessThan(TimeUnit.SECONDS.toNanos(90));
        Server.pause(20);
      }
    }
    return (System.nanoTime() - since) / 1e9;
  }

  private void enter(int client, Http http, Http.Begun at, Random random) {
    String test = at.test();
    for (int n = 0; !over.get(); n++) {
      if (n % TOGETHER == TOGETHER - 1) {
        both(http, at.job(), "twofold " + client + "-" + n);
      } else {
        Reading reading = new Reading(UUID.randomUUID(), test, 40 + client * 10 + (n % 99) / 10.0);
        if (kept(
            http,
            random.nextInt(2),
            "/tests/" + test + "/readings",
            Map.of("gauge", reading.kilopascals() + " kPa", "entryId", reading.id().toString()))) {
          acknowledged.add(reading);
        }
      }
      heard.set(client, System.nanoTime());
    }
  }

  /** The same wait at both processes at once, as by a second click that went elsewhere. */
  private void both(Http http, String job, String note) {
    Map<String, String> fields =
        Map.of(
            "kind",
            "other",
            "minutes",
            "90",
            "waitNote",
            note,
            "entryId",
            UUID.randomUUID().toString());
    Thread second = new Thread(() -> kept(http, 1, job + "/waits", fields));
    second.start();
    boolean first = kept(http, 0, job + "/waits", fields);
    try {
      second.join();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
    if (first) {
      begun.add(note);
    }
  }

  /** Sends an entry until it is answered, again by the other process where one is silent. */
  private boolean kept(Http http, int first, String path, Map<String, String> fields) {
    for (int n = first; ; n++) {
      try {
        Http.Answer answer = http.at(processes[n % 2].address()).post(path, fields);
        if (answer.status() == 302 && !answer.toSignIn()) {
          return true;
        } else if (answer.status() == 422) {
          // another client's reading came in between: this one is not later
          refused.incrementAndGet();
          return false;
        } else if (answer.status() == 503) {
          refused.incrementAndGet();
          Server.pause(100);
        } else {
          wrong.add(answer.status() + " of " + path + " " + answer.text());
          return false;
        }
      } catch (UncheckedIOException e) {
        unanswered.incrementAndGet();
        Server.pause(50);
      }
    }
  }

  private int stored(Connection database) throws SQLException {
    int stored = 0;
    try (PreparedStatement query =
        database.prepareStatement(
            "select payload from trace_block where id = ? and pressure_test_id = ?")) {
      for (Reading reading : acknowledged) {
        query.setObject(1, reading.id());
        query.setObject(2, UUID.fromString(reading.test()));
        try (ResultSet rows = query.executeQuery()) {
          if (rows.next()
              && ByteBuffer.wrap(rows.getBytes(1)).getDouble(Double.BYTES)
                  == reading.kilopascals()) {
            stored++;
          }
        }
      }
    }
    return stored;
  }

  /** Waits that were begun once and are not there once. */
  private int twice(Connection database) throws SQLException {
    int twice = 0;
    try (PreparedStatement query =
        database.prepareStatement("select count(*) from job_wait where note = ?")) {
      for (String note : begun) {
        query.setString(1, note);
        try (ResultSet row = query.executeQuery()) {
          row.next();
          twice += row.getInt(1) == 1 ? 0 : 1;
        }
      }
    }
    return twice;
  }
}
