package gotera.web.cap;

import gotera.cap.TestLimit;
import gotera.quantity.GaugePressure;

/**
 * What a job knows of its cap.
 *
 * @param stamp what is stamped on it, as typed
 * @param rated its rating
 * @param limit the limit it sets for a test
 * @param seals state of its seals
 */
public record CapFacts(String stamp, GaugePressure rated, TestLimit limit, String seals) {}
