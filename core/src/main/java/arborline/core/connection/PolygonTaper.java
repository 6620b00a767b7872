package arborline.core.connection;

import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** Polygon taper 1:20 with face contact: ISO 26623. Size is the flange. */
@AutoService(Family.class)
public final class PolygonTaper implements Family {

  private static final List<String> SIZES = List.of("32", "40", "50", "63", "80", "100");

  @Override
  public String id() {
    return "PT";
  }

  @Override
  public String tradeName(Connection connection) {
    return "PSC " + connection.size();
  }

  @Override
  public boolean begins() {
    return true;
  }

  @Override
  public Optional<String> fault(Connection connection) {
    if (!connection.form().equals("C")) {
      return Optional.of("polygon-taper form %s unknown".formatted(connection.form()));
    }
    return SIZES.contains(connection.size())
        ? Optional.empty()
        : Optional.of("polygon taper size %s not in the series".formatted(connection.size()));
  }

  @Override
  public Joint joint(Connection socket, Connection shank) {
    return socket.size().equals(shank.size())
        ? Joint.yes("same size")
        : Joint.no("different size %s vs %s".formatted(socket.size(), shank.size()));
  }
}
