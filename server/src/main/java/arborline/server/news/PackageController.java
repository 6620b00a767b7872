package arborline.server.news;

import arborline.server.account.MayReceive;
import arborline.server.support.Refusal;
import arborline.server.trail.Undoable;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/deliveries")
class PackageController {

  private final PackageReports reports;
  private final Discontinued discontinued;

  PackageController(PackageReports reports, Discontinued discontinued) {
    this.reports = reports;
    this.discontinued = discontinued;
  }

  /** What a vendor's package means for the shop; 404 where the delivery comes from no vendor. */
  @GetMapping("/{id}/package")
  PackageReports.PackageReport report(@PathVariable long id) {
    return reports.of(id);
  }

  /**
   * Items that are no longer made.
   *
   * @param items by what the vendor calls them; null for all that the package no longer has
   */
  record DiscontinuedOrder(@Nullable List<@Nullable String> items) {}

  /** Notes items as no longer made; undo 0 where there was nothing to note. */
  @PostMapping("/{id}/discontinued")
  @MayReceive
  Undoable discontinued(@PathVariable long id, @RequestBody DiscontinuedOrder order) {
    if (order.items() != null && order.items().contains(null)) {
      throw Refusal.badRequest("items are the vendor's codes");
    }
    return new Undoable(discontinued.note(id, order.items()));
  }
}
