package arborline.core.connection;

import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** Collet seat with 8 degree setting angle: ISO 15488. */
@AutoService(Family.class)
public final class ColletSeat implements Family {

  private static final List<String> SIZES = List.of("8", "11", "16", "20", "25", "32", "40", "50");

  @Override
  public String id() {
    return "CO";
  }

  @Override
  public String tradeName(Connection connection) {
    return "ER" + connection.size();
  }

  @Override
  public Optional<String> fault(Connection connection) {
    return Family.inSeries("collet", connection.size(), SIZES);
  }

  @Override
  public Joint joint(Connection socket, Connection shank) {
    return socket.size().equals(shank.size())
        ? Joint.yes("same collet size")
        : Joint.no("different collet size %s vs %s".formatted(socket.size(), shank.size()));
  }
}
