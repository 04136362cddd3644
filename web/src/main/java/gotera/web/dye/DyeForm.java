package gotera.web.dye;

import gotera.said.DyeSaid.Match;
import gotera.web.figures.Entry;
import gotera.word.Worded;
import java.util.List;

/**
 * Anything typed on the page.
 *
 * @param joint joint being scanned
 * @param size size of its glow
 * @param note anything else
 * @param dose dye put in
 * @param compatible whether it matches the coolant
 * @param ran minutes it ran
 */
record DyeForm(String joint, String size, String note, String dose, String compatible, String ran) {
  static final List<String> COMPATIBLE = Worded.words(Match.class);

  DyeForm {
    joint = Entry.text(joint, 80);
    size = Entry.text(size, 20);
    note = Entry.text(note, 2000);
    dose = Entry.text(dose, 20);
    compatible = Entry.text(compatible, 20);
    ran = Entry.text(ran, 20);
  }

  static DyeForm at(String joint) {
    return new DyeForm(joint, "", "", "", "", "");
  }
}
