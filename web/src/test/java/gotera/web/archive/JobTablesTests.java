package gotera.web.archive;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

class JobTablesTests {
  private static final Pattern MADE = Pattern.compile("(?i)create table (\\w+)");

  /** A table that nobody thought of would be missing from every job's file. */
  @Test
  void everyTableIsOfAJobOrSaidNotToBe() throws IOException {
    Set<String> made = new HashSet<>(Set.of("flyway_schema_history"));
    for (Resource migration :
        new PathMatchingResourcePatternResolver().getResources("classpath:db/migration/*.sql")) {
      Matcher m = MADE.matcher(migration.getContentAsString(StandardCharsets.UTF_8));
      while (m.find()) {
        made.add(m.group(1));
      }
    }
    Set<String> known =
        JobTables.ALL.stream().map(JobTables.Table::name).collect(Collectors.toSet());
    assertThat(known).doesNotContainAnyElementsOf(JobTables.NOT_OF_A_JOB);
    known.addAll(JobTables.NOT_OF_A_JOB);
    assertThat(made).isEqualTo(known);
  }
}
