package gotera.web.frame;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.server.PathContainer;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Where an address alone has no page, the page above it is shown: an entry that was refused leaves
 * the address of its form in the browser, and a reload asks for that.
 */
@ControllerAdvice
class AddressAdvice {
  private final RequestMappingHandlerMapping mapping;

  AddressAdvice(@Qualifier("requestMappingHandlerMapping") RequestMappingHandlerMapping mapping) {
    this.mapping = mapping;
  }

  /** A page is asked for at an address that only takes forms. */
  @ExceptionHandler(HttpRequestMethodNotSupportedException.class)
  String above(HttpServletRequest request, HttpRequestMethodNotSupportedException e)
      throws HttpRequestMethodNotSupportedException {
    if (!request.getMethod().equals(HttpMethod.GET.name())) {
      throw e;
    }
    return "redirect:" + pageAbove(request.getRequestURI()).orElseThrow(() -> e);
  }

  /** Two changed the same at once: the second sees so, with the way back to what the first left. */
  @ExceptionHandler(OptimisticLockingFailureException.class)
  ModelAndView meanwhile(HttpServletRequest request) {
    ModelAndView page = new ModelAndView("error/meanwhile");
    page.setStatus(HttpStatus.CONFLICT);
    page.addObject("back", pageAbove(request.getRequestURI()).orElse("/"));
    return page;
  }

  /** The nearest address at or above this one that has a page. */
  private Optional<String> pageAbove(String address) {
    String path = address;
    while (!path.isEmpty() && !hasPage(path)) {
      path = path.substring(0, Math.max(0, path.lastIndexOf('/')));
    }
    return Optional.of(path).filter(p -> !p.isEmpty());
  }

  private boolean hasPage(String address) {
    PathContainer path = PathContainer.parsePath(address);
    return mapping.getHandlerMethods().keySet().stream()
        .filter(i -> i.getMethodsCondition().getMethods().contains(RequestMethod.GET))
        .map(RequestMappingInfo::getPathPatternsCondition)
        .anyMatch(c -> c != null && c.getPatterns().stream().anyMatch(p -> p.matches(path)));
  }
}
