package arborline.core.connection;

import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Hollow taper 1:9.98 with face contact: ISO 12164, forms A to F and T. Size is the flange. */
@AutoService(Family.class)
public final class HollowTaper implements Family {

  private static final List<String> WIDE_FLANGE = List.of("B", "D", "F");
  private static final Map<String, List<String>> SIZES =
      Map.of(
          "A", List.of("32", "40", "50", "63", "80", "100", "125", "160"),
          "B", List.of("40", "50", "63", "80", "100", "125", "160"),
          "C", List.of("32", "40", "50", "63", "80", "100"),
          "D", List.of("40", "50", "63", "80", "100", "125", "160"),
          "E", List.of("25", "32", "40", "50", "63"),
          "F", List.of("50", "63", "80"),
          "T", List.of("32", "40", "50", "63", "80", "100", "125", "160"));

  @Override
  public String id() {
    return "HT";
  }

  @Override
  public String tradeName(Connection connection) {
    return "HSK-%s%s".formatted(connection.form(), connection.size());
  }

  @Override
  public boolean begins() {
    return true;
  }

  @Override
  public Optional<String> fault(Connection connection) {
    List<String> sizes = SIZES.get(connection.form());
    if (sizes == null) {
      return Optional.of("hollow-taper form %s unknown".formatted(connection.form()));
    }
    return sizes.contains(connection.size())
        ? Optional.empty()
        : Optional.of(
            "hollow taper form %s has no size %s".formatted(connection.form(), connection.size()));
  }

  @Override
  public Joint joint(Connection socket, Connection shank) {
    boolean wide = WIDE_FLANGE.contains(socket.form());
    if (wide != WIDE_FLANGE.contains(shank.form())) {
      return Joint.no(
          "forms B/D/F carry a flange one size larger on the cone; seat and face do not match"
              + " A/C/E/T");
    }
    if (!socket.size().equals(shank.size())) {
      return Joint.no("different size %s vs %s".formatted(socket.size(), shank.size()));
    }
    if (socket.form().equals(shank.form())) {
      return Joint.yes("same form and size");
    }
    return forms(socket.form(), shank.form());
  }

  private static Joint forms(String socket, String shank) {
    return switch (shank) {
      case "E", "F" ->
          Joint.no("%s shank has no key slots: collides with the drive keys".formatted(shank));
      case "C", "D" ->
          Joint.no("form %s has no gripper groove: not for automatic change".formatted(shank));
      default ->
          switch (socket) {
            case "C", "D" ->
                Joint.warned(
                    "manual-clamp socket takes an %s shank that has the radial access hole"
                        .formatted(shank),
                    "check the radial access hole of the shank");
            case "T" ->
                Joint.warned(
                    "same seat; T has a tighter orientation key",
                    "the key slot of the shank is wider than the key of T");
            default ->
                Joint.warned(
                    "same seat; %s spindle does not use the key slots of the %s shank"
                        .formatted(socket, shank),
                    "check orientation and drive");
          };
    };
  }

  @Override
  public Optional<String> notWith(Family other) {
    return other.id().equals("PT")
        ? Optional.of("round hollow taper and polygon taper, even if flange size number is equal")
        : Optional.empty();
  }
}
