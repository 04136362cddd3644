package gotera.web.security;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;

/**
 * Who is answered before all was sent is not waited for, whatever the answer is: the server would
 * read the rest of the body to keep the connection, and a body that never comes would keep its
 * thread. A body that is only a moment behind its head is waited for, so that its sender reads the
 * answer. The connection is closed with the answer, so what comes late is never taken for the next
 * request.
 */
final class UnreadBodies extends ValveBase {
  /** How long a body may be behind its head (our judgement). */
  private static final Duration BEHIND = Duration.ofMillis(250);

  private static final Duration STEP = Duration.ofMillis(10);

  UnreadBodies() {
    super(true);
  }

  @Override
  public void invoke(Request request, Response response) throws IOException, ServletException {
    getNext().invoke(request, response);
    if (isMissing(request.getCoyoteRequest())) {
      if (!response.isCommitted()) {
        response.setHeader("Connection", "close");
        // what is not sent yet would be answered as an error of ours by the next line
        response.finishResponse();
      }
      request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null);
    }
  }

  /**
   * Whether more is announced than was read or has come; one without a length has no "has come".
   */
  private static boolean isMissing(org.apache.coyote.Request sent) {
    long announced = sent.getContentLengthLong();
    if (announced == 0 || isRead(sent)) {
      return false;
    }
    if (announced < 0) {
      return sent.getMimeHeaders().getValue("Transfer-Encoding") != null;
    }
    long end = System.nanoTime() + BEHIND.toNanos();
    while (announced > sent.getBytesRead() + here(sent)) {
      if (System.nanoTime() > end) {
        return true;
      }
      LockSupport.parkNanos(STEP.toNanos());
    }
    return false;
  }

  private static boolean isRead(org.apache.coyote.Request sent) {
    AtomicBoolean read = new AtomicBoolean();
    sent.action(ActionCode.REQUEST_BODY_FULLY_READ, read);
    return read.get();
  }

  /** What has come and was not read yet. */
  private static int here(org.apache.coyote.Request sent) {
    sent.action(ActionCode.AVAILABLE, Boolean.TRUE);
    return sent.getAvailable();
  }
}
