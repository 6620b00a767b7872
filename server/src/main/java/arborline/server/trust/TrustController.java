package arborline.server.trust;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
class TrustController {

  private final ToolTrust trust;

  TrustController(ToolTrust trust) {
    this.trust = trust;
  }

  /** Why a tool can be trusted, or not. */
  @GetMapping("/api/v1/tools/{id}/trust")
  ToolTrust.Trust of(@PathVariable long id) {
    return trust.of(id);
  }
}
