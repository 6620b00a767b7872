package arborline.core.edit;

import arborline.core.exchange.Cell;
import arborline.core.exchange.RawItem;
import arborline.core.tool.Tool;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Other words in the names.
 *
 * @param find what is looked for; not empty
 * @param with what stands there then
 * @param alike true where capitals make a difference
 */
public record ReplaceInName(String find, String with, boolean alike) implements BulkEdit {

  /** How long a name may be. */
  public static final int LONGEST = 200;

  @Override
  public Optional<String> symbol() {
    return Optional.empty();
  }

  @Override
  public Written write(Tool tool) {
    int how = alike ? 0 : Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE;
    String name =
        Pattern.compile(Pattern.quote(find), how)
            .matcher(tool.name())
            .replaceAll(Matcher.quoteReplacement(with));
    if (name.isBlank()) {
      return Written.fault("nothing would be left of the name");
    }
    if (name.length() > LONGEST) {
      return Written.fault("the name would have more than %d characters".formatted(LONGEST));
    }
    return name.equals(tool.name()) ? Written.nothing() : Written.of(RawItem.NAME, Cell.of(name));
  }
}
