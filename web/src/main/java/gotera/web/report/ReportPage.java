package gotera.web.report;

import java.util.List;

/**
 * One page in plain words.
 *
 * @param head what stands above it
 * @param vehicle the vehicle, in words
 * @param facts reason, dates and ending, each as a sentence
 * @param result what it comes to, in a few words
 * @param detail the figures behind it, in plain words
 * @param kind the verdict it amounts to, as a word
 * @param shape the same as a shape
 * @param sections what was told, measured, found, done, and what is left
 * @param curve before and after as a drawing; empty where there is none
 * @param signed who took the vehicle back
 * @param foot what the reader should know of the figures
 */
record ReportPage(
    Head head,
    String vehicle,
    List<String> facts,
    String result,
    String detail,
    String kind,
    String shape,
    List<Section> sections,
    String curve,
    List<Signed> signed,
    List<String> foot) {
  /** The workshop, line by line, and its paper. */
  record Head(String name, List<String> address, String paper) {}

  /** A heading and what stands under it. */
  record Section(String title, List<String> lines) {}

  /** A signature: the name with its day, and the strokes as the path of a drawing. */
  record Signed(String name, String drawing) {}
}
