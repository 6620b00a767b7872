package arborline.core.cutting.formula;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;

/**
 * One formula with the inputs it needs and the conditions under which it holds.
 *
 * @param id name of the quantity
 * @param unit of the result
 * @param text the formula as written in textbooks
 * @param needs inputs that must be there; they must be greater than zero unless listed in {@code
 *     anySign}
 * @param optional inputs that may be left out, and must be greater than zero where they are there
 */
public record Formula(
    String id,
    String unit,
    String text,
    List<String> needs,
    List<String> anySign,
    List<String> optional,
    List<Condition> conditions,
    ToDoubleFunction<Inputs> value) {

  /** Something that must hold, with the reason given where it does not. */
  record Condition(Predicate<Inputs> holds, String otherwise) {}

  static Formula of(String id, String unit, String text, ToDoubleFunction<Inputs> value) {
    return new Formula(id, unit, text, List.of(), List.of(), List.of(), List.of(), value);
  }

  Formula needs(String... names) {
    return new Formula(id, unit, text, List.of(names), anySign, optional, conditions, value);
  }

  /** Inputs that may be zero or negative, or be left out. */
  Formula free(String... names) {
    return new Formula(id, unit, text, needs, List.of(names), optional, conditions, value);
  }

  /** Inputs that may be left out. */
  Formula may(String... names) {
    return new Formula(id, unit, text, needs, anySign, List.of(names), conditions, value);
  }

  /** True where an input of this name has a meaning. */
  public boolean takes(String name) {
    return needs.contains(name) || anySign.contains(name) || optional.contains(name);
  }

  Formula when(Predicate<Inputs> holds, String otherwise) {
    List<Condition> all = new ArrayList<>(conditions);
    all.add(new Condition(holds, otherwise));
    return new Formula(id, unit, text, needs, anySign, optional, List.copyOf(all), value);
  }

  /** Why these inputs cannot be, or nothing where they can. */
  public Optional<String> obstacle(Inputs inputs) {
    for (String name : needs) {
      if (!inputs.has(name)) {
        return Optional.of("%s is missing".formatted(name));
      }
    }
    for (var input : inputs.numbers().entrySet()) {
      boolean finite = Double.isFinite(input.getValue());
      if (!finite || input.getValue() <= 0 && !anySign.contains(input.getKey())) {
        return Optional.of("%s must be > 0".formatted(input.getKey()));
      }
    }
    return conditions.stream()
        .filter(condition -> !condition.holds().test(inputs))
        .map(Condition::otherwise)
        .findFirst();
  }

  /**
   * The result in {@link #unit}.
   *
   * @throws IllegalArgumentException where {@link #obstacle} names one
   */
  public double apply(Inputs inputs) {
    obstacle(inputs)
        .ifPresent(why -> {
          throw new IllegalArgumentException(why);
        });
    return value.applyAsDouble(inputs);
  }

  /** The result, with inputs as name and value in turn. */
  public double apply(Object... pairs) {
    return apply(Inputs.of(pairs));
  }
}
