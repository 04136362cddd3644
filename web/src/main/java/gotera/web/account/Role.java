package gotera.web.account;

import java.util.Locale;

/** What an account may do. */
public enum Role {
  /** Works at the vehicle: everything about a job. */
  TECHNICIAN,
  /** Leads the workshop: everything about a job, and the accounts. */
  LEAD,
  /** Talks to the customer: reads jobs, writes intake, hands out reports, no measurements. */
  SERVICE_DESK;

  /** The word for it in forms and messages. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  static Role of(String word) {
    return valueOf(word.toUpperCase(Locale.ROOT).replace('-', '_'));
  }
}
