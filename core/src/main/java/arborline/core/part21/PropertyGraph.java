package arborline.core.part21;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Which statements of a property file belong together: the nearest by references, in whichever
 * direction these run. What is equally near to two belongs to neither.
 */
final class PropertyGraph {

  private static final Set<StatementRole> LINKS = EnumSet.of(StatementRole.LINK);
  private static final Set<StatementRole> TO_ITEMS =
      EnumSet.of(StatementRole.LINK, StatementRole.PROPERTY, StatementRole.VALUE);
  private static final int NOBODY = -1;
  private static final int SEVERAL = -2;

  private final List<Statement> statements;
  private final StatementRole[] roles;
  private final StatementLinks forward;
  private final StatementLinks back;
  private final int[] properties;
  private final int[] items;

  PropertyGraph(Part21Document document, PropertyDictionary dictionary) {
    this.statements = document.statements();
    StatementRoles found = new StatementRoles(document, dictionary);
    this.roles = statements.stream().map(found::of).toArray(StatementRole[]::new);
    this.forward = StatementLinks.of(document);
    this.back = forward.turned();
    this.properties = nearest(StatementRole.PROPERTY, LINKS);
    this.items = nearest(StatementRole.ITEM, TO_ITEMS);
  }

  int size() {
    return statements.size();
  }

  Statement statement(int place) {
    return statements.get(place);
  }

  StatementRole role(int place) {
    return roles[place];
  }

  /** Statements that one refers to. */
  List<Integer> referred(int place) {
    return forward.of(place);
  }

  /** Statements that refer to one. */
  List<Integer> referring(int place) {
    return back.of(place);
  }

  /** The item that a statement belongs to. */
  Optional<Integer> item(int place) {
    return roles[place] == StatementRole.ITEM ? Optional.of(place) : known(items[place]);
  }

  /** The property whose value a statement is. */
  Optional<Integer> property(int place) {
    return known(properties[place]);
  }

  private static Optional<Integer> known(int place) {
    return place >= 0 ? Optional.of(place) : Optional.empty();
  }

  /** For each statement the nearest of a role, found through statements of some roles. */
  private int[] nearest(StatementRole wanted, Set<StatementRole> through) {
    int[] found = new int[roles.length];
    int[] steps = new int[roles.length];
    int[] open = new int[roles.length];
    int last = 0;
    Arrays.fill(found, NOBODY);
    for (int i = 0; i < roles.length; i++) {
      if (roles[i] == wanted) {
        found[i] = i;
        open[last++] = i;
      }
    }
    for (int next = 0; next < last; next++) {
      int at = open[next];
      boolean passes = steps[at] == 0 || through.contains(roles[at]);
      if (passes && found[at] != SEVERAL) {
        last = reach(at, forward, found, steps, open, last);
        last = reach(at, back, found, steps, open, last);
      }
    }
    return found;
  }

  /** Goes on to the neighbours of a place; how many are open then. */
  private static int reach(
      int at, StatementLinks links, int[] found, int[] steps, int[] open, int last) {
    int opened = last;
    for (int i = 0; i < links.count(at); i++) {
      int next = links.get(at, i);
      if (found[next] == NOBODY) {
        found[next] = found[at];
        steps[next] = steps[at] + 1;
        open[opened++] = next;
      } else if (steps[next] == steps[at] + 1 && found[next] != found[at]) {
        found[next] = SEVERAL;
      }
    }
    return opened;
  }
}
