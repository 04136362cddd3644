package gotera.web.pressure.trace;

/**
 * From where to where the readings of a test go.
 *
 * @param first time of the first on the test's clock (s)
 * @param last time of the last (s)
 * @param lastGauge gauge pressure of the last (kPa)
 */
public record Span(double first, double last, double lastGauge) {}
