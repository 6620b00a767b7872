package arborline.core.use;

import arborline.core.machine.Assembly;
import arborline.core.machine.Machine.Placed;
import arborline.core.storage.TurretBody;
import java.math.BigDecimal;
import java.util.Optional;

/** The angle to the axis of the work at which its block holds a tool in a station of a turret. */
public final class BlockAngle {

  private static final BigDecimal ACROSS = new BigDecimal("90");

  private BlockAngle() {}

  /**
   * Degrees, 0 along the axis of the work and 90 across it: a block that holds straight on points
   * where its station faces, one that turns the axis by a right angle the other way.
   *
   * @param assembly that is kept for the tool
   * @return empty where none is kept, and for what is not put into a turret
   */
  public static Optional<BigDecimal> of(Placed placed, Optional<Assembly> assembly) {
    TurretBody turret = placed.storage().turret();
    if (turret == null) {
      return Optional.empty();
    }
    BigDecimal faces = turret.axial() ? BigDecimal.ZERO : ACROSS;
    return assembly.map(
        held -> held.turned() == null ? faces : faces.subtract(held.turned()).abs().min(ACROSS));
  }
}
