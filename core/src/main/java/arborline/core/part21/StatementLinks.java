package arborline.core.part21;

import java.util.AbstractList;
import java.util.Arrays;
import java.util.List;
import java.util.RandomAccess;

/** To which other statements each leads, by their places in the file, each named once. */
final class StatementLinks {

  private static final int FIRST_SIZE = 1024;

  /** Where the links of each place begin; one more at the end. */
  private final int[] starts;

  private int[] links = new int[FIRST_SIZE];
  private int size;

  /** By which statement each place was named last, from 1. */
  private final int[] namedBy;

  private StatementLinks(int places) {
    this.starts = new int[places + 1];
    this.namedBy = new int[places];
  }

  /** What statements refer to; a number that stands twice leads nowhere. */
  static StatementLinks of(Part21Document document) {
    List<Statement> statements = document.statements();
    StatementLinks links = new StatementLinks(statements.size());
    for (int i = 0; i < statements.size(); i++) {
      for (Entity entity : statements.get(i).entities()) {
        links.refer(document, entity.arguments(), i + 1);
      }
      links.starts[i + 1] = links.size;
    }
    return links;
  }

  private void refer(Part21Document document, List<Argument> arguments, int from) {
    for (int i = 0; i < arguments.size(); i++) {
      switch (arguments.get(i)) {
        case Argument.Reference reference -> {
          int to = document.place(reference.id());
          if (to >= 0 && !document.twice(reference.id())) {
            link(to, from);
          }
        }
        case Argument.Several several -> refer(document, several.of(), from);
        case Argument.Typed typed -> refer(document, typed.entity().arguments(), from);
        default -> {}
      }
    }
  }

  private void link(int to, int from) {
    if (namedBy[to] == from) {
      return;
    }
    namedBy[to] = from;
    if (size == links.length) {
      links = Arrays.copyOf(links, 2 * size);
    }
    links[size++] = to;
  }

  /** The same the other way: which statements lead to each, in the order of the file. */
  StatementLinks turned() {
    int places = starts.length - 1;
    StatementLinks turned = new StatementLinks(places);
    turned.links = new int[size];
    turned.size = size;
    for (int i = 0; i < size; i++) {
      turned.starts[links[i] + 1]++;
    }
    for (int i = 0; i < places; i++) {
      turned.starts[i + 1] += turned.starts[i];
    }
    int[] next = Arrays.copyOf(turned.starts, places);
    for (int from = 0; from < places; from++) {
      for (int i = starts[from]; i < starts[from + 1]; i++) {
        turned.links[next[links[i]]++] = from;
      }
    }
    return turned;
  }

  /** How many a place has. */
  int count(int place) {
    return starts[place + 1] - starts[place];
  }

  /** One of those of a place, from 0. */
  int get(int place, int index) {
    return links[starts[place] + index];
  }

  /** Those of a place. */
  List<Integer> of(int place) {
    return count(place) == 0 ? List.of() : new Some(place);
  }

  private final class Some extends AbstractList<Integer> implements RandomAccess {
    private final int place;

    Some(int place) {
      this.place = place;
    }

    @Override
    public Integer get(int index) {
      return StatementLinks.this.get(place, java.util.Objects.checkIndex(index, size()));
    }

    @Override
    public int size() {
      return count(place);
    }
  }
}
