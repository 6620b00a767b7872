package arborline.server.library;

import arborline.core.tool.Completed;
import arborline.core.tool.Origin;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import arborline.core.tool.outline.Outline;
import arborline.server.support.Json;
import arborline.server.support.ReadyJson;
import arborline.server.tool.Tools;
import arborline.server.tool.ValueView;
import com.github.benmanes.caffeine.cache.CacheLoader;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What lists show of a tool. A version never changes, so what was worked out once is kept. */
@Component
class ListPreviews {

  private static final int MOST = 20_000;
  private static final List<String> SHOWN = ToolColumns.symbols().toList();

  /**
   * The preview of a version, already as JSON: lists send it as it is.
   *
   * @param values those that the list shows, by symbol
   * @param outline the JSON null where the class or the diameter is unknown
   */
  record Preview(ReadyJson values, ReadyJson outline) {}

  private final Tools tools;
  private final Json json;
  private final LoadingCache<Long, Preview> previews =
      Caffeine.newBuilder()
          .maximumSize(MOST)
          .build(CacheLoader.<Long, Preview>bulk(versions -> read(Set.copyOf(versions))));

  ListPreviews(Tools tools, Json json) {
    this.tools = tools;
    this.json = json;
  }

  /** Previews by version id. */
  Map<Long, Preview> of(Collection<ListedTool> entries) {
    return previews.getAll(entries.stream().map(ListedTool::versionId).toList());
  }

  private Map<Long, Preview> read(Set<Long> versions) {
    Map<Long, Preview> read = new LinkedHashMap<>();
    tools.versions(versions).forEach((id, tool) -> read.put(id, preview(tool)));
    return read;
  }

  private Preview preview(Tool tool) {
    Completed completed = Completed.of(tool);
    Map<String, ValueView> values = new LinkedHashMap<>();
    for (String symbol : SHOWN) {
      Value value = completed.tool().values().get(symbol);
      if (value != null) {
        Origin origin = completed.origins().get(symbol);
        ValueView view = ValueView.of(value);
        values.put(symbol, origin == null ? view : view.from(origin.text()));
      }
    }
    return new Preview(
        json.ready(values),
        json.ready(Silhouettes.of(completed.tool()).map(Outline::bare).orElse(null)));
  }
}
