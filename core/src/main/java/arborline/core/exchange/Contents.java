package arborline.core.exchange;

import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.stack.Component;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * What occurs in the bundles of one file, so that a table can have its columns.
 *
 * @param symbols properties, in the order of the dictionary
 * @param headings of notes
 * @param present what else there is
 */
public record Contents(List<String> symbols, List<String> headings, Set<Carried> present) {

  public Contents {
    symbols = List.copyOf(symbols);
    headings = List.copyOf(headings);
    present = Set.copyOf(present);
  }

  /** Tools with nothing but these properties. */
  public static Contents of(List<String> symbols) {
    return new Contents(symbols, List.of(), Set.of(Carried.NUMBER));
  }

  /** Collects what occurs, bundle by bundle. */
  public static final class Survey {
    private final Set<String> symbols = new HashSet<>();
    private final Set<String> headings = new TreeSet<>();
    private final Set<Carried> present = EnumSet.noneOf(Carried.class);

    public void add(Bundle bundle) {
      symbols.addAll(bundle.tool().values().keySet());
      headings.addAll(bundle.tool().notes().keySet());
      note(Carried.NUMBER, bundle.number().isPresent());
      note(Carried.SECTION, !bundle.section().isBlank());
      note(Carried.NOTES, !bundle.tool().notes().isEmpty());
      note(Carried.CUTTING, !bundle.cutting().isEmpty());
      note(Carried.STACKS, !bundle.stacks().isEmpty());
    }

    public void add(Component part) {
      symbols.addAll(PartReading.of(part).cells().keySet());
      note(Carried.PARTS, true);
    }

    /** Something that belongs to a tool and stands elsewhere in the file. */
    public void add(ItemKind kind) {
      note(Carried.CUTTING, kind == ItemKind.CUTTING);
      note(Carried.STACKS, kind == ItemKind.STACK);
    }

    private void note(Carried carried, boolean there) {
      if (there) {
        present.add(carried);
      }
    }

    public Contents contents() {
      List<String> ordered =
          Dictionary.standard().all().stream()
              .map(Property::symbol)
              .filter(symbols::contains)
              .toList();
      return new Contents(ordered, List.copyOf(headings), present);
    }
  }
}
