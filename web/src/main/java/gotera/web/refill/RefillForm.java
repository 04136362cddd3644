package gotera.web.refill;

import gotera.coolant.Chemistry;
import gotera.coolant.FreezingPoint.Glycol;
import gotera.refill.FillSteps.School;
import gotera.said.RefillSaid.Source;
import gotera.web.figures.Entry;
import gotera.word.Worded;
import java.util.List;

/**
 * What is typed or chosen at a refill.
 *
 * @param in chemistry of what is in
 * @param source from where that is known
 * @param goesIn chemistry of what goes in
 * @param wanted strength wanted (%)
 * @param glycol which glycol
 * @param jug size of a jug
 * @param bottle size of a bottle of concentrate
 * @param price of a litre of concentrate
 * @param premix price of a litre ready to pour
 * @param vacuum what the gauge shows below the air around
 * @param gapLeft the gap of air that belongs into tank or neck
 */
record RefillForm(
    String in,
    String source,
    String goesIn,
    String wanted,
    String glycol,
    String jug,
    String bottle,
    String price,
    String premix,
    String vacuum,
    String gapLeft) {
  static final List<String> GLYCOLS = Worded.words(Glycol.class);
  static final List<String> SOURCES = Worded.words(Source.class);
  static final List<String> KINDS = Worded.words(Chemistry.class);
  static final List<String> SCHOOLS = Worded.words(School.class);

  /** Everything absent is empty. */
  RefillForm {
    in = Entry.text(in, 20);
    source = Entry.choice(source, SOURCES);
    goesIn = Entry.text(goesIn, 20);
    wanted = Entry.text(wanted, 20);
    glycol = Entry.choice(glycol, GLYCOLS);
    jug = Entry.text(jug, 20);
    bottle = Entry.text(bottle, 20);
    price = Entry.text(price, 20);
    premix = Entry.text(premix, 20);
    vacuum = Entry.text(vacuum, 20);
    gapLeft = Entry.text(gapLeft, 20);
  }
}
