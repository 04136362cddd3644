package gotera.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Three nodes of a replicated database on loopback, each a process that can be killed. */
final class Cluster implements AutoCloseable {
  static final int NODES = 3;
  private static final int PORT = 27_500;
  private static final String PASSWORD = "only-for-this-cluster";

  private final Path folder;
  private final Process[] nodes = new Process[NODES];

  Cluster(Path folder) {
    this.folder = folder;
    begin(0, true);
    until("the first node is ready", () -> status(0, "wsrep_ready").equals("ON"));
    try (Connection admin = asRoot();
        Statement sql = admin.createStatement()) {
      sql.execute("create database gotera");
      sql.execute("create user gotera@'127.0.0.1' identified by '" + PASSWORD + "'");
      sql.execute("grant all on gotera.* to gotera@'127.0.0.1'");
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
    for (int i = 1; i < NODES; i++) {
      begin(i, false);
      whole(i + 1);
    }
  }

  /** The socket of the first node lets its own system user administer it. */
  private Connection asRoot() throws SQLException {
    return DriverManager.getConnection(
        "jdbc:mariadb://localhost/?localSocket="
            + folder.resolve("node-1/socket")
            + "&user="
            + System.getProperty("user.name"));
  }

  private void begin(int node, boolean first) {
    ProcessBuilder builder =
        new ProcessBuilder(
            Path.of("..", "bench", "cluster-node").toString(),
            folder.toString(),
            Integer.toString(node + 1),
            Integer.toString(PORT),
            first ? "first" : "");
    try {
      nodes[node] =
          builder
              .redirectErrorStream(true)
              .redirectOutput(folder.resolve("starts.log").toFile())
              .start();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What a process of the application needs to find the nodes, this one first. */
  Map<String, String> settings(int first) {
    String places =
        IntStream.range(0, NODES)
            .map(i -> (first + i) % NODES)
            .mapToObj(i -> "127.0.0.1:" + port(i))
            .collect(Collectors.joining(","));
    Map<String, String> settings = new LinkedHashMap<>();
    settings.put(
        "GOTERA_DATABASE_URL",
        // whoever reads waits for what was written elsewhere before
        "jdbc:mariadb:sequential://" + places + "/gotera?sessionVariables=wsrep_sync_wait=7");
    settings.put("GOTERA_DATABASE_PASSWORD", PASSWORD);
    return settings;
  }

  private static int port(int node) {
    return PORT + node + 1;
  }

  Connection connect(int node) throws SQLException {
    return DriverManager.getConnection(
        "jdbc:mariadb://127.0.0.1:"
            + port(node)
            + "/gotera?sessionVariables=wsrep_sync_wait=7&connectTimeout=2000",
        "gotera",
        PASSWORD);
  }

  /** A value of a node's status; empty while it does not answer. */
  private String status(int node, String name) {
    try (Connection connection =
            node == 0 && name.equals("wsrep_ready") ? asRoot() : connect(node);
        Statement sql = connection.createStatement();
        ResultSet row = sql.executeQuery("show status like '" + name + "'")) {
      return row.next() ? row.getString(2) : "";
    } catch (SQLException e) {
      return "";
    }
  }

  /** Waits until so many nodes are one. */
  private void whole(int size) {
    for (int i = 0; i < size; i++) {
      int node = i;
      until(
          "node " + (node + 1) + " of " + size,
          () ->
              status(node, "wsrep_local_state_comment").equals("Synced")
                  && status(node, "wsrep_cluster_size").equals(Integer.toString(size)));
    }
  }

  /** Kills a node without warning. */
  void kill(int node) {
    nodes[node].descendants().forEach(ProcessHandle::destroyForcibly);
    nodes[node].destroyForcibly();
    try {
      nodes[node].waitFor();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  /** Starts one that was killed; it takes what it missed from the others. */
  void again(int node) {
    begin(node, false);
    whole(NODES);
  }

  private void until(String what, BooleanSupplier happened) {
    long begun = System.nanoTime();
    while (!happened.getAsBoolean()) {
      for (Process node : nodes) {
        if (node != null && !node.isAlive()) {
          throw new AssertionError("a node ended: " + what + ", see its log in " + folder);
        }
      }
      if (System.nanoTime() - begun > TimeUnit.SECONDS.toNanos(180)) {
        throw new AssertionError("not within three minutes: " + what);
      }
      Server.pause(100);
    }
  }

  @Override
  public void close() {
    for (int i = 0; i < NODES; i++) {
      if (nodes[i] != null) {
        kill(i);
      }
    }
  }
}
