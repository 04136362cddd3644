package gotera.web.decide;

import gotera.web.decide.QuoteService.Price;
import gotera.web.figures.Figures;
import gotera.web.words.Words;
import org.springframework.stereotype.Component;

/** Prices in words; without a currency they are hours of labour. */
@Component
public class Money {
  private static final double WHOLE_FROM = 20;

  private final Words words;

  Money(Words words) {
    this.words = words;
  }

  /** An amount, or hours where there is no currency. */
  public String say(double amount, String currency) {
    if (currency.isEmpty()) {
      return words.say("money.hours", Figures.fixed(amount, 1));
    }
    return Figures.fixed(amount, amount < WHOLE_FROM && amount != Math.rint(amount) ? 2 : 0)
        + "\u00a0"
        + currency;
  }

  /** What a line costs: on average, and between which bounds. */
  public String say(Price p) {
    if (p.expected().isEmpty()) {
      return words.say("money.unknown");
    }
    String expected = say(p.expected().getAsDouble(), p.currency());
    String lowest = say(p.lowest().orElse(0), p.currency());
    String highest = say(p.highest().orElse(0), p.currency());
    return lowest.equals(highest)
        ? expected
        : words.say("money.between", expected, lowest, highest);
  }
}
