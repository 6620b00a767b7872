package arborline.server.setup;

import arborline.server.account.ActingAs;
import arborline.server.derived.Deriving;
import arborline.server.edition.Editions;
import arborline.server.library.Libraries;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ProposedChange;
import arborline.server.tool.ToolDraft;
import arborline.server.tool.Tools;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Derives libraries, and has them and their bases change since. */
@Component
class DemoDerived {

  private final ActingAs acting;
  private final Libraries libraries;
  private final Deriving deriving;
  private final Editions editions;
  private final Tools tools;
  private final ProposedChange changing;
  private final JsonMapper json;

  DemoDerived(
      ActingAs acting,
      Libraries libraries,
      Deriving deriving,
      Editions editions,
      Tools tools,
      ProposedChange changing,
      JsonMapper json) {
    this.acting = acting;
    this.libraries = libraries;
    this.deriving = deriving;
    this.editions = editions;
    this.tools = tools;
    this.changing = changing;
    this.json = json;
  }

  /**
   * A library that is derived.
   *
   * @param by name of an account
   * @param base name of a library that has an edition
   * @param here what is changed in the derived library
   * @param there what is changed in the base afterwards
   * @param published why the base is published once more
   */
  private record Derived(
      String by,
      String base,
      String name,
      String ending,
      List<Changed> here,
      List<Changed> there,
      String published) {}

  /** Values of a tool that become others, by symbol. */
  private record Changed(String code, Map<String, String> values) {}

  /** Does what the file says; without one nothing is derived. */
  void make(Path file) throws IOException {
    if (!Files.exists(file)) {
      return;
    }
    for (Derived one :
        json.readValue(Files.readAllBytes(file), new TypeReference<List<Derived>>() {})) {
      acting.account(one.by(), () -> make(one));
    }
  }

  private void make(Derived one) {
    long base =
        libraries.all().stream()
            .filter(head -> head.name().equals(one.base()))
            .findFirst()
            .orElseThrow()
            .id();
    deriving.derive(base, new Deriving.DeriveOrder(one.name(), one.ending(), null));
    one.here().forEach(this::change);
    one.there().forEach(this::change);
    editions.make(base, one.published());
  }

  private void change(Changed changed) {
    long id = tools.byCode(changed.code()).orElseThrow();
    CurrentTool now = tools.current(List.of(id)).get(id);
    ToolDraft draft = ToolDraft.of(now.tool());
    Map<String, ToolDraft.Typed> values = new TreeMap<>(draft.values());
    changed
        .values()
        .forEach((symbol, text) -> values.put(symbol, new ToolDraft.Typed(text, null, null)));
    changing.take(
        id,
        now.versionNo(),
        new ToolDraft(draft.code(), draft.name(), draft.classId(), values, null),
        null,
        0);
  }
}
