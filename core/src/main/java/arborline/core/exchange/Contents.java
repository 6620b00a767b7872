package arborline.core.exchange;

import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * What occurs in the bundles of one file, so that a table can have its columns.
 *
 * @param symbols properties of tools and parts, in the order of the dictionary
 * @param ofTools those of tools
 * @param ofParts those of parts
 * @param headings of notes
 * @param present what else there is
 */
public record Contents(
    List<String> symbols,
    List<String> ofTools,
    List<String> ofParts,
    List<String> headings,
    Set<Carried> present) {

  public Contents {
    symbols = List.copyOf(symbols);
    ofTools = List.copyOf(ofTools);
    ofParts = List.copyOf(ofParts);
    headings = List.copyOf(headings);
    present = Set.copyOf(present);
  }

  /** Tools with nothing but these properties. */
  public static Contents of(List<String> symbols) {
    return new Contents(symbols, symbols, List.of(), List.of(), Set.of(Carried.NUMBER));
  }

  /** Collects what occurs, bundle by bundle. */
  public static final class Survey {
    private final Set<String> ofTools = new HashSet<>();
    private final Set<String> ofParts = new HashSet<>();
    private final Set<String> headings = new TreeSet<>();
    private final Set<Carried> present = EnumSet.noneOf(Carried.class);

    public void add(Bundle bundle) {
      ofTools.addAll(bundle.tool().values().keySet());
      headings.addAll(bundle.tool().notes().keySet());
      note(Carried.NUMBER, bundle.number().isPresent());
      note(Carried.SECTION, !bundle.section().isBlank());
      note(Carried.ATTACHMENTS, !bundle.attachments().isEmpty());
      note(Carried.NOTES, !bundle.tool().notes().isEmpty());
      note(Carried.CUTTING, !bundle.cutting().isEmpty());
      note(Carried.STACKS, !bundle.stacks().isEmpty());
    }

    public void add(BundlePart part) {
      ofParts.addAll(part.item().cells().keySet());
      note(Carried.PARTS, true);
      note(Carried.ATTACHMENTS, !part.attachments().isEmpty());
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
      Set<String> all = new HashSet<>(ofTools);
      all.addAll(ofParts);
      return new Contents(
          ordered(all), ordered(ofTools), ordered(ofParts), List.copyOf(headings), present);
    }

    private static List<String> ordered(Set<String> some) {
      return Dictionary.standard().all().stream()
          .map(Property::symbol)
          .filter(some::contains)
          .toList();
    }
  }
}
