package arborline.server.explain;

import arborline.core.quantity.UnitPair;
import arborline.server.support.Slice;
import java.math.BigDecimal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
class UnitController {

  /**
   * A metric unit as it is looked at in inches.
   *
   * @param factor how many of the metric unit make one of the inch unit
   * @param decimals more decimals that the inch unit needs
   */
  record PairedUnit(String metric, String inch, BigDecimal factor, int decimals) {}

  /** The units of the two views. */
  @GetMapping("/api/v1/units")
  Slice<PairedUnit> pairs() {
    return Slice.all(
        UnitPair.all().stream()
            .map(pair ->
                new PairedUnit(
                    pair.metric().code(), pair.inch().code(), pair.factor(), pair.decimals()))
            .toList());
  }
}
