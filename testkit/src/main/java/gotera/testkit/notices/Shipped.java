package gotera.testkit.notices;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;

/** Holds the list of parts against what is really in the packed application. */
final class Shipped {
  private static final String LIBRARIES = "BOOT-INF/lib/";

  /** Libraries that are empty and only name others: the package leaves them out. */
  private static final String ONLY_NAMES = "spring-boot-starter";

  private Shipped() {}

  /** Fails where a library is shipped and not listed, or listed and not shipped. */
  static void check(Path list, Path application) throws IOException {
    Set<String> listed =
        Parts.libraries(list, Path.of("nowhere")).stream()
            .filter(p -> !p.name().startsWith(ONLY_NAMES))
            .map(p -> p.name() + "-" + p.version() + ".jar")
            .collect(Collectors.toCollection(TreeSet::new));
    Set<String> shipped = new TreeSet<>();
    try (ZipFile zip = new ZipFile(application.toFile())) {
      zip.stream()
          .map(ZipEntry::getName)
          .filter(n -> n.startsWith(LIBRARIES) && n.endsWith(".jar"))
          .map(n -> n.substring(LIBRARIES.length()))
          .filter(n -> !n.startsWith("gotera-"))
          .forEach(shipped::add);
    }
    Set<String> notListed = new TreeSet<>(shipped);
    notListed.removeAll(listed);
    Set<String> notShipped = new TreeSet<>(listed);
    notShipped.removeAll(shipped);
    if (!notListed.isEmpty() || !notShipped.isEmpty()) {
      throw new IOException(
          "shipped and not listed: " + notListed + "; listed and not shipped: " + notShipped);
    }
  }
}
