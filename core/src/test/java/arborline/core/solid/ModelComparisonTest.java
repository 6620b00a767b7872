package arborline.core.solid;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.quantity.Unit;
import arborline.core.stack.StepSolid;
import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** Sizes that are written, against the model that comes with them. */
class ModelComparisonTest {

  private static SolidReading mill() throws IOException {
    StringBuilder file = new StringBuilder();
    List<Point> half =
        List.of(
            new Point(0, 4.7),
            new Point(0.3, 5),
            new Point(50, 5),
            new Point(50, 4),
            new Point(72, 4));
    StepSolid.write(file, "mill", half, Instant.EPOCH);
    return SolidReading.read(file.toString().getBytes(StandardCharsets.US_ASCII));
  }

  private static List<String> said(String... sizes) throws IOException {
    TreeMap<String, Cell> cells = new TreeMap<>();
    for (String size : sizes) {
      String[] parts = size.split(" ");
      Unit unit = parts.length > 2 ? Unit.named(parts[2]).orElseThrow() : Unit.MILLIMETRE;
      cells.put(parts[0], new Cell(parts[1], Optional.of(unit), false));
    }
    return ModelComparison.of(new RawItem(1, cells, List.of()), mill()).stream()
        .map(Finding::message)
        .toList();
  }

  @Test
  void whatAgreesIsNotSaid() throws IOException {
    assertEquals(List.of(), said("DC 8", "DMM 10", "OAL 72"));
    assertEquals(List.of(), said("DC 0.315 in", "DMM 0.3937 in", "OAL 2.8346 in"));
    assertEquals(List.of(), said());
  }

  @Test
  void lengthDiameterAndShankThatTheModelContradictsAreAsked() throws IOException {
    assertEquals(List.of("OAL is 100 mm, but its model is 72 mm long"), said("OAL 100", "DMM 10"));
    assertEquals(
        List.of(
            "DMM is 12 mm, but its model is \u00f810 mm at its widest",
            "DMM is 12 mm, but its model has a shank of \u00f810 mm"),
        said("DC 8", "DMM 12"));
    assertEquals(
        List.of("OAL is 76.2 mm, but its model is 72 mm long"), said("OAL 3 in", "DMM 10"));
  }

  @Test
  void aModelThatEndsWithTheBodySaysNothingOfTheShank() throws IOException {
    assertEquals(List.of(), said("DC 8", "DMM 6", "BD 10"));
    assertEquals(
        List.of("DMM is 6 mm, but its model has a shank of \u00f810 mm"),
        said("DC 8", "DMM 6", "DN 10"));
  }

  private static RawItem holder(String... sizes) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    for (String size : sizes) {
      cells.put(size.split(" ")[0], Cell.of(size.split(" ")[1], Unit.MILLIMETRE));
    }
    return new RawItem(1, ItemKind.HOLDER, cells, List.of());
  }

  private static SolidReading taper() throws IOException {
    StringBuilder file = new StringBuilder();
    List<Point> half =
        List.of(
            new Point(-65.4, 12.691),
            new Point(0, 22.225),
            new Point(2, 22.225),
            new Point(2, 31.5),
            new Point(27, 31.5),
            new Point(27, 14),
            new Point(90, 10.5));
    StepSolid.write(file, "holder", half, Instant.EPOCH);
    return SolidReading.read(file.toString().getBytes(StandardCharsets.US_ASCII));
  }

  @Test
  void aHolderGetsItsBodyFromItsModelInFrontOfTheGaugePlane() throws IOException {
    assertEquals(
        Optional.of("2 x 44.45; 25 x 63; 63 x 28-21"),
        ModelComparison.bodies(holder("LPR 90", "BDX 63", "BD 28"), taper()));
  }

  @Test
  void aModelThatContradictsTheSizesGivesNoBody() throws IOException {
    assertEquals(
        List.of("LPR is 80 mm, but its model stands 90 mm out of its gauge plane"),
        ModelComparison.of(holder("LPR 80", "BDX 63"), taper()).stream()
            .map(Finding::message)
            .toList());
    assertEquals(Optional.empty(), ModelComparison.bodies(holder("LPR 80"), taper()));
  }

  @Test
  void aBodyThatIsWrittenStays() throws IOException {
    RawItem written = holder("LPR 90").with(java.util.Map.of(PartReading.BODIES, Cell.of("90x50")));
    assertEquals(Optional.empty(), ModelComparison.bodies(written, taper()));
  }

  private static Optional<String> ofStack(String length) throws IOException {
    RawItem stack =
        holder(length).of(ItemKind.STACK).with(java.util.Map.of(RawItem.NAME, Cell.of("SET-1")));
    return ModelComparison.ofStack(stack, taper()).map(Finding::message);
  }

  @Test
  void aWholeStackIsHeldAgainstItsModel() throws IOException {
    assertEquals(
        Optional.of(
            "SET-1 is said to stand 95 mm out of its gauge plane, but its model stands 90 mm out"),
        ofStack("LPR 95"));
    assertEquals(Optional.empty(), ofStack("LPR 90"));
    assertEquals(Optional.empty(), ofStack("BDX 63"));
  }
}
