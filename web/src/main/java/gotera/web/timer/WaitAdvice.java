package gotera.web.timer;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Puts the open waits on every page of whoever is signed in. */
@ControllerAdvice
class WaitAdvice {
  private final WaitService waits;

  WaitAdvice(WaitService waits) {
    this.waits = waits;
  }

  @ModelAttribute("openWaits")
  List<WaitService.Shown> openWaits(HttpServletRequest request) {
    // pages are read; a form that is posted leads to one
    return request.getRemoteUser() == null ? List.of() : waits.open();
  }
}
