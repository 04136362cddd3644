package gotera.web.evidence;

import java.util.List;
import java.util.Optional;

/**
 * What the panel shows: how much the job loses, how much of that was found.
 *
 * @param headline the figure, or what is known instead
 * @param kind word of the verdict, for the style
 * @param shape the verdict's shape as SVG
 * @param detail the pressure it is for, and the interval
 * @param bar the balance as SVG; empty where there is no rate to balance
 * @param balance what the balance says
 * @param sites the sites found, with their share
 * @param before what was found before the repair
 * @param suspects what may still leak, the likeliest first
 * @param flags rules of the trade that apply
 * @param next the check that would tell most per minute
 */
record SoFar(
    String headline,
    String kind,
    String shape,
    String detail,
    String bar,
    Optional<String> balance,
    List<Site> sites,
    Optional<String> before,
    List<SuspectShown> suspects,
    List<String> flags,
    Optional<NextCheck> next) {

  /**
   * A place under suspicion.
   *
   * @param name its name
   * @param percent probability that it leaks, in percent
   * @param speaksFor what speaks for it
   * @param against what speaks against it
   * @param address where it is looked at
   */
  record SuspectShown(String name, int percent, String speaksFor, String against, String address) {}

  /**
   * A check to make next.
   *
   * @param name what to do
   * @param tells its minutes and what it would settle
   * @param address where it is done
   */
  record NextCheck(String name, String tells, String address) {}

  /** A site. */
  record Site(String name, String flow, String address) {}
}
