package gotera.formats;

import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import java.util.HashMap;
import java.util.Map;

/** Writes a trace; {@link TraceCsv} reads the same readings back. */
public final class TraceWriter {
  private TraceWriter() {}

  /**
   * A trace as CSV; an event stands at the first reading that is not before it and has none yet;
   * where no reading is left it is left out.
   */
  public static String write(Trace trace) {
    Map<Integer, String> events = new HashMap<>();
    for (TraceEvent event : trace.events()) {
      int row = 0;
      while (row < trace.size() - 1
          && (trace.seconds(row) < event.seconds() || events.containsKey(row))) {
        row++;
      }
      events.putIfAbsent(row, word(event));
    }
    StringBuilder csv = new StringBuilder("elapsed_s,gauge_kpa,coolant_c,event\r\n");
    for (int i = 0; i < trace.size(); i++) {
      csv.append(trace.seconds(i)).append(',').append(trace.gauge(i)).append(',');
      if (trace.hasTemperature(i)) {
        csv.append(trace.celsius(i));
      }
      csv.append(',').append(events.getOrDefault(i, "")).append("\r\n");
    }
    return csv.toString();
  }

  private static String word(TraceEvent event) {
    return event.kind().word()
        + (event.millilitres().isPresent() ? ":" + event.millilitres().getAsDouble() : "");
  }
}
