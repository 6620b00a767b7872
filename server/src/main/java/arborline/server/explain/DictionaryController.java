package arborline.server.explain;

import arborline.core.property.Dictionary;
import arborline.core.quantity.Unit;
import arborline.server.support.Slice;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
class DictionaryController {

  /**
   * A property of tools.
   *
   * @param symbol ISO 13399 preferred symbol
   * @param name the trade's name
   * @param sentence what it is
   * @param unit in which it is kept; nothing for a text
   */
  record PropertyView(String symbol, String name, String sentence, @Nullable String unit) {}

  /** What the symbols of properties mean. */
  @GetMapping("/api/v1/properties")
  Slice<PropertyView> properties() {
    return Slice.all(
        Dictionary.standard().all().stream()
            .map(property ->
                new PropertyView(
                    property.symbol(),
                    property.name(),
                    property.sentence(),
                    property.unit().map(Unit::code).orElse(null)))
            .toList());
  }
}
