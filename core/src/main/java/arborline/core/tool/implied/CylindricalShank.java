package arborline.core.tool.implied;

import arborline.core.connection.Connection;
import arborline.core.tool.Implication;
import arborline.core.tool.Origin;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.Optional;

/**
 * The shank diameter DMM of a cutter held by a cylindrical shank is its connection diameter DCONMS,
 * and the other way round. A bore says nothing of a shank.
 */
public record CylindricalShank(String symbol, String from) implements Implication {

  private static final String CYLINDRICAL = "CY";

  public static Implication[] sizes() {
    return new Implication[] {
      new CylindricalShank("DMM", "DCONMS"), new CylindricalShank("DCONMS", "DMM")
    };
  }

  @Override
  public Origin origin() {
    return Origin.implied(from, "CCMS");
  }

  @Override
  public Optional<Value> value(Tool tool) {
    return tool.word("CCMS").filter(CylindricalShank::cylindrical).isPresent()
        ? Optional.ofNullable(tool.values().get(from))
        : Optional.empty();
  }

  private static boolean cylindrical(String code) {
    return Connection.read(code)
        .connection()
        .filter(shank -> shank.family().id().equals(CYLINDRICAL) && !shank.socket())
        .isPresent();
  }
}
