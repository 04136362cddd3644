package gotera.web.pressure.live;

import gotera.web.pressure.VerdictWords;
import gotera.web.pressure.WritesByItself.Writer;
import java.util.List;
import java.util.Optional;

/**
 * Exactly what the page shows that is read from afar.
 *
 * @param bench address of the bench
 * @param address of the test
 * @param title name of the test
 * @param state pumping, holding or finished
 * @param valveShutMillis when the valve was shut (epoch ms); 0 before
 * @param clock time since the valve was shut
 * @param gauge what was read last
 * @param unit its unit
 * @param said the verdict so far, or for good where the test is finished
 * @param claim what is claimed already
 * @param toGo how long it must go on, in words
 * @param found what would be found by now, in words
 * @param curve the curve
 * @param narrow the curve for a phone
 * @param signals words of what is to be heard now
 * @param writer the gauge that writes
 * @param tones every signal, to be switched
 */
record LivePage(
    String bench,
    String address,
    String title,
    String state,
    long valveShutMillis,
    String clock,
    String gauge,
    String unit,
    VerdictWords.Said said,
    Optional<String> claim,
    String toGo,
    String found,
    String curve,
    String narrow,
    String signals,
    Optional<Writer> writer,
    List<Tone> tones) {
  /** A signal and its name. */
  record Tone(String word, String name) {}
}
