package gotera.web.work;

import gotera.word.Worded;

/** What a line of the sheet of time and cost is about. */
enum WorkKind implements Worded {
  LABOUR,
  PARTS,
  FLUID,
  /** Stays in the shop: told apart from what the job costs. */
  TOOL
}
