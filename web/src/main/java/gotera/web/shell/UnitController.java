package gotera.web.shell;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Locale;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Changes the unit of pressure this browser shows. */
@Controller
class UnitController {
  @PostMapping("/unit")
  String choose(
      @RequestParam String unit, @RequestParam String back, HttpServletResponse response) {
    String word = FiguresResolver.unit(unit).name().toLowerCase(Locale.ROOT);
    response.addHeader(
        HttpHeaders.SET_COOKIE,
        ResponseCookie.from(FiguresResolver.COOKIE, word)
            .path("/")
            .httpOnly(true)
            .sameSite("Lax")
            .maxAge(Duration.ofDays(365))
            .build()
            .toString());
    return "redirect:" + Entry.ownPath(back);
  }
}
