package arborline.core.stack;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.stack.Component.Kind;
import arborline.core.tool.Sample;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class OfferTest {

  private static final Optional<Cutter> MILL =
      Cutter.of(Sample.tool("CLASS=end-mill-flat DC=10 APMX=22 OAL=72 DMM=10 NOF=4"));
  private static final Component CHUCK = part("H-1", Kind.HOLDER, "ST-JD-40:m", "CY-SF-10:f");
  private static final Component WIDE = part("H-2", Kind.HOLDER, "ST-JD-40:m", "CY-SF-16:f");
  private static final Component SLEEVE = part("E-1", Kind.EXTENSION, "CY-A-16:m", "CY-SF-10:f");

  private static Component part(String code, Kind kind, String machineSide, String workSide) {
    return new Component(
        code,
        code,
        kind,
        machineSide,
        workSide,
        List.of(Frustum.of("60", "44", "24")),
        Material.STEEL,
        BigDecimal.valueOf(28));
  }

  @Test
  void atTheSpindleFitsWhatBeginsAStack() {
    Offer chuck = Offer.first(CHUCK, MILL);
    assertTrue(chuck.fits());
    assertTrue(chuck.takesCutter());
    assertEquals("goes into a spindle", chuck.why());
    Offer sleeve = Offer.first(SLEEVE, MILL);
    assertFalse(sleeve.fits());
    assertTrue(sleeve.takesCutter());
    assertEquals("does not go into a spindle", sleeve.why());
  }

  @Test
  void behindAnotherFitsWhatMatesWithIt() {
    assertTrue(Offer.behind("CY-SF-16:f", SLEEVE, MILL).fits());
    Offer chuck = Offer.behind("CY-SF-16:f", CHUCK, MILL);
    assertFalse(chuck.fits());
    assertFalse(chuck.why().isBlank());
  }

  @Test
  void aShankThatDoesNotFitIsNotTaken() {
    assertFalse(Offer.first(WIDE, MILL).takesCutter());
    assertFalse(Offer.first(CHUCK, Optional.empty()).takesCutter());
  }

  @Test
  void whatFitsAndTakesTheCutterComesFirst() {
    List<String> order =
        Stream.of(SLEEVE, WIDE, CHUCK)
            .map(component -> Offer.first(component, MILL))
            .sorted(Offer.BEST_FIRST)
            .map(offer -> offer.component().code())
            .toList();
    assertEquals(List.of("H-1", "H-2", "E-1"), order);
  }
}
