package arborline.core.solid;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What a solid may be, the likeliest first. */
final class SolidProposals {

  private SolidProposals() {}

  static List<SolidProposal> of(
      Optional<TurnedShape> turned, Optional<Extents> box, List<Body> bodies) {
    List<SolidProposal> proposals = new ArrayList<>();
    turned.ifPresent(shape -> {
      proposals.addAll(HolderShapes.of(shape));
      proposals.addAll(CutterShapes.of(shape, FluteLength.of(bodies, shape)));
    });
    box.ifPresent(size -> proposals.addAll(BoxShapes.of(size, bodies)));
    proposals.sort(Comparator.comparing(SolidProposal::confidence).reversed());
    return List.copyOf(proposals);
  }
}
