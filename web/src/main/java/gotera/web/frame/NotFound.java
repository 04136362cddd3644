package gotera.web.frame;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** What was asked for is not here, or not for this account. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public class NotFound extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** Says what was asked for, for the log. */
  public NotFound(String what) {
    super(what);
  }
}
