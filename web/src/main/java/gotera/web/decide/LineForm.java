package gotera.web.decide;

import gotera.range.Range;
import gotera.web.decide.QuoteService.Price;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A line for the sheet, as typed.
 *
 * @param what what it is about
 * @param price what it costs
 */
record LineForm(String what, String price) {
  static final LineForm EMPTY = new LineForm("", "");

  /** Everything absent is empty. */
  LineForm {
    what = Entry.text(what, 200);
    price = Entry.text(price, 20);
  }

  Optional<Price> read(FieldProblems problems, String currency) {
    if (what.isEmpty()) {
      problems.add("what", "decide.what-missing");
    }
    OptionalDouble amount = problems.numberIfTyped("price", price, Range.PRICE);
    return problems.none()
        ? Optional.of(new Price(amount, amount, amount, currency))
        : Optional.empty();
  }
}
