package gotera.web.security;

import jakarta.servlet.ServletException;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;

/**
 * Who was answered before all was sent is not waited for: the server would read the rest of the
 * body to keep the connection, and a body that never comes would keep its thread.
 */
final class UnreadBodies extends ValveBase {
  UnreadBodies() {
    super(true);
  }

  @Override
  public void invoke(Request request, Response response) throws IOException, ServletException {
    getNext().invoke(request, response);
    if (!request.isAsync() && isWaitedFor(request)) {
      request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null);
    }
  }

  /** Whether more is announced than has come. */
  private static boolean isWaitedFor(Request request) throws IOException {
    org.apache.coyote.Request sent = request.getCoyoteRequest();
    long announced = sent.getContentLengthLong();
    if (announced < 0) {
      return sent.getMimeHeaders().getValue("Transfer-Encoding") != null
          && !request.getInputStream().isFinished();
    }
    return announced > sent.getBytesRead()
        && announced > sent.getBytesRead() + request.getInputStream().available();
  }
}
