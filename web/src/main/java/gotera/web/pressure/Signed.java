package gotera.web.pressure;

import java.util.UUID;

/** Tells whether something of a job was given out of the house: then its tests stay as they are. */
public interface Signed {
  /** Whether it was. */
  boolean signed(UUID jobId);
}
