package arborline.core.table;

import java.util.Comparator;

/** Orders places as people count them: 2 before 10, names after numbers. */
public final class PlaceOrder {

  public static final Comparator<String> BY_NUMBER =
      (one, other) ->
          one.length() == other.length()
              ? one.compareTo(other)
              : Integer.compare(one.length(), other.length());

  private PlaceOrder() {}
}
