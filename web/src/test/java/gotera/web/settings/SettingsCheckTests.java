package gotera.web.settings;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.web.settings.SettingsCheck.Setting;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.core.env.MapPropertySource;
import org.springframework.core.env.StandardEnvironment;

class SettingsCheckTests {
  private static final Map<String, Object> RIGHT =
      Map.of(
          "gotera.database.url", "jdbc:mariadb://127.0.0.1:3306/gotera",
          "gotera.database.user", "gotera",
          "gotera.limits.sign-ins-per-minute", "20",
          "gotera.limits.entries-per-minute", "600",
          "gotera.limits.uploads-per-minute", "30",
          "gotera.limits.batches-per-minute", "900",
          "server.port", "8080",
          "server.address", "127.0.0.1");

  @Test
  void whatIsRightHasNoFault() {
    assertThat(faults(Map.of())).isEmpty();
  }

  @Test
  void allFaultsAreNamedTogether() {
    assertThat(
            faults(
                Map.of(
                    "gotera.database.url", "jdbc:other://nowhere",
                    "server.port", "99999",
                    "server.address", "192.0.2.1",
                    "gotera.first-account.code", "short",
                    "gotera.limits.entries-per-minute", "none",
                    "gotera.workshop.time-zone", "Nowhere/Valley",
                    "gotera.workshop.altitude-metres", "9000",
                    "gotera.databse.user", "typo")))
        .hasSize(8)
        .anyMatch(f -> f.contains("jdbc:other://nowhere") && f.contains("jdbc:mariadb://HOST"))
        .anyMatch(f -> f.contains("server.port is \"99999\""))
        .anyMatch(f -> f.contains("192.0.2.1"))
        .anyMatch(f -> f.contains("gotera.databse.user is no setting"))
        .noneMatch(f -> f.contains("short"));
  }

  @Test
  void theNodesOfAClusterAreAnAddress() {
    for (String address :
        List.of(
            "jdbc:mariadb:sequential://10.0.0.1:3306,10.0.0.2:3306,10.0.0.3:3306/gotera",
            "jdbc:mariadb:loadbalance://10.0.0.1:3306,10.0.0.2:3306/gotera?sslMode=verify-full")) {
      assertThat(faults(Map.of("gotera.database.url", address))).as(address).isEmpty();
    }
    for (String none :
        List.of("jdbc:mariadb:sequential://10.0.0.1/gotera", "jdbc:mariadb://a:1,/gotera")) {
      assertThat(faults(Map.of("gotera.database.url", none))).as(none).hasSize(1);
    }
  }

  @Test
  void everySettingIsDocumented() throws IOException {
    String documented = Files.readString(Path.of("..", "docs", "configuration.md"));
    for (Setting setting : SettingsCheck.SETTINGS) {
      assertThat(documented).contains("`" + setting.name() + "`").contains(setting.expected());
    }
  }

  private static List<String> faults(Map<String, Object> settings) {
    StandardEnvironment environment = new StandardEnvironment();
    environment.getPropertySources().addFirst(new MapPropertySource("right", RIGHT));
    environment.getPropertySources().addFirst(new MapPropertySource("here", settings));
    return SettingsCheck.faults(environment);
  }
}
