package gotera.web.account;

import gotera.word.Worded;

/** What an account may do. */
public enum Role implements Worded {
  /** Works at the vehicle: everything about a job. */
  TECHNICIAN,
  /** Leads the workshop: everything about a job, and the accounts. */
  LEAD,
  /** Talks to the customer: reads jobs, writes intake, hands out reports, no measurements. */
  SERVICE_DESK;

  static Role of(String word) {
    return Worded.of(Role.class, word)
        .orElseThrow(() -> new IllegalArgumentException("no role " + word));
  }
}
