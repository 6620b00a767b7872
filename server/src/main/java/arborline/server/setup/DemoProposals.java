package arborline.server.setup;

import arborline.server.account.ActingAs;
import arborline.server.library.Libraries;
import arborline.server.proposal.ProposalOrder;
import arborline.server.proposal.Proposals;
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

/** What people of the demo propose to each other. */
@Component
class DemoProposals {

  private final ActingAs acting;
  private final Libraries libraries;
  private final Tools tools;
  private final Proposals proposals;
  private final JsonMapper json;

  DemoProposals(
      ActingAs acting, Libraries libraries, Tools tools, Proposals proposals, JsonMapper json) {
    this.acting = acting;
    this.libraries = libraries;
    this.tools = tools;
    this.proposals = proposals;
    this.json = json;
  }

  /**
   * What somebody proposes.
   *
   * @param by name of his account
   * @param library its name
   */
  private record Proposed(String by, String library, String reason, List<Changed> changes) {}

  /** Values of a tool that are to be others, by symbol. */
  private record Changed(String code, Map<String, String> values) {}

  /** Does what the file says; without one nothing is proposed. */
  void make(Path file) throws IOException {
    if (!Files.exists(file)) {
      return;
    }
    for (Proposed one :
        json.readValue(Files.readAllBytes(file), new TypeReference<List<Proposed>>() {})) {
      long library =
          libraries.all().stream()
              .filter(head -> head.name().equals(one.library()))
              .findFirst()
              .orElseThrow()
              .id();
      acting.account(
          one.by(),
          () ->
              proposals.propose(
                  new ProposalOrder(
                      library, one.reason(), one.changes().stream().map(this::change).toList())));
    }
  }

  private ProposalOrder.ChangeOrder change(Changed changed) {
    long id = tools.byCode(changed.code()).orElseThrow();
    ToolDraft now = ToolDraft.of(tools.get(id).tool());
    Map<String, ToolDraft.Typed> values = new TreeMap<>(now.values());
    changed
        .values()
        .forEach((symbol, text) -> values.put(symbol, new ToolDraft.Typed(text, null, null)));
    return new ProposalOrder.ChangeOrder(
        ProposalOrder.Kind.CHANGE,
        id,
        1,
        new ToolDraft(now.code(), now.name(), now.classId(), values, null));
  }
}
