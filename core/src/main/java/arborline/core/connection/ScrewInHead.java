package arborline.core.connection;

import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** Screw-in milling heads by thread size. */
@AutoService(Family.class)
public final class ScrewInHead implements Family {

  private static final List<String> SIZES = List.of("5", "6", "8", "10", "12", "16");

  @Override
  public String id() {
    return "TH";
  }

  @Override
  public String tradeName(Connection connection) {
    return "M" + connection.size() + " screw-in";
  }

  @Override
  public Optional<String> fault(Connection connection) {
    return connection.form().equals("M")
        ? Family.inSeries("screw-in head", connection.size(), SIZES)
        : Optional.of("screw-in form %s unknown".formatted(connection.form()));
  }

  @Override
  public Joint joint(Connection socket, Connection shank) {
    return socket.size().equals(shank.size())
        ? Joint.yes("same thread and pilot")
        : Joint.no("different thread size");
  }
}
