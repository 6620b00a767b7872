package arborline.core.connection;

import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** Rack-toothed turret shank: ISO 10889. The turret face is the gauge plane. */
@AutoService(Family.class)
public final class RackToothed implements Family {

  private static final List<String> SIZES = List.of("16", "20", "25", "30", "40", "50", "60", "80");

  @Override
  public String id() {
    return "VD";
  }

  @Override
  public String tradeName(Connection connection) {
    return "VDI " + connection.size();
  }

  @Override
  public boolean begins() {
    return true;
  }

  @Override
  public Optional<String> fault(Connection connection) {
    return Family.inSeries("rack-toothed shank", connection.size(), SIZES);
  }

  @Override
  public Joint joint(Connection socket, Connection shank) {
    return socket.size().equals(shank.size())
        ? Joint.yes("same shank diameter; check coolant and drive side separately")
        : Joint.no("different shank diameter %s vs %s".formatted(socket.size(), shank.size()));
  }

  @Override
  public Optional<String> notWith(Family other) {
    return other.id().equals("CY")
        ? Optional.of(
            "rack-toothed shank needs toothed clamping; plain bore or plain shank has none")
        : Optional.empty();
  }
}
