package arborline.core.connection;

import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** Self-holding taper of ISO 296: A with drawbar thread, B with tang. */
@AutoService(Family.class)
public final class SelfHoldingTaper implements Family {

  private static final List<String> SIZES = List.of("0", "1", "2", "3", "4", "5", "6");

  @Override
  public String id() {
    return "MT";
  }

  @Override
  public String tradeName(Connection connection) {
    return "MT " + connection.size();
  }

  @Override
  public boolean begins() {
    return true;
  }

  @Override
  public Optional<String> fault(Connection connection) {
    boolean known =
        List.of("A", "B").contains(connection.form()) && SIZES.contains(connection.size());
    return known ? Optional.empty() : Optional.of("self-holding taper: form A/B, size 0..6");
  }

  @Override
  public Joint joint(Connection socket, Connection shank) {
    int bore = Integer.parseInt(socket.size());
    int cone = Integer.parseInt(shank.size());
    if (bore != cone) {
      return Joint.no(
          "cones differ in diameter and angle; "
              + (cone < bore
                  ? "use a reducing sleeve (%d in %d)".formatted(cone, bore)
                  : "shank %d is larger than socket %d".formatted(cone, bore)));
    }
    return socket.form().equals(shank.form())
        ? Joint.yes("same size and form")
        : Joint.no("tang (B) and drawbar thread (A) retention do not match");
  }
}
