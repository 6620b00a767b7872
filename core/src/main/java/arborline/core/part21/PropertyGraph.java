package arborline.core.part21;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
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
  private final List<StatementRole> roles;
  private final List<List<Integer>> forward = new ArrayList<>();
  private final List<List<Integer>> back = new ArrayList<>();
  private final int[] properties;
  private final int[] items;

  PropertyGraph(Part21Document document, PropertyDictionary dictionary) {
    this.statements = document.statements();
    StatementRoles found = new StatementRoles(document, dictionary);
    this.roles = statements.stream().map(found::of).toList();
    connect(document);
    this.properties = nearest(StatementRole.PROPERTY, LINKS);
    this.items = nearest(StatementRole.ITEM, TO_ITEMS);
  }

  private void connect(Part21Document document) {
    Map<Long, Integer> places = new HashMap<>();
    for (int i = 0; i < statements.size(); i++) {
      places.putIfAbsent(statements.get(i).id(), i);
      forward.add(new ArrayList<>(2));
      back.add(new ArrayList<>(2));
    }
    for (int i = 0; i < statements.size(); i++) {
      Set<Integer> referred = new LinkedHashSet<>();
      for (Entity entity : statements.get(i).entities()) {
        referred(document, places, entity.arguments(), referred);
      }
      for (int to : referred) {
        forward.get(i).add(to);
        back.get(to).add(i);
      }
    }
  }

  private static void referred(
      Part21Document document,
      Map<Long, Integer> places,
      List<Argument> arguments,
      Set<Integer> referred) {
    for (Argument argument : arguments) {
      switch (argument) {
        case Argument.Reference reference -> {
          Integer to = places.get(reference.id());
          if (to != null && !document.twice(reference.id())) {
            referred.add(to);
          }
        }
        case Argument.Several several -> referred(document, places, several.of(), referred);
        case Argument.Typed typed ->
            referred(document, places, typed.entity().arguments(), referred);
        default -> {}
      }
    }
  }

  int size() {
    return statements.size();
  }

  Statement statement(int place) {
    return statements.get(place);
  }

  StatementRole role(int place) {
    return roles.get(place);
  }

  /** Statements that one refers to. */
  List<Integer> referred(int place) {
    return forward.get(place);
  }

  /** Statements that refer to one. */
  List<Integer> referring(int place) {
    return back.get(place);
  }

  /** The item that a statement belongs to. */
  Optional<Integer> item(int place) {
    return roles.get(place) == StatementRole.ITEM ? Optional.of(place) : known(items[place]);
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
    int[] found = new int[statements.size()];
    int[] steps = new int[statements.size()];
    java.util.Arrays.fill(found, NOBODY);
    Deque<Integer> open = new ArrayDeque<>();
    for (int i = 0; i < statements.size(); i++) {
      if (roles.get(i) == wanted) {
        found[i] = i;
        open.add(i);
      }
    }
    while (!open.isEmpty()) {
      int at = open.poll();
      boolean passes = steps[at] == 0 || through.contains(roles.get(at));
      if (passes && found[at] != SEVERAL) {
        for (int next : forward.get(at)) {
          reach(at, next, found, steps, open);
        }
        for (int next : back.get(at)) {
          reach(at, next, found, steps, open);
        }
      }
    }
    return found;
  }

  private static void reach(int at, int next, int[] found, int[] steps, Deque<Integer> open) {
    if (found[next] == NOBODY) {
      found[next] = found[at];
      steps[next] = steps[at] + 1;
      open.add(next);
    } else if (steps[next] == steps[at] + 1 && found[next] != found[at]) {
      found[next] = SEVERAL;
    }
  }
}
