package gotera.web.fill;

import gotera.web.figures.Entry;

/**
 * Anything typed on the page.
 *
 * @param what kind of entry
 * @param fillVolume how much
 * @param poured strength of what went in, percent
 * @param wanted strength wanted, percent
 * @param with strength of what is poured in to restore, percent
 * @param undrained what cannot be drained
 * @param freezes what a refractometer reads, °C
 * @param glycol its scale
 */
record FillForm(
    String what,
    String fillVolume,
    String poured,
    String wanted,
    String with,
    String undrained,
    String freezes,
    String glycol) {
  /** Everything absent is empty. */
  FillForm {
    what = Entry.text(what, 20);
    fillVolume = Entry.text(fillVolume, 40);
    poured = Entry.text(poured, 20);
    wanted = Entry.text(wanted, 20);
    with = Entry.text(with, 20);
    undrained = Entry.text(undrained, 40);
    freezes = Entry.text(freezes, 20);
    glycol = Entry.text(glycol, 20);
  }
}
