package gotera.web.storage;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Remembers what was read while one page is being read. Rail, panel and bench of a page ask for the
 * same circuit, looks and tests many times over; nothing is written meanwhile, so the first answer
 * serves the page. Requests that write remember nothing.
 */
@Component
public class RequestMemo {
  private static final String MEMO = RequestMemo.class.getName();

  /** Whether a page is being read: then nothing is written meanwhile. */
  public boolean remembers() {
    return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
        && request.getRequest().getMethod().equals("GET");
  }

  /**
   * The value, read at most once for a page.
   *
   * @param what what kind of value it is, and of what
   */
  @SuppressWarnings("unchecked")
  public <T> T of(List<Object> what, Supplier<T> read) {
    if (!remembers()) {
      return read.get();
    }
    RequestAttributes request = RequestContextHolder.currentRequestAttributes();
    Map<List<Object>, Object> memo =
        (Map<List<Object>, Object>) request.getAttribute(MEMO, RequestAttributes.SCOPE_REQUEST);
    if (memo == null) {
      memo = new HashMap<>();
      request.setAttribute(MEMO, memo, RequestAttributes.SCOPE_REQUEST);
    }
    Object known = memo.get(what);
    if (known == null) {
      known = read.get();
      memo.put(what, known);
    }
    return (T) known;
  }
}
