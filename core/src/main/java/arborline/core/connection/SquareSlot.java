package arborline.core.connection;

import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** Slot for square shanks; a shank's size is height x width. */
@AutoService(Family.class)
public final class SquareSlot implements Family {

  private static final List<String> HEIGHTS =
      List.of("8", "10", "12", "16", "20", "25", "32", "40", "50");

  @Override
  public String id() {
    return "SQ";
  }

  @Override
  public String tradeName(Connection connection) {
    return "square " + connection.size();
  }

  @Override
  public Optional<String> fault(Connection connection) {
    boolean section = connection.size().matches("\\d+x\\d+");
    if (!connection.form().equals("H")) {
      return Optional.of("square-slot form %s unknown".formatted(connection.form()));
    }
    if (section == connection.socket()) {
      return Optional.of(
          connection.socket()
              ? "a slot has one size: its height"
              : "a square shank's size is height x width");
    }
    return Family.inSeries("square", height(connection), HEIGHTS);
  }

  private static String height(Connection connection) {
    int cross = connection.size().indexOf('x');
    return cross < 0 ? connection.size() : connection.size().substring(0, cross);
  }

  @Override
  public Joint joint(Connection socket, Connection shank) {
    int difference = Integer.parseInt(height(shank)) - Integer.parseInt(height(socket));
    if (difference == 0) {
      return Joint.yes("shank height equals slot height");
    }
    return Joint.no(
        difference < 0
            ? "shank lower than slot: tip off centre without a shim"
            : "shank does not enter the slot");
  }
}
