package gotera.web.shell;

import gotera.quantity.PressureUnit;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;

/** Gives controllers {@link Figures} in the unit that this browser chose. */
class FiguresResolver implements HandlerMethodArgumentResolver {
  static final String COOKIE = "unit";

  @Override
  public boolean supportsParameter(MethodParameter parameter) {
    return parameter.getParameterType() == Figures.class;
  }

  @Override
  public Object resolveArgument(
      MethodParameter parameter,
      @Nullable ModelAndViewContainer container,
      NativeWebRequest request,
      @Nullable WebDataBinderFactory factory) {
    return of(Objects.requireNonNull(request.getNativeRequest(HttpServletRequest.class)));
  }

  static Figures of(HttpServletRequest request) {
    if (request.getCookies() != null) {
      for (Cookie cookie : request.getCookies()) {
        if (cookie.getName().equals(COOKIE)) {
          return new Figures(unit(cookie.getValue()));
        }
      }
    }
    return new Figures(PressureUnit.KPA);
  }

  static PressureUnit unit(String word) {
    for (PressureUnit unit : PressureUnit.values()) {
      if (unit.name().toLowerCase(Locale.ROOT).equals(word)) {
        return unit;
      }
    }
    return PressureUnit.KPA;
  }
}
