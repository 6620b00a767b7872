package arborline.core.loadplan;

/**
 * A place of a load.
 *
 * @param storage which storage of the problem, from 0 up
 * @param index which place of it, from 0 up
 */
public record LoadPlace(int storage, int index) implements Comparable<LoadPlace> {

  @Override
  public int compareTo(LoadPlace other) {
    return storage == other.storage
        ? Integer.compare(index, other.index)
        : Integer.compare(storage, other.storage);
  }
}
