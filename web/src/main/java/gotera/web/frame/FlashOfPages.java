package gotera.web.frame;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.FlashMap;
import org.springframework.web.servlet.FlashMapManager;
import org.springframework.web.servlet.support.SessionFlashMapManager;

/**
 * What is said once, after an entry, is for the page that the entry leads to: a page that looks
 * after others' news at the same moment does not take it away.
 */
@Configuration
class FlashOfPages {
  /** Sent by a page that renews its parts. */
  private static final String RENEWS = "Gotera-Renews";

  @Bean
  FlashMapManager flashMapManager() {
    SessionFlashMapManager kept = new SessionFlashMapManager();
    return new FlashMapManager() {
      @Override
      public @Nullable FlashMap retrieveAndUpdate(
          HttpServletRequest request, HttpServletResponse response) {
        return request.getHeader(RENEWS) == null ? kept.retrieveAndUpdate(request, response) : null;
      }

      @Override
      public void saveOutputFlashMap(
          FlashMap said, HttpServletRequest request, HttpServletResponse response) {
        kept.saveOutputFlashMap(said, request, response);
      }
    };
  }
}
