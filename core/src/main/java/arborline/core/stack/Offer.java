package arborline.core.stack;

import arborline.core.connection.Connection;
import arborline.core.connection.Joint;
import java.util.Comparator;
import java.util.Optional;

/**
 * A component as what could come next in a stack.
 *
 * @param fits true where it joins what is there, or the spindle where nothing is
 * @param takesCutter true where the cutter could come right after it
 * @param why in a sentence
 */
public record Offer(Component component, boolean fits, boolean takesCutter, String why) {

  /**
   * What fits before what does not; what takes the cutter before what needs another part; straight
   * ones before those that turn the axis.
   */
  public static final Comparator<Offer> BEST_FIRST =
      Comparator.comparing((Offer offer) -> !offer.fits())
          .thenComparing(offer -> !offer.takesCutter())
          .thenComparing(offer -> offer.component().turn().isPresent());

  /** A component at the spindle. */
  public static Offer first(Component component, Optional<Cutter> cutter) {
    boolean begins =
        Connection.read(component.machineSide())
            .connection()
            .filter(side -> side.family().begins())
            .isPresent();
    return new Offer(
        component,
        begins,
        takes(component, cutter),
        begins ? "goes into a spindle" : "does not go into a spindle");
  }

  /**
   * A component behind another.
   *
   * @param socket code of the other's workpiece side
   */
  public static Offer behind(String socket, Component component, Optional<Cutter> cutter) {
    Joint joint = Joint.of(socket, component.machineSide());
    return new Offer(component, joint.mates(), takes(component, cutter), joint.why());
  }

  private static boolean takes(Component component, Optional<Cutter> cutter) {
    return cutter
        .filter(held -> Joint.of(component.workSide(), held.connection()).mates())
        .isPresent();
  }
}
