package arborline.core.naming;

import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Conversion;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.ToolClasses;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.Optional;

/** What a field of a naming pattern says of a tool. */
final class FieldText {

  /** Title of the tool class: {@code flat end mill}. */
  static final String CLASS = "CLASS";

  /** First letters of that title: {@code FEM}. */
  static final String KIND = "KIND";

  private FieldText() {}

  static boolean known(String symbol) {
    return symbol.equals(CLASS) || symbol.equals(KIND);
  }

  /** The text; empty where the tool lacks the property. */
  static Optional<String> of(Piece.Field field, Tool tool) {
    return switch (field.symbol()) {
      case CLASS -> title(tool).map(text -> cut(text, field.before()));
      case KIND -> title(tool).map(FieldText::initials).map(text -> cut(text, field.before()));
      default -> {
        BigDecimal size = tool.size(field.symbol());
        yield size == null
            ? tool.word(field.symbol())
                .filter(word -> !word.isBlank())
                .map(word -> cut(word, field.before()))
            : Optional.of(number(field, size));
      }
    };
  }

  private static Optional<String> title(Tool tool) {
    return ToolClasses.named(tool.toolClass()).map(ToolClass::sheet).map(sheet -> sheet.title());
  }

  private static String initials(String title) {
    StringBuilder letters = new StringBuilder();
    for (String word : title.split("[\\s-]+")) {
      letters.append(word.charAt(0));
    }
    return letters.toString().toUpperCase(Locale.ROOT);
  }

  private static String cut(String word, int most) {
    return most > 0 && word.length() > most ? word.substring(0, most) : word;
  }

  private static String number(Piece.Field field, BigDecimal canonical) {
    boolean inches =
        field.unit() == Unit.INCH
            && Dictionary.standard().find(field.symbol()).filter(Property::length).isPresent();
    BigDecimal amount =
        inches ? Conversion.convert(canonical, Unit.MILLIMETRE, Unit.INCH).amount() : canonical;
    int after = field.after() < 0 && inches ? 4 : field.after();
    BigDecimal rounded = after < 0 ? amount : amount.setScale(after, RoundingMode.HALF_UP);
    String text = (field.after() < 0 ? rounded.stripTrailingZeros() : rounded).toPlainString();
    int point = text.indexOf('.');
    int digits = point < 0 ? text.length() : point;
    return "0".repeat(Math.max(0, field.before() - digits)) + text;
  }
}
