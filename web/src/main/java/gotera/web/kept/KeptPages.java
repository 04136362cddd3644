package gotera.web.kept;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.time.Clock;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.DefaultCsrfToken;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.View;
import org.springframework.web.servlet.ViewResolver;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;

/**
 * Makes a page only where no page of equal model is kept: two thirds of what a page cost was
 * putting the same values into the same template again. The key is all that a template can read
 * (its name, the model, the address with its parameters, the language), so that what is kept is
 * what would be made; what differs each time stands in it as a mark.
 */
@Component
class KeptPages implements ViewResolver, Ordered {
  /** What is kept at most (bytes) (our judgement: some hundred pages). */
  private static final long MOST = 48_000_000;

  private final ThymeleafViewResolver templates;
  private final Clock clock;
  private final Cache<Key, KeptPage> pages =
      Caffeine.newBuilder()
          .maximumWeight(MOST)
          .weigher((Key key, KeptPage page) -> page.weight())
          .build();

  KeptPages(ThymeleafViewResolver templates, Clock clock) {
    this.templates = templates;
    this.clock = clock;
  }

  @Override
  public int getOrder() {
    return HIGHEST_PRECEDENCE;
  }

  @Override
  public @Nullable View resolveViewName(String name, Locale locale) throws Exception {
    if (name.startsWith("redirect:") || name.startsWith("forward:")) {
      return null;
    }
    View made = templates.resolveViewName(name, locale);
    return made == null ? null : new Kept(name, locale, made);
  }

  /** All that a page is made of. */
  private record Key(String name, String locale, String address, Map<String, ?> model, int hash) {
    static Key of(String name, Locale locale, HttpServletRequest request, Map<String, ?> model) {
      String address =
          request.getMethod() + request.getRequestURI() + "?" + request.getQueryString();
      String language = locale.toLanguageTag();
      return new Key(name, language, address, model, Objects.hash(name, language, address, model));
    }

    @Override
    public int hashCode() {
      return hash;
    }

    @Override
    public boolean equals(@Nullable Object other) {
      return other instanceof Key k
          && hash == k.hash
          && name.equals(k.name)
          && locale.equals(k.locale)
          && address.equals(k.address)
          && model.equals(k.model);
    }
  }

  /** A view whose pages are kept. */
  private final class Kept implements View {
    private final String name;
    private final Locale locale;
    private final View made;

    Kept(String name, Locale locale, View made) {
      this.name = name;
      this.locale = locale;
      this.made = made;
    }

    @Override
    public @Nullable String getContentType() {
      return made.getContentType();
    }

    @Override
    public void render(
        @Nullable Map<String, ?> model, HttpServletRequest request, HttpServletResponse response)
        throws Exception {
      Map<String, ?> shown = model == null ? Map.of() : new HashMap<>(model);
      KeptPage page;
      if (request.getMethod().equals("GET")) {
        Key key = Key.of(name, locale, request, shown);
        page = pages.getIfPresent(key);
        if (page == null) {
          page = make(shown, request, response);
          pages.put(key, page);
        }
      } else {
        page = make(shown, request, response);
      }
      response.setContentType(page.type());
      byte[] whole = page.with(mark -> now(mark, request));
      response.setContentLength(whole.length);
      response.getOutputStream().write(whole);
    }

    private KeptPage make(
        Map<String, ?> model, HttpServletRequest request, HttpServletResponse response)
        throws Exception {
      Object token = request.getAttribute(CsrfToken.class.getName());
      Object byName = request.getAttribute("_csrf");
      Captured captured = new Captured(response);
      Mark.want(request, true);
      try {
        if (byName instanceof CsrfToken real) {
          CsrfToken marked =
              new DefaultCsrfToken(
                  real.getHeaderName(), real.getParameterName(), Mark.TOKEN.text());
          request.setAttribute(CsrfToken.class.getName(), marked);
          request.setAttribute("_csrf", marked);
        }
        made.render(model, request, captured);
      } finally {
        Mark.want(request, false);
        request.setAttribute(CsrfToken.class.getName(), token);
        request.setAttribute("_csrf", byName);
      }
      return KeptPage.of(
          captured.text(),
          captured.getContentType() == null
              ? "text/html;charset=UTF-8"
              : captured.getContentType());
    }
  }

  private String now(Mark mark, HttpServletRequest request) {
    return switch (mark) {
      case TOKEN ->
          request.getAttribute("_csrf") instanceof CsrfToken token ? token.getToken() : "";
      case ENTRY -> UUID.randomUUID().toString();
      case NOW -> Long.toString(clock.millis());
    };
  }

  /** An answer whose text is kept for itself. */
  private static final class Captured extends HttpServletResponseWrapper {
    private final StringWriter text = new StringWriter();
    private final PrintWriter writer = new PrintWriter(text);

    Captured(HttpServletResponse response) {
      super(response);
    }

    @Override
    public PrintWriter getWriter() {
      return writer;
    }

    String text() {
      writer.flush();
      return text.toString();
    }
  }
}
