package arborline.server.delivery;

import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.Column;
import arborline.core.exchange.ItemReader;
import arborline.core.exchange.TableReading;
import arborline.server.recipe.Recipes;
import arborline.server.support.Refusal;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** How files are read: as their reader proposes, by the recipe that fits, as somebody decided. */
@Component
class Readings {

  /** Formats of which somebody can decide how they are read. */
  private static final Set<String> TABLES = Set.of("csv", "table", "xlsx", "xml-list", "json-list");

  /** Of these a recipe can decide; our own table says itself what its columns are. */
  private static final Set<String> FOREIGN = Set.of("table", "xlsx", "xml-list", "json-list");

  private final StoredFile files;
  private final Recipes recipes;

  Readings(StoredFile files, Recipes recipes) {
    this.files = files;
    this.recipes = recipes;
  }

  static boolean table(String format) {
    return TABLES.contains(format);
  }

  /**
   * How a file that arrives is read.
   *
   * @param recipe by number or name; null for the one that fits, if any
   */
  ReadingView arriving(
      ItemReader reader, byte[] head, ItemReader.Content content, @Nullable String recipe) {
    TableReading proposed = proposed(reader, head, content);
    return with(reader.id(), proposed, recipe);
  }

  /** How a stored file is read with other decisions. */
  ReadingView decided(Document document, ReadingChoice choice) {
    byte[] head = files.head(document.deliveryId, document.fileNo);
    ItemReader reader = BundleFormats.reader(document.format).orElseThrow();
    TableReading proposed =
        document.format.equals("csv")
            ? TableReading.propose(head, choice.charset(), choice.sign())
            : proposed(reader, head, () -> files.open(document.deliveryId, document.fileNo));
    ReadingView read = with(document.format, proposed, choice.recipe());
    return ReadingView.of(choice.in(read.reading()), read.recipe());
  }

  private static TableReading proposed(ItemReader reader, byte[] head, ItemReader.Content content) {
    try {
      return reader.propose(head, content);
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  private ReadingView with(String format, TableReading proposed, @Nullable String recipe) {
    if (!FOREIGN.contains(format) || "".equals(recipe)) {
      return ReadingView.of(proposed);
    }
    Optional<Recipes.Kept> kept =
        recipe == null ? recipes.fitting(proposed) : Optional.of(recipes.named(recipe));
    if (kept.isEmpty()) {
      return ReadingView.of(proposed);
    }
    List<String> headers = proposed.columns().stream().map(Column::header).toList();
    Recipes.Kept used = kept.get();
    return ReadingView.of(
        used.recipe().in(proposed),
        new ReadingView.RecipeUsed(
            used.id(),
            used.recipe().name(),
            used.recipe().number(),
            used.recipe().missing(headers)));
  }

  /** Refuses a recipe that nobody kept before anything is stored. */
  void requireKnown(@Nullable String recipe) {
    if (recipe != null && !recipe.isEmpty()) {
      recipes.named(recipe);
    }
  }

  /** Refuses to decide about a file that is no table. */
  static void requireTable(Document document) {
    if (!table(document.format)) {
      throw Refusal.conflict(
          "%s is no table: there is nothing to decide about reading it".formatted(document.name));
    }
  }
}
