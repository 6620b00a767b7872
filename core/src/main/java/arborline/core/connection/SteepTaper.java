package arborline.core.connection;

import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** 7/24 taper: ISO 7388-1 A and U, ISO 7388-2 J, ISO 297 M for a manual drawbar. */
@AutoService(Family.class)
public final class SteepTaper implements Family {

  private static final List<String> FORMS =
      List.of("A", "AD", "AF", "U", "UD", "UF", "J", "JD", "JF", "M");
  private static final List<String> SIZES = List.of("30", "40", "45", "50", "60");

  @Override
  public String id() {
    return "ST";
  }

  @Override
  public String tradeName(Connection connection) {
    String name =
        switch (connection.form().charAt(0)) {
          case 'A' -> "SK";
          case 'U' -> "CAT";
          case 'J' -> "BT";
          default -> "7/24 taper ";
        };
    String coolant =
        connection.form().length() < 2
            ? ""
            : connection.form().endsWith("D") ? ", coolant through" : ", coolant by the flange";
    return name + connection.size() + coolant;
  }

  @Override
  public boolean begins() {
    return true;
  }

  @Override
  public Optional<String> fault(Connection connection) {
    return FORMS.contains(connection.form())
        ? Family.inSeries("7/24", connection.size(), SIZES)
        : Optional.of("7/24 form %s unknown".formatted(connection.form()));
  }

  @Override
  public Joint joint(Connection socket, Connection shank) {
    char ours = socket.form().charAt(0);
    char theirs = shank.form().charAt(0);
    if (!socket.size().equals(shank.size())) {
      return Joint.no("different taper size %s vs %s".formatted(socket.size(), shank.size()));
    }
    if (ours != theirs) {
      return Joint.no(
          ("same cone, but flange, gripper groove, drive slots or retention knob/thread differ"
                  + " (%s vs %s)")
              .formatted(ours, theirs));
    }
    return socket.form().equals(shank.form())
        ? Joint.yes("same form and size")
        : Joint.warned(
            "same form and size; coolant route differs: %s spindle / %s shank, warn"
                .formatted(socket.form(), shank.form()),
            "coolant route differs");
  }

  @Override
  public Optional<String> notWith(Family other) {
    return switch (other.id()) {
      case "HT" -> Optional.of("7/24 solid taper and 1:9.98 hollow taper");
      case "MT" -> Optional.of("slow self-holding taper and 7/24 taper");
      case "PT" -> Optional.of("7/24 solid taper and polygon taper");
      default -> Optional.empty();
    };
  }
}
