package gotera.web.frame;

import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.servlet.ModelAndView;

/** Pages that are an answer to wrong input. */
public final class Pages {
  private Pages() {}

  /** A page with a form that was not understood: status 422, and everything typed is kept. */
  public static ModelAndView unprocessable(String view, Model model) {
    return new ModelAndView(view, model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
  }
}
