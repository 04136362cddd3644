package gotera.testkit.house;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;

/**
 * Numbers of the trade: those with a fraction or an exponent that do more than count units, and
 * whole ones that are a quantity by the unit they are documented with.
 */
public final class TradeNumbers {
  /** Zero, halves for rounding, and how units and time are counted. */
  private static final Set<Double> OF_NO_TRADE =
      Set.of(0.0, 0.5, 100.0, 1000.0, 60_000.0, 1e-9, 1e-6, 1e4, 1e9);

  /** Where figures are laid out, pictures squeezed, and the demonstration's data invented. */
  private static final List<String> ELSEWHERE = List.of("/demo/", "/figures/Figures", "/photo/");

  /** Where minutes are those of signing in, and a vehicle is invented. */
  private static final List<String> OF_THE_OFFICE = List.of("/account/", "/gauge/StandIns");

  private TradeNumbers() {}

  /** Where they stand, with the number. */
  public static List<String> in(Collection<SourceFile> files) {
    List<String> found = new ArrayList<>();
    for (SourceFile file : files) {
      String path = file.path().toString().replace('\\', '/');
      if (ELSEWHERE.stream().noneMatch(path::contains)) {
        boolean office = OF_THE_OFFICE.stream().anyMatch(path::contains);
        file.numbers().stream()
            .filter(n -> n.quantity() ? !office : !OF_NO_TRADE.contains(n.value()))
            .forEach(n -> found.add(path + ":" + n.line() + " " + n.text()));
      }
    }
    return found;
  }
}
