package arborline.core.tool.rule;

import arborline.core.designation.InsertDesignation;
import arborline.core.designation.InsertReader;
import arborline.core.designation.ShankDesignation;
import arborline.core.designation.ShankReader;
import arborline.core.finding.Finding;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Shape, clearance, size and hand of the insert are those of the holder's seat, and what is held by
 * its hole has one. Source: ISO 5608 and ISO 1832.
 */
public final class InsertFitsSeat implements Rule {

  /** Clamped from the hole (P), from top and hole (M, D), or by a screw through it (S). */
  private static final String HELD_BY_HOLE = "PMSD";

  private static final String WITHOUT_HOLE = "NRF";

  @Override
  public Optional<Finding> check(Tool tool) {
    Optional<ShankDesignation> holder =
        tool.word("SHANK").flatMap(text -> ShankReader.read(text).value());
    Optional<InsertDesignation> insert =
        tool.word("MIID").flatMap(text -> InsertReader.read(text).value());
    return holder.flatMap(seat -> insert.flatMap(item -> compare(tool, seat, item)));
  }

  private static Optional<Finding> compare(
      Tool tool, ShankDesignation seat, InsertDesignation insert) {
    List<String> wrong = new ArrayList<>();
    if (seat.shape() != insert.shape()) {
      wrong.add("shape %s instead of %s".formatted(insert.shape(), seat.shape()));
    }
    if (seat.clearance() != insert.clearance()) {
      wrong.add("clearance %c instead of %c".formatted(insert.clearance(), seat.clearance()));
    }
    if (!seat.sizeCode().equals(insert.size().metric())) {
      wrong.add("size %s instead of %s".formatted(insert.size().metric(), seat.sizeCode()));
    }
    if (HELD_BY_HOLE.indexOf(seat.clamping()) >= 0 && WITHOUT_HOLE.indexOf(insert.type()) >= 0) {
      wrong.add(
          "clamping %c needs a hole, type %c has none".formatted(seat.clamping(), insert.type()));
    }
    boolean handed = !insert.hand().isEmpty() && !insert.hand().equals("N") && seat.hand() != 'N';
    if (handed && insert.hand().charAt(0) != seat.hand()) {
      wrong.add("hand %s instead of %c".formatted(insert.hand(), seat.hand()));
    }
    return wrong.isEmpty()
        ? Optional.empty()
        : Optional.of(
            Finding.hold(
                "insert-seat",
                "insert %s does not fit the seat of %s: %s"
                    .formatted(
                        tool.word("MIID").orElseThrow(),
                        tool.word("SHANK").orElseThrow(),
                        String.join(", ", wrong)),
                "MIID",
                "SHANK"));
  }
}
