package arborline.server.explain;

import arborline.core.exchange.UnreadableFileException;
import arborline.core.solid.SolidReading;
import com.fasterxml.jackson.annotation.JsonInclude;
import java.io.IOException;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Semaphore;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api/v1/explain")
class SolidController {

  private static final long LARGEST = 32L * 1024 * 1024;

  /** A file is held in memory while it is read; more than a few at once wait. */
  private final Semaphore turns = new Semaphore(2, true);

  /**
   * What a solid is, mm whatever the file's unit.
   *
   * @param valid false where it cannot be read; {@code reason} says why then
   * @param revolved true where it is turned around one axis, with flats and flutes or without
   * @param ask true where two axes are equally good: {@code axes}
   * @param bore largest diameter of the hole at the workpiece end, until it gets narrower
   * @param profile outer contour from the workpiece end: corners and arcs
   * @param box along the file's directions of what is not turned, {@code ownBox} along its own
   * @param open true where faces enclose nothing
   */
  record ExplainedSolid(
      boolean valid,
      @Nullable String reason,
      boolean revolved,
      boolean ask,
      @Nullable String unit,
      @Nullable String schema,
      @Nullable SolidAxisView axis,
      List<SolidAxisView> axes,
      @Nullable BigDecimal length,
      @Nullable BigDecimal diameter,
      @Nullable BigDecimal bore,
      @Nullable BigDecimal boreMachineEnd,
      List<ProfileElementView> profile,
      @Nullable String connection,
      @Nullable BigDecimal gauge,
      List<FlatsView> flats,
      @Nullable List<BigDecimal> box,
      @Nullable List<BigDecimal> ownBox,
      int bodies,
      boolean open,
      List<SolidProposalView> proposals,
      List<SolidPartView> parts,
      List<SolidFindingView> findings) {}

  /**
   * An axis in the file's frame.
   *
   * @param name {@code X}, {@code -X} and so on where it runs along one of the file's
   * @param point at the workpiece end, {@code direction} to the machine end
   */
  record SolidAxisView(
      String name, List<BigDecimal> point, List<BigDecimal> direction, BigDecimal diameter) {}

  /** A corner {@code z, r}, or an arc from the corner before, which bulges away from the axis. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record ProfileElementView(
      @Nullable String kind,
      @Nullable BigDecimal z,
      @Nullable BigDecimal r,
      @Nullable BigDecimal z1,
      @Nullable BigDecimal r1,
      @Nullable BigDecimal z2,
      @Nullable BigDecimal r2,
      @Nullable BigDecimal radius) {}

  /** Flat faces equally far from the axis, mm from the workpiece end. */
  record FlatsView(int count, BigDecimal distance, BigDecimal from, BigDecimal to) {}

  /**
   * What it may be.
   *
   * @param confidence from 0 to 1
   */
  record SolidProposalView(
      String kind,
      @Nullable String classId,
      BigDecimal confidence,
      Map<String, BigDecimal> properties,
      Map<String, String> texts) {}

  /** One of several bodies, with its own contour from its own workpiece end. */
  record SolidPartView(
      String name,
      boolean revolved,
      @Nullable SolidAxisView axis,
      @Nullable BigDecimal length,
      @Nullable BigDecimal diameter,
      @Nullable BigDecimal bore,
      List<ProfileElementView> profile,
      List<SolidProposalView> proposals) {}

  /** Something that a person should know: on which line of the file, where it is on one. */
  record SolidFindingView(@Nullable Long line, String code, String message) {}

  /**
   * Reads a solid of ISO 10303-21: AP203, AP214 or AP242.
   *
   * @param turned true where the ends of the part stand the other way round than they are guessed
   */
  @PostMapping(value = "/solid", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  ExplainedSolid solid(
      @RequestParam("file") MultipartFile file,
      @RequestParam(defaultValue = "false") boolean turned)
      throws IOException, InterruptedException {
    if (file.getSize() > LARGEST) {
      return SolidViews.refused("line 1: the file is larger than 32 MB");
    }
    turns.acquire();
    try {
      return SolidViews.of(SolidReading.read(file.getBytes(), turned));
    } catch (UnreadableFileException unreadable) {
      return SolidViews.refused(unreadable.getMessage());
    } finally {
      turns.release();
    }
  }
}
