package gotera.web.pressure.hold;

import gotera.web.pressure.VerdictWords;
import gotera.web.pressure.compliance.ComplianceWords;
import java.util.List;
import java.util.Optional;

/**
 * Exactly what the bench of a pressure test shows.
 *
 * @param address where its forms go
 * @param title its name
 * @param subtitle what is known about it, in one line
 * @param state pumping, holding or finished
 * @param valveShutMillis when the valve was shut (epoch ms), for the running clock; 0 before
 * @param clock time since the valve was shut, or since the start
 * @param gaugeNow last reading
 * @param unit unit of the gauge field
 * @param said the verdict
 * @param running whether the hold runs and no verdict is final
 * @param wide the curve for a bench
 * @param narrow the curve for a phone
 * @param disturbances what was left out of the curve, and why
 * @param pad figures on the reading buttons
 * @param overLimit a loud word where the gauge is above the limit
 * @param windowChosen whether somebody chose the part of the curve that is used
 * @param compliance what is known of air and hoses, and how
 * @param table the readings as a table
 * @param events what was done
 * @param readings how many readings count
 * @param figures every figure with where it comes from
 * @param budget the uncertainty, largest first
 * @param makerRule what the maker's rule says here
 * @param limit the limit of the test
 * @param deciders answers that would decide it
 * @param remedies what by itself would settle a test that proved nothing
 * @param otherwise what this version of the computation would say where an earlier one said
 *     something else
 * @param beside what else the rate means: hot, in coolant, against the complaint
 * @param assumed what was assumed
 * @param reTest whether this is the test after a repair
 */
record PressurePage(
    String address,
    String title,
    String subtitle,
    String state,
    long valveShutMillis,
    String clock,
    String gaugeNow,
    String unit,
    VerdictWords.Said said,
    boolean running,
    String wide,
    String narrow,
    List<String> disturbances,
    Pad pad,
    Optional<String> overLimit,
    boolean windowChosen,
    ComplianceWords.Shown compliance,
    List<Row> table,
    List<EventRow> events,
    int readings,
    List<Origin> figures,
    List<Share> budget,
    Optional<String> makerRule,
    String limit,
    List<DeciderShown> deciders,
    List<String> remedies,
    String otherwise,
    List<Origin> beside,
    List<String> assumed,
    boolean reTest) {

  /** What the buttons would enter; empty before the first reading. */
  record Pad(boolean any, String same, String quarter, String half, boolean needle) {}

  /**
   * A reading in the table.
   *
   * @param place where it is kept
   * @param time when, as shown
   * @param gauge what the gauge showed
   * @param temperature the temperature, if it was read
   * @param atField when, for a field
   * @param gaugeField the gauge, for a field
   * @param temperatureField the temperature, for a field
   */
  record Row(
      String place,
      String time,
      String gauge,
      String temperature,
      String atField,
      String gaugeField,
      String temperatureField) {}

  /** An event in the table. */
  record EventRow(String id, String time, String what) {}

  /** A catch. */
  record CaughtRow(String id, String said) {}

  /**
   * What would decide the test.
   *
   * @param asked what would have to be answered so
   * @param then the verdict then
   * @param answer its word, where one tap answers it; else empty
   */
  record DeciderShown(String asked, String then, String answer) {}

  /** A figure and where it comes from. */
  record Origin(String name, String value, String from) {}

  /** A contribution to the uncertainty. */
  record Share(String name, String value, String advice, int percent) {}
}
