package gotera.formats;

import gotera.circuit.Branch;
import gotera.word.Worded;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads and writes branches of a circuit by their words. */
final class BranchesJson {
  private BranchesJson() {}

  static Set<Branch> read(JsonMembers m, String name) {
    Set<Branch> branches = EnumSet.noneOf(Branch.class);
    for (String word : m.texts(name)) {
      Optional<String> known = m.known(name, word, Worded.words(Branch.class), "a branch");
      known.flatMap(w -> Worded.of(Branch.class, w)).ifPresent(branches::add);
    }
    return branches;
  }

  static void write(ObjectNode n, String name, Set<Branch> branches) {
    if (!branches.isEmpty()) {
      ArrayNode words = n.putArray(name);
      branches.stream().sorted().forEach(b -> words.add(b.word()));
    }
  }
}
