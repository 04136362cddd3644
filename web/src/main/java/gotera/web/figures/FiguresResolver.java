package gotera.web.figures;

import gotera.quantity.Units;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerInterceptor;

/**
 * Gives controllers {@link Figures} in the units that this person chose. A form that is sent is
 * read in the units its page was made with: switching them half-way changes nothing that was typed.
 */
public class FiguresResolver implements HandlerMethodArgumentResolver, HandlerInterceptor {
  /** Field that says in which units a form was made. */
  public static final String UNITS = "typedIn";

  private static final String CHOSEN = FiguresResolver.class.getName();

  private final ChosenUnits units;

  public FiguresResolver(ChosenUnits units) {
    this.units = units;
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request,
      jakarta.servlet.http.HttpServletResponse response,
      Object handler) {
    String login = request.getRemoteUser();
    if (login != null) {
      units.of(login).ifPresent(u -> request.setAttribute(CHOSEN, u));
    }
    return true;
  }

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

  public static Figures of(HttpServletRequest request) {
    String typedIn = request.getMethod().equals("POST") ? request.getParameter(UNITS) : null;
    return new Figures(
        typedIn != null
            ? Units.read(typedIn)
            : request.getAttribute(CHOSEN) instanceof Units u ? u : Units.USUAL);
  }
}
