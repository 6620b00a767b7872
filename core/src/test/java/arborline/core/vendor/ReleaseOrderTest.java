package arborline.core.vendor;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.Test;

class ReleaseOrderTest {

  private static List<String> sorted(String... releases) {
    return java.util.stream.Stream.of(releases).sorted(ReleaseOrder.OLDEST_FIRST).toList();
  }

  @Test
  void numbersAreOrderedByTheirSize() {
    assertEquals(List.of("2025-4", "2026-2", "2026-10"), sorted("2026-10", "2026-2", "2025-4"));
  }

  @Test
  void aReleaseWithMoreBehindItIsNewer() {
    assertEquals(List.of("", "7", "7.1", "7.1b"), sorted("7.1b", "7.1", "", "7"));
  }

  @Test
  void signsBetweenMeanNothing() {
    assertEquals(0, ReleaseOrder.OLDEST_FIRST.compare("2026-1", "2026.01"));
  }
}
