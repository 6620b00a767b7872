package arborline.core.inspect;

import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.Collections;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What somebody chose where a tool that arrives and the shop's tool under its code differ.
 *
 * @param answer whose values stand
 * @param fields that come from the arriving tool when they are merged: symbols, {@code NAME},
 *     {@code CLASS} and {@code NOTES}
 */
public record Settled(Answer answer, SortedSet<String> fields) {

  /** Whose values stand. */
  public enum Answer {
    /** Those of the shop; nothing enters. */
    KEEP,
    /** Those that arrive. */
    REPLACE,
    /** Some of each. */
    MERGE
  }

  public Settled {
    fields = Collections.unmodifiableSortedSet(new TreeSet<>(fields));
  }

  /** The tool that the shop has afterwards. */
  public Tool of(Tool arriving, Tool present) {
    return switch (answer) {
      case KEEP -> present;
      case REPLACE ->
          new Tool(
              present.code(),
              arriving.name(),
              arriving.toolClass(),
              arriving.values(),
              arriving.notes());
      case MERGE -> Interpreter.interpret(RawItem.of(merged(arriving, present))).tool();
    };
  }

  /** Not yet with what formulas come to over the values of both. */
  private Tool merged(Tool arriving, Tool present) {
    SortedMap<String, Value> values = new TreeMap<>(present.values());
    Set<String> symbols = new TreeSet<>(arriving.values().keySet());
    symbols.addAll(present.values().keySet());
    for (String symbol : symbols) {
      if (fields.contains(symbol)) {
        Value value = arriving.values().get(symbol);
        if (value == null) {
          values.remove(symbol);
        } else {
          values.put(symbol, value);
        }
      }
    }
    return new Tool(
        present.code(),
        fields.contains("NAME") ? arriving.name() : present.name(),
        fields.contains("CLASS") ? arriving.toolClass() : present.toolClass(),
        values,
        notes(arriving, present));
  }

  private SortedMap<String, String> notes(Tool arriving, Tool present) {
    Map<String, String> chosen = fields.contains("NOTES") ? arriving.notes() : present.notes();
    return new TreeMap<>(chosen);
  }
}
