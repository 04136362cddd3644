package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * An acknowledged reading is durable, whatever is killed. One kill of each here; twenty by
 * bench/kill-drill.
 */
class KillDrillTests {
  private static final int KILLS = Integer.getInteger("gotera.kills", 1);
  private static final long SEED = Long.getLong("gotera.seed", 4711);

  @Test
  void whatWasAcknowledgedIsStored() throws Exception {
    Path folder = Path.of("target", "kill-drill").toAbsolutePath();
    Script.run("database", "stop", folder.toString());
    Script.delete(folder);
    try (Server server =
        Server.supervised(
            folder,
            Map.of(
                "GOTERA_FIRST_ACCOUNT_CODE",
                Server.CODE,
                "GOTERA_LIMITS_ENTRIES_PER_MINUTE",
                "1000000"))) {
      Http technician = server.firstAccount();
      KillDrill.Count count = new KillDrill(server, folder, SEED).run(technician, KILLS);
      System.out.println("kill drill, seed " + SEED + ": " + count);
      assertThat(count.wrong()).isEmpty();
      assertThat(count.acknowledged()).isGreaterThan(2 * KILLS * 8);
      assertThat(count.unanswered() + count.refused()).as("the kills were felt").isPositive();
      assertThat(count.stored()).as("stored = acknowledged").isEqualTo(count.acknowledged());
      assertThat(technician.get("/account").status())
          .as("the session outlived every kill")
          .isEqualTo(200);
    }
  }
}
