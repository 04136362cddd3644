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
 */
record SoFar(
    String headline,
    String kind,
    String shape,
    String detail,
    String bar,
    Optional<String> balance,
    List<Site> sites) {

  /** A site. */
  record Site(String name, String flow, String address) {}
}
