package gotera.web.link;

import gotera.web.frame.AddressProperties;
import gotera.web.frame.NotFound;
import gotera.web.frame.QrCode;
import gotera.web.link.CustomerLinkService.Purpose;
import gotera.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Hands links out, shown once with their code, and opens them: every purpose the same way. */
@Component
public class HandedLinks {
  private final CustomerLinkService links;
  private final AddressProperties address;
  private final Words words;

  HandedLinks(CustomerLinkService links, AddressProperties address, Words words) {
    this.links = links;
    this.address = address;
    this.words = words;
  }

  /** Makes a link and shows it on the page that comes next, as text and code. */
  public void show(
      UUID jobId, Purpose purpose, String by, HttpServletRequest request, RedirectAttributes once) {
    String link = address.of(request) + "/" + purpose.word() + "/" + links.make(jobId, purpose, by);
    once.addFlashAttribute("link", link);
    once.addFlashAttribute("linkQr", QrCode.of(link).svg(words.say(purpose.word() + ".qr")));
  }

  /** The job that a link opens, or not found; nothing of the page is kept or passed on. */
  public UUID open(String token, Purpose purpose, HttpServletResponse response) {
    response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
    response.setHeader("X-Robots-Tag", "noindex, nofollow");
    response.setHeader("Referrer-Policy", "no-referrer");
    return links.jobOf(token, purpose).orElseThrow(() -> new NotFound(purpose.word() + " by link"));
  }
}
