package gotera.uncertainty;

import java.util.Comparator;
import java.util.List;

/**
 * Independent contributions to a standard uncertainty, added in quadrature (JCGM 100:2008, 5.1.2),
 * largest first.
 *
 * @param contributions the contributions
 */
public record Budget(List<Contribution> contributions) {
  /** Sorts the contributions, largest first. */
  public Budget {
    contributions =
        contributions.stream()
            .sorted(Comparator.comparingDouble(Contribution::u).reversed())
            .toList();
  }

  /** Combined standard uncertainty, in the unit of the contributions. */
  public double total() {
    return Math.sqrt(contributions.stream().mapToDouble(c -> c.u() * c.u()).sum());
  }

  /** What one source contributes; zero if it is not in the budget. */
  public double of(Contribution.Source source) {
    return contributions.stream()
        .filter(c -> c.source() == source)
        .mapToDouble(Contribution::u)
        .sum();
  }
}
