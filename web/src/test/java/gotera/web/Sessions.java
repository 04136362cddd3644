package gotera.web;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.options.Cookie;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Sessions of people who are signed in, kept from one test to the next: signing in is slow on
 * purpose. A session is one person's at a time.
 */
final class Sessions {
  private final Map<String, Deque<List<Cookie>>> free = new HashMap<>();

  /** Gives a browser a session that nobody has now, if there is one. */
  boolean take(String account, BrowserContext context) {
    Deque<List<Cookie>> kept = free.getOrDefault(account, new ArrayDeque<>());
    if (kept.isEmpty()) {
      return false;
    }
    context.addCookies(kept.pop());
    return true;
  }

  /** Keeps what a browser has, for whoever comes next. */
  void give(String account, BrowserContext context) {
    List<Cookie> cookies = context.cookies();
    if (!cookies.isEmpty()) {
      free.computeIfAbsent(account, a -> new ArrayDeque<>()).push(cookies);
    }
  }
}
