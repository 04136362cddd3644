package gotera.testkit.notices;

import java.util.List;

/**
 * Something of others that is shipped.
 *
 * @param group who publishes it; empty where the registry has no groups
 * @param name its name there
 * @param version its version
 * @param licences identifiers (SPDX) or names of its licences; one of them is enough
 * @param texts texts that came with it: licences and notices
 */
record Part(String group, String name, String version, List<String> licences, List<String> texts) {
  Part {
    licences = List.copyOf(licences);
    texts = List.copyOf(texts);
  }

  /** As people name it. */
  String title() {
    return (group.isEmpty() ? "" : group + ":") + name + " " + version;
  }
}
