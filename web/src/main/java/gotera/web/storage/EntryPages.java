package gotera.web.storage;

import gotera.web.figures.Entry;
import gotera.web.figures.FiguresResolver;
import gotera.web.kept.Mark;
import gotera.web.storage.Entries.StoredAlready;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URI;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.support.RequestDataValueProcessor;

/**
 * Gives every form that writes its own entry and the units it was read in, remembers where an entry
 * led, and leads whoever sends one again to the same place.
 */
@Configuration
class EntryPages implements WebMvcConfigurer, HandlerInterceptor {

  private final Entries entries;

  EntryPages(Entries entries) {
    this.entries = entries;
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
    if (page != null && page.getViewName() != null && page.getViewName().startsWith("redirect:")) {
      entries.led(request, page.getViewName().substring("redirect:".length()));
    }
  }

  /** Adds the hidden fields beside those that guard against forgery. */
  @Bean
  static BeanPostProcessor hiddenFields() {
    return new BeanPostProcessor() {
      @Override
      public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof RequestDataValueProcessor forgery ? new HiddenFields(forgery) : bean;
      }
    };
  }

  /** The hidden fields of every form. */
  private record HiddenFields(RequestDataValueProcessor forgery)
      implements RequestDataValueProcessor {
    @Override
    public String processAction(HttpServletRequest request, String action, String method) {
      return forgery.processAction(request, action, method);
    }

    @Override
    public String processFormFieldValue(
        HttpServletRequest request, @Nullable String name, String value, String type) {
      return forgery.processFormFieldValue(request, name, value, type);
    }

    @Override
    public @Nullable Map<String, String> getExtraHiddenFields(HttpServletRequest request) {
      Map<String, String> guard = forgery.getExtraHiddenFields(request);
      if (guard == null || guard.isEmpty()) {
        return guard; // a form that only reads
      }
      Map<String, String> fields = new HashMap<>(guard);
      fields.put(
          Entries.FIELD, Mark.wanted(request) ? Mark.ENTRY.text() : UUID.randomUUID().toString());
      fields.put(FiguresResolver.UNITS, FiguresResolver.of(request).units().word());
      return fields;
    }

    @Override
    public String processUrl(HttpServletRequest request, String url) {
      return forgery.processUrl(request, url);
    }
  }

  /** Answers what was stored already. */
  @ControllerAdvice
  static class Answer {
    @ExceptionHandler(StoredAlready.class)
    ModelAndView answer(StoredAlready already, HttpServletRequest request) {
      if (already.elsewhere()) {
        ModelAndView page = new ModelAndView("error/409");
        page.setStatus(HttpStatus.CONFLICT);
        return page;
      }
      return new ModelAndView("redirect:" + already.ledTo().orElseGet(() -> from(request)));
    }

    /** The page it was sent from, while the first answer is still on its way. */
    private static String from(HttpServletRequest request) {
      String page = request.getHeader("HX-Current-URL");
      String from = page == null ? request.getHeader("Referer") : page;
      try {
        String path = from == null ? "/" : URI.create(from).getPath();
        return Entry.ownPath(path);
      } catch (IllegalArgumentException e) {
        return "/";
      }
    }
  }
}
