package arborline.core.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A machine definition.
 *
 * @param id short address: {@code M1}
 * @param name what the shop calls it
 * @param kind in words: "vertical mill"
 * @param seat connection code of the spindle
 */
public record Machine(
    String id,
    String name,
    String kind,
    String seat,
    Magazine magazine,
    Limits limits,
    ControlHabits habits) {

  /** Place that holds the tool in use. */
  public static final String SPINDLE = "SPINDLE";

  /** All pockets in magazine order: {@code 1} to {@code n}. */
  public List<String> places() {
    List<String> places = new ArrayList<>(magazine.pockets());
    for (int pocket = 1; pocket <= magazine.pockets(); pocket++) {
      places.add(Integer.toString(pocket));
    }
    return places;
  }

  public boolean hasPlace(String place) {
    return pocket(place).isPresent();
  }

  /** The pocket number that a place names, where it is one of this machine. */
  public Optional<Integer> pocket(String place) {
    if (!place.matches("[1-9]\\d{0,3}")) {
      return Optional.empty();
    }
    int pocket = Integer.parseInt(place);
    return pocket <= magazine.pockets() ? Optional.of(pocket) : Optional.empty();
  }

  /** The two pockets beside one; a closed chain joins its ends. */
  public List<String> neighbours(String place) {
    int pocket = pocket(place).orElseThrow();
    int last = magazine.pockets();
    List<String> beside = new ArrayList<>(2);
    if (pocket > 1 || magazine.closed()) {
      beside.add(Integer.toString(pocket > 1 ? pocket - 1 : last));
    }
    if (pocket < last || magazine.closed()) {
      beside.add(Integer.toString(pocket < last ? pocket + 1 : 1));
    }
    return beside;
  }
}
