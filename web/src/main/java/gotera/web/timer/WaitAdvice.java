package gotera.web.timer;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Puts the open waits on every page of whoever is signed in; what leads to a page needs none. */
@Configuration
class WaitAdvice implements WebMvcConfigurer, HandlerInterceptor {
  private final WaitService waits;

  WaitAdvice(WaitService waits) {
    this.waits = waits;
  }

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(this);
  }

  @Override
  public void postHandle(
      HttpServletRequest request,
      HttpServletResponse response,
      Object handler,
      @Nullable ModelAndView page) {
    if (page != null && page.getViewName() != null && !page.getViewName().startsWith("redirect:")) {
      page.addObject("openWaits", request.getRemoteUser() == null ? List.of() : waits.open());
    }
  }
}
