package arborline.core.inspect;

import static org.junit.jupiter.api.Assertions.assertFalse;

import arborline.core.finding.Finding;
import org.junit.jupiter.api.Test;

class VendorAllowanceTest {

  /** Let in undecided, the vendor's change would count as taken and never be asked again. */
  @Test
  void aConflictWithAVendorIsDecidedAndNotLetIn() {
    assertFalse(
        Allowance.possible(Finding.hold("vendor-conflict", "LU: choose which stands", "LU")));
  }
}
