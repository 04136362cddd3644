package gotera.web.decide;

import gotera.web.decide.QuoteService.Price;
import gotera.web.figures.Figures;
import gotera.web.words.Words;
import org.springframework.stereotype.Component;

/** Prices in words; without a currency they are hours of labour. */
@Component
public class Money {
  /** Of what is only expected, amounts from here on are told without cents. */
  private static final double WHOLE_FROM = 20;

  private final Words words;

  Money(Words words) {
    this.words = words;
  }

  /** An amount to the cent, or hours where there is no currency. */
  public String say(double amount, String currency) {
    return say(amount, currency, Math.rint(100 * amount) % 100 != 0);
  }

  private String say(double amount, String currency, boolean cents) {
    return currency.isEmpty()
        ? words.say("money.hours", Figures.fixed(amount, 1))
        : Figures.fixed(amount, cents ? 2 : 0) + "\u00a0" + currency;
  }

  private String about(double amount, String currency) {
    return say(amount, currency, amount < WHOLE_FROM && amount != Math.rint(amount));
  }

  /** What a line costs: on average, and between which bounds. */
  public String say(Price p) {
    if (p.expected().isEmpty()) {
      return words.say("money.unknown");
    }
    double expected = p.expected().getAsDouble();
    String lowest = about(p.lowest().orElse(0), p.currency());
    String highest = about(p.highest().orElse(0), p.currency());
    return lowest.equals(highest)
        ? say(expected, p.currency())
        : words.say("money.between", about(expected, p.currency()), lowest, highest);
  }
}
