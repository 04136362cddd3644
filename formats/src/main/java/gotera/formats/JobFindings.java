package gotera.formats;

import gotera.evidence.Diagnosis;
import gotera.evidence.PlaceFacts;
import java.util.List;

/**
 * What a job file says that suspects are ranked by.
 *
 * @param places places this vehicle has
 * @param found what was found
 * @param flags rules of the trade that apply, by their words
 */
public record JobFindings(List<PlaceFacts> places, Diagnosis.Found found, List<String> flags) {}
