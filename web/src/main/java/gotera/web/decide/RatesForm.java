package gotera.web.decide;

import gotera.range.Range;
import gotera.web.decide.PriceService.Rates;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The shop's rates, as typed.
 *
 * @param currency three letters
 * @param hour an hour of labour
 * @param retest hours of a re-test
 * @param comeBack what a come-back costs
 * @param tax percent of tax
 */
record RatesForm(String currency, String hour, String retest, String comeBack, String tax) {
  /** Everything absent is empty. */
  RatesForm {
    currency = Entry.text(currency, 10);
    hour = Entry.text(hour, 20);
    retest = Entry.text(retest, 20);
    comeBack = Entry.text(comeBack, 20);
    tax = Entry.text(tax, 20);
  }

  static RatesForm of(Rates rates) {
    return rates.currency().isEmpty()
        ? new RatesForm("", "", Figures.full(rates.retestHours()), "", "0")
        : new RatesForm(
            rates.currency(),
            Figures.full(rates.hour()),
            Figures.full(rates.retestHours()),
            Figures.full(rates.comeBack()),
            Figures.full(rates.taxPercent()));
  }

  Optional<Rates> read(FieldProblems problems) {
    String letters = currency.toUpperCase(Locale.ROOT);
    if (!letters.matches("[A-Z]{3}")) {
      problems.add("currency", "prices.currency-wrong");
    }
    OptionalDouble rate = problems.number("hour", hour, Range.PRICE);
    OptionalDouble again = problems.number("retest", retest, Range.LABOUR);
    OptionalDouble back = problems.number("comeBack", comeBack, Range.PRICE);
    OptionalDouble percent = problems.number("tax", tax, Range.TAX);
    return problems.none()
        ? Optional.of(
            new Rates(
                rate.getAsDouble(),
                again.getAsDouble(),
                back.getAsDouble(),
                letters,
                percent.getAsDouble()))
        : Optional.empty();
  }
}
