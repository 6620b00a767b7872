package arborline.core.connection;

import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** Pilot of milling cutters: ISO 6462, A and B with key, C with bolt circle. */
@AutoService(Family.class)
public final class StubArbor implements Family {

  private static final List<String> SIZES =
      List.of("16", "22", "27", "32", "40", "50", "60", "19.05", "25.4", "31.75", "38.1");

  @Override
  public String id() {
    return "AR";
  }

  @Override
  public String tradeName(Connection connection) {
    return "arbor \u00d8" + connection.size();
  }

  @Override
  public Optional<String> fault(Connection connection) {
    return List.of("A", "B", "C").contains(connection.form())
        ? Family.inSeries("arbor pilot", connection.size(), SIZES)
        : Optional.of("stub-arbor form %s unknown".formatted(connection.form()));
  }

  @Override
  public Joint joint(Connection bore, Connection pilot) {
    if (!bore.size().equals(pilot.size())) {
      return Joint.no(
          "arbor pilot %s mm vs cutter bore %s mm".formatted(pilot.size(), bore.size()));
    }
    return bore.form().equals(pilot.form())
        ? Joint.yes("same pilot and key form")
        : Joint.no("drive key / bolt-circle form differs");
  }
}
