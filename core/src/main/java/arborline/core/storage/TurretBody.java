package arborline.core.storage;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a turret is beside its places.
 *
 * @param radius from its axis to the gauge line of a station, mm
 * @param swing radius that nothing in it may leave, mm; null where none is stated
 * @param front true where it stands on the operator's side of the spindle line
 * @param axial true where stations face along the spindle, false where they face outwards
 * @param reaches spindles that its tools reach: {@code main}, {@code sub}
 * @param stations those that differ from a plain static one
 */
public record TurretBody(
    BigDecimal radius,
    @Nullable BigDecimal swing,
    boolean front,
    boolean axial,
    List<String> reaches,
    List<Station> stations) {

  public TurretBody {
    reaches = reaches == null ? List.of() : List.copyOf(reaches);
    stations = stations == null ? List.of() : List.copyOf(stations);
  }

  /** The station of a place; a plain one where nothing else is said. */
  public Station station(int number) {
    Optional<Station> said =
        stations.stream().filter(station -> station.number() == number).findFirst();
    return said.orElseGet(() -> Station.plain(number));
  }
}
