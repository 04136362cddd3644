package gotera.web.decide;

import gotera.web.evidence.SuspectsService.Claim;
import java.util.List;
import java.util.Optional;

/**
 * What the page Decide shows.
 *
 * @param claim the likeliest place with what speaks for and against it
 * @param found whether a place is found: only then a repair is offered, else it is a try
 * @param untested what was not tested, in words
 * @param meanings what findings mean and do not, in words
 * @param rules rules of the trade that apply
 * @param ways the ways, the cheapest to expect first
 * @param neighbours what could be renewed while it is open
 * @param besides what is no leak and is to be done all the same
 * @param unpriced names of repairs whose parts have no price
 * @param lines the customer's sheet
 * @param tax the tax, in words; empty where there is none
 */
record DecidePage(
    Optional<Claim> claim,
    boolean found,
    List<String> untested,
    List<String> meanings,
    List<String> rules,
    List<Way> ways,
    List<Choice> neighbours,
    List<Choice> besides,
    List<String> unpriced,
    List<LineShown> lines,
    String tax) {

  /**
   * A way.
   *
   * @param name its steps in words
   * @param why how it differs
   * @param steps its steps
   * @param ends after which step the leak is gone, how often
   * @param cost on average
   * @param range from the first step alone to all of them
   */
  record Way(
      String name, String why, List<StepShown> steps, String ends, String cost, String range) {}

  /**
   * A step of a way.
   *
   * @param name what is done at once
   * @param costs its price
   * @param parts when its parts are there, and what the shop noted of them; empty where unknown
   * @param reached whether it mostly comes to it
   */
  record StepShown(String name, String costs, String parts, boolean reached) {}

  /** A repair that could be done while it is open. */
  record Choice(String name, String at, String cost) {}

  /**
   * A line of the sheet.
   *
   * @param id its identifier
   * @param kind word of its kind
   * @param what its words
   * @param detail what belongs to it
   * @param price in words
   * @param decision word of the decision
   * @param said decision with name and day, in words
   */
  record LineShown(
      String id,
      String kind,
      String what,
      String detail,
      String price,
      String decision,
      String said) {}
}
