package gotera.web.storage;

import java.util.Map;
import java.util.Objects;
import org.flywaydb.core.Flyway;

/**
 * Brings a schema up to date by the application's own migrations, without the application: a backup
 * that is restored while it runs. Takes the database from the environment, as the application does.
 */
public final class BringUpToDate {
  private BringUpToDate() {}

  /** Ends with an exception, and so with a status that is not 0, where it cannot be done. */
  public static void main(String[] arguments) {
    Map<String, String> set = System.getenv();
    Flyway.configure()
        .dataSource(
            Objects.requireNonNull(set.get("GOTERA_DATABASE_URL"), "GOTERA_DATABASE_URL"),
            set.getOrDefault("GOTERA_DATABASE_USER", "gotera"),
            set.getOrDefault("GOTERA_DATABASE_PASSWORD", ""))
        .load()
        .migrate();
  }
}
