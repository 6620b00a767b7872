package arborline.core.loadplan;

import arborline.core.storage.StorageDefinition;
import arborline.core.storage.StorageForm;
import arborline.core.storage.ToolBody;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** Looks at every state that moves can reach, with the rules written out plainly. */
final class SmallLoads {

  private static final double EXACT = 1e-9;

  private SmallLoads() {}

  /** The fewest moves, or nothing where no moves lead there. */
  static Optional<Integer> fewest(LoadProblem problem) {
    Map<Map<LoadPlace, String>, Integer> seen = new HashMap<>();
    Deque<Map<LoadPlace, String>> next = new ArrayDeque<>();
    Map<LoadPlace, String> start = new TreeMap<>(problem.present());
    seen.put(start, 0);
    next.add(start);
    while (!next.isEmpty()) {
      Map<LoadPlace, String> now = next.poll();
      int moves = seen.get(now);
      if (done(problem, now)) {
        return Optional.of(moves);
      }
      for (Map<LoadPlace, String> then : steps(problem, now)) {
        if (seen.putIfAbsent(then, moves + 1) == null) {
          next.add(then);
        }
      }
    }
    return Optional.empty();
  }

  private static Set<Map<LoadPlace, String>> steps(
      LoadProblem problem, Map<LoadPlace, String> now) {
    Set<Map<LoadPlace, String>> steps = new HashSet<>();
    for (String tool : problem.tools().keySet()) {
      if (problem.keep().contains(tool)) {
        continue;
      }
      Map<LoadPlace, String> without = new TreeMap<>(now);
      without.values().remove(tool);
      if (without.size() < now.size()) {
        steps.add(without);
      }
      for (int storage = 0; storage < problem.storages().size(); storage++) {
        for (int index = 0;
            index < problem.storages().get(storage).definition().places();
            index++) {
          LoadPlace place = new LoadPlace(storage, index);
          if (!now.containsKey(place)) {
            Map<LoadPlace, String> then = new TreeMap<>(without);
            then.put(place, tool);
            if (allowed(problem, then)) {
              steps.add(then);
            }
          }
        }
      }
    }
    return steps;
  }

  private static boolean done(LoadProblem problem, Map<LoadPlace, String> now) {
    if (!now.values().containsAll(problem.wanted()) || !now.values().containsAll(problem.keep())) {
      return false;
    }
    double[] mass = new double[problem.storages().size()];
    for (Map.Entry<LoadPlace, String> stands : now.entrySet()) {
      LoadPlace place = stands.getKey();
      StorageDefinition storage = problem.storages().get(place.storage()).definition();
      ToolBody body = problem.tools().get(stands.getValue()).body();
      String owner = problem.fixed().get(place);
      boolean owned = problem.fixed().containsValue(stands.getValue());
      mass[place.storage()] += body.mass().doubleValue();
      if (owner == null ? owned : !owner.equals(stands.getValue())) {
        return false;
      }
      if (body.diameter().compareTo(storage.limits().diameterEmpty()) > 0
          || body.mass().compareTo(storage.limits().mass()) > 0
          || storage.limits().massSum() != null
              && mass[place.storage()] > storage.limits().massSum().doubleValue() + EXACT) {
        return false;
      }
    }
    return true;
  }

  /** True where nothing blocks anything else. */
  static boolean allowed(LoadProblem problem, Map<LoadPlace, String> now) {
    for (Map.Entry<LoadPlace, String> one : now.entrySet()) {
      for (Map.Entry<LoadPlace, String> other : now.entrySet()) {
        if (one.getKey().compareTo(other.getKey()) < 0
            && one.getKey().storage() == other.getKey().storage()
            && clash(
                problem.storages().get(one.getKey().storage()).definition(),
                problem.tools().get(one.getValue()).body(),
                one.getKey().index(),
                problem.tools().get(other.getValue()).body(),
                other.getKey().index())) {
          return false;
        }
      }
    }
    return true;
  }

  private static boolean clash(
      StorageDefinition storage, ToolBody one, int at, ToolBody other, int there) {
    Map<Integer, Boolean> mine = blocks(storage, one, at);
    Map<Integer, Boolean> theirs = blocks(storage, other, there);
    if (mine.containsKey(there) || theirs.containsKey(at)) {
      return true;
    }
    for (Map.Entry<Integer, Boolean> blocked : mine.entrySet()) {
      Boolean too = theirs.get(blocked.getKey());
      if (too != null && (too || blocked.getValue())) {
        return true;
      }
    }
    double needed =
        (one.diameter().doubleValue() + other.diameter().doubleValue()) / 2
            + storage.clearance().doubleValue();
    return storage.pitch() != null
        && !one.overlapStated()
        && !other.overlapStated()
        && needed > apart(storage, Math.abs(at - there)) + EXACT;
  }

  /** Blocked places, and whether nobody else may block them too. */
  private static Map<Integer, Boolean> blocks(StorageDefinition storage, ToolBody tool, int at) {
    Map<Integer, Boolean> blocks = new HashMap<>();
    int plus = 0;
    int minus = 0;
    boolean alone = true;
    if (tool.overlapStated()) {
      plus = tool.overlapPlus() == null ? 0 : tool.overlapPlus();
      minus = tool.overlapMinus() == null ? 0 : tool.overlapMinus();
      if (!tool.oriented()) {
        plus = Math.max(plus, minus);
        minus = plus;
      }
    } else if (tool.diameter().compareTo(storage.limits().diameterFull()) > 0) {
      alone = storage.pitch() == null;
      plus = 1;
      while (!alone
          && plus < storage.places()
          && (tool.diameter().doubleValue() + storage.limits().diameterFull().doubleValue()) / 2
                  + storage.clearance().doubleValue()
              > apart(storage, plus + 1) + EXACT) {
        plus++;
      }
      minus = plus;
    }
    for (int step = -minus; step <= plus; step++) {
      int place = at + step;
      if (storage.closed()) {
        place = Math.floorMod(place, storage.places());
      }
      if (place >= 0 && place < storage.places() && place != at) {
        blocks.put(place, alone);
      }
    }
    return blocks;
  }

  private static double apart(StorageDefinition storage, int steps) {
    int n = storage.places();
    double pitch = storage.pitch().doubleValue();
    if (storage.form() == StorageForm.CAROUSEL || storage.form() == StorageForm.TURRET) {
      return pitch * Math.sin(steps * Math.PI / n) / Math.sin(Math.PI / n);
    }
    return pitch * (storage.closed() ? Math.min(steps, Math.abs(n - steps)) : steps);
  }
}
