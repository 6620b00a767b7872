package arborline.core.part21;

import java.util.Arrays;

/**
 * What was made of instances of a file, by their numbers.
 *
 * @param <T> what is made of them
 */
public final class InstanceMap<T> {

  private static final int FEWEST = 64;

  private final Part21Document document;
  private Object[] made = new Object[FEWEST];

  public InstanceMap(Part21Document document) {
    this.document = document;
  }

  /** What was made of an instance; null where nothing was. */
  @SuppressWarnings("unchecked")
  public T get(long id) {
    int place = document.place(id);
    return place >= 0 && place < made.length ? (T) made[place] : null;
  }

  /** Notes what was made of an instance; of one that stands nowhere nothing. */
  public void put(long id, T what) {
    int place = document.place(id);
    if (place >= made.length) {
      made = Arrays.copyOf(made, Math.max(place + 1, 2 * made.length));
    }
    if (place >= 0) {
      made[place] = what;
    }
  }
}
