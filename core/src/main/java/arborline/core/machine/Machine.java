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

  /** All places in magazine order: {@code 1} to {@code n}. */
  public List<String> places() {
    List<String> places = new ArrayList<>(magazine.pockets());
    for (int number = 1; number <= magazine.pockets(); number++) {
      places.add(Integer.toString(number));
    }
    return places;
  }

  public boolean hasPlace(String place) {
    return number(place).isPresent();
  }

  /** The number that a place has, where it is one of this machine. */
  public Optional<Integer> number(String place) {
    if (!place.matches("[1-9]\\d{0,3}")) {
      return Optional.empty();
    }
    int number = Integer.parseInt(place);
    return number <= magazine.pockets() ? Optional.of(number) : Optional.empty();
  }

  /** The two places beside one; a closed chain joins its ends. */
  public List<String> neighbours(String place) {
    int number = number(place).orElseThrow();
    int last = magazine.pockets();
    List<String> beside = new ArrayList<>(2);
    if (number > 1 || magazine.closed()) {
      beside.add(Integer.toString(number > 1 ? number - 1 : last));
    }
    if (number < last || magazine.closed()) {
      beside.add(Integer.toString(number < last ? number + 1 : 1));
    }
    return beside;
  }
}
