package gotera.web.bubble;

import gotera.web.guide.GuideService.StepLine;
import java.util.List;

/**
 * What the page of the funnel shows.
 *
 * @param setUp whether the funnel is known
 * @param says word of what it says so far
 * @param counts whether that counts
 * @param figures level, bubbles, drift and time in words
 * @param ended whether the watch was ended
 * @param lines the looks in words, the newest first
 */
record FunnelPage(
    boolean setUp,
    String says,
    boolean counts,
    List<String> figures,
    boolean ended,
    List<StepLine> lines) {}
