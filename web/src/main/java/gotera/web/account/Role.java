package gotera.web.account;

/** What an account may do. */
public enum Role {
  /** Works at the vehicle: everything about a job. */
  TECHNICIAN,
  /** Leads the workshop: everything about a job. */
  LEAD,
  /** Talks to the customer: reads jobs, writes intake, no measurements. */
  SERVICE_DESK
}
