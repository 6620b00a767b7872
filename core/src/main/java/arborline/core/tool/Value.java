package arborline.core.tool;

import arborline.core.formula.ValueFormula;
import arborline.core.quantity.Quantity;
import java.util.Optional;

/** The value of one property, with whether somebody stood by it. */
public sealed interface Value {

  /** True while it is a trade default that nobody has confirmed. */
  boolean defaulted();

  /** The text that brings this value back when it is entered again. */
  String text();

  /** Equal in meaning: same word, or same size however it was written. */
  boolean sameAs(Value other);

  /**
   * A number with its unit.
   *
   * @param formula by which it follows from others; it is what somebody wrote then, and the
   *     quantity what it came to
   */
  record Measure(Quantity quantity, boolean defaulted, Optional<ValueFormula> formula)
      implements Value {

    public Measure(Quantity quantity, boolean defaulted) {
      this(quantity, defaulted, Optional.empty());
    }

    @Override
    public String text() {
      return quantity.text();
    }

    @Override
    public boolean sameAs(Value other) {
      return other instanceof Measure measure && quantity.sameAs(measure.quantity);
    }

    @Override
    public String toString() {
      return quantity.toString();
    }
  }

  /** A word: hand, tolerance class, thread size. */
  record Word(String text, boolean defaulted) implements Value {

    @Override
    public boolean sameAs(Value other) {
      return other instanceof Word word && text.equals(word.text);
    }

    @Override
    public String toString() {
      return text;
    }
  }
}
