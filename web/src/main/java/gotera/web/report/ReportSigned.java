package gotera.web.report;

import gotera.web.link.CustomerLinkService;
import gotera.web.pressure.Signed;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A report that a customer can open is signed: what it says stays as it is. */
@Component
class ReportSigned implements Signed {
  private final CustomerLinkService links;

  ReportSigned(CustomerLinkService links) {
    this.links = links;
  }

  @Override
  public boolean signed(UUID jobId) {
    return links.of(jobId, CustomerLinkService.Purpose.REPORT).stream()
        .anyMatch(CustomerLinkService.Link::opens);
  }
}
