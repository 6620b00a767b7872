package arborline.server.vendor;

import arborline.server.support.Slice;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1")
class OriginController {

  private final VendorItems items;

  OriginController(VendorItems items) {
    this.items = items;
  }

  /**
   * Where something comes from.
   *
   * @param item by what its vendor calls it
   * @param release empty where none was named
   * @param discontinued from which release on the vendor no longer has it; null while it has
   */
  record Origin(
      String vendor, String item, String release, Instant takenAt, @Nullable String discontinued) {

    static Origin of(VendorItems.TakenItem taken) {
      return new Origin(
          taken.vendor(), taken.item(), taken.release(), taken.takenAt(), taken.discontinued());
    }
  }

  /** The vendors that a tool was taken from, the last one first. */
  @GetMapping("/tools/{id}/origin")
  Slice<Origin> tool(@PathVariable long id) {
    return Slice.all(items.of(id, true).stream().map(Origin::of).toList());
  }

  /** The vendors that a holder or another part was taken from, the last one first. */
  @GetMapping("/components/{id}/origin")
  Slice<Origin> part(@PathVariable long id) {
    return Slice.all(items.of(id, false).stream().map(Origin::of).toList());
  }
}
