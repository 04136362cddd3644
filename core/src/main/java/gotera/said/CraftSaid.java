package gotera.said;

import gotera.repair.CraftCheck;

/** What was checked while it was put together. */
public sealed interface CraftSaid extends Said {
  /** Code of the joint. */
  String joint();

  /** A check of the craft was made at a joint. */
  record Made(String joint, CraftCheck check) implements CraftSaid {}

  /** The new part was held beside the old one, and fits or does not. */
  record Compared(String joint, boolean fits) implements CraftSaid {}
}
