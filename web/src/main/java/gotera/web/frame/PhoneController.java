package gotera.web.frame;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** How to open this application on a phone. */
@Controller
class PhoneController {
  private final AddressProperties properties;

  PhoneController(AddressProperties properties) {
    this.properties = properties;
  }

  @GetMapping("/phone")
  String page(HttpServletRequest request, Model model) {
    String address = properties.of(request);
    model.addAttribute("address", address);
    model.addAttribute("loopback", address.matches("https?://(127\\.|localhost|\\[::1\\]).*"));
    model.addAttribute("qr", QrCode.of(address).svg(address));
    return "frame/phone";
  }
}
