package gotera.web.security;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.apache.tomcat.util.net.ApplicationBufferHandler;

/**
 * Who is answered before all was sent is not waited for, whatever the answer is: the server would
 * read the rest of the body to keep the connection, and a body that never comes would keep its
 * thread. What is on its way is taken while it flows, so that its sender reads the answer; then the
 * connection is closed with the answer, and what comes late is never taken for the next request.
 */
final class UnreadBodies extends ValveBase {
  /** How long a body may stand still (our judgement, untested). */
  private static final Duration BEHIND = Duration.ofMillis(250);

  /** How long the rest of a body is taken at the most (our judgement, untested). */
  private static final Duration MOST = Duration.ofSeconds(2);

  /** Less than so many bytes within that is no flow (our judgement, untested). */
  private static final long FLOWS = 16 * 1024;

  private static final Duration STEP = Duration.ofMillis(10);

  UnreadBodies() {
    super(true);
  }

  @Override
  public void invoke(Request request, Response response) throws IOException, ServletException {
    getNext().invoke(request, response);
    org.apache.coyote.Request sent = request.getCoyoteRequest();
    if (isMissing(sent)) {
      if (!response.isCommitted()) {
        response.setHeader("Connection", "close");
      }
      // what is not sent yet would be answered as an error of ours by closing
      response.finishResponse();
      if (!takesRest(sent)) {
        sent.action(ActionCode.DISABLE_SWALLOW_INPUT, null);
      }
    }
  }

  /** Whether more is announced than was read, and does not come within a moment. */
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

  /** Takes what is on its way, as long as it flows; whether that was all. */
  private static boolean takesRest(org.apache.coyote.Request sent) throws IOException {
    if (sent.getContentLengthLong() < 0) {
      return false;
    }
    Sink sink = new Sink();
    long end = System.nanoTime() + MOST.toNanos();
    long still = System.nanoTime() + BEHIND.toNanos();
    long before = sent.getBytesRead();
    while (!isRead(sent)) {
      long now = System.nanoTime();
      if (sent.getBytesRead() - before >= FLOWS) {
        before = sent.getBytesRead();
        still = now + BEHIND.toNanos();
      }
      if (now > still || now > end) {
        return false;
      }
      if (here(sent) == 0) {
        LockSupport.parkNanos(STEP.toNanos());
      } else if (sent.doRead(sink) < 0) {
        return true;
      }
    }
    return true;
  }

  /** Throws away what it is given. */
  private static final class Sink implements ApplicationBufferHandler {
    private ByteBuffer given = ByteBuffer.allocate(0);

    @Override
    public void setByteBuffer(ByteBuffer buffer) {
      given = buffer;
    }

    @Override
    public ByteBuffer getByteBuffer() {
      return given;
    }

    @Override
    public void expand(int size) {
      // nothing is kept
    }
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
