package arborline.server.post;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.post.PostCheck;
import arborline.core.post.PostedTool;
import arborline.core.sharing.LibraryRight;
import arborline.core.tool.Tool;
import arborline.server.machine.MachineUses;
import arborline.server.machine.MachineUses.UsedTool;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools;
import arborline.server.tool.Tools.Held;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Can every tool of a library be posted, and if not which and why. */
@Service
class PostChecks {

  private static final int MOST = 5_000;
  private static final int SHOWN = 500;
  private static final int CHUNK = 1_000;

  private final Posts posts;
  private final Tools tools;
  private final MachineUses uses;
  private final LibraryGuard guard;
  private final JdbcClient jdbc;

  PostChecks(Posts posts, Tools tools, MachineUses uses, LibraryGuard guard, JdbcClient jdbc) {
    this.posts = posts;
    this.tools = tools;
    this.uses = uses;
    this.guard = guard;
    this.jdbc = jdbc;
  }

  /** A tool of which something has to be said. */
  record PostFinding(long toolId, String code, int number, List<Finding> findings) {}

  /**
   * What a post makes of a library.
   *
   * @param checked tools that were looked at
   * @param refused those that cannot be posted
   * @param asked those that can, but become something else
   * @param items the first of both, refused ones first
   */
  record PostReport(long libraryId, int checked, int refused, int asked, List<PostFinding> items) {}

  /**
   * @param libraryId null for the library of the post
   */
  @Transactional(readOnly = true)
  PostReport check(long id, @Nullable Long libraryId) {
    PostRow post = posts.get(id);
    Long library = libraryId == null ? post.library() : libraryId;
    if (library == null) {
      throw Refusal.badRequest("library: the post brings none; say which is to be checked");
    }
    guard.need(library, LibraryRight.USE);
    List<Long> ids =
        jdbc.sql(
                "select tool_id from entry where library_id = ? order by tool_id limit "
                    + (MOST + 1))
            .param(library)
            .query(Long.class)
            .list();
    if (ids.size() > MOST) {
      throw Refusal.badRequest(
          "library: it has more than the %d tools that are checked at once".formatted(MOST));
    }
    List<PostFinding> all = new ArrayList<>();
    for (int from = 0; from < ids.size(); from += CHUNK) {
      all.addAll(check(post, library, ids.subList(from, Math.min(ids.size(), from + CHUNK))));
    }
    int refused = (int) all.stream().filter(PostChecks::refused).count();
    all.sort(
        Comparator.comparing((PostFinding one) -> !refused(one))
            .thenComparing(PostFinding::number));
    return new PostReport(
        library, ids.size(), refused, all.size() - refused, all.stream().limit(SHOWN).toList());
  }

  private static boolean refused(PostFinding one) {
    return one.findings().stream().anyMatch(finding -> finding.severity() == Severity.HOLD);
  }

  private List<PostFinding> check(PostRow post, long library, List<Long> ids) {
    Map<Long, Long> libraries = new HashMap<>();
    ids.forEach(tool -> libraries.put(tool, library));
    Map<Long, Held> held = tools.held(libraries);
    Map<Long, Tool> known = new HashMap<>();
    Map<Long, Integer> numbers = new HashMap<>();
    held.forEach((tool, one) -> {
      known.put(tool, one.tool());
      numbers.put(tool, one.number().orElse(0));
    });
    Map<Long, UsedTool> used =
        post.machine() == null ? Map.of() : uses.of(post.machine(), known, numbers);
    List<PostFinding> findings = new ArrayList<>();
    held.forEach((tool, one) -> {
      int own = numbers.get(tool);
      UsedTool at = used.getOrDefault(tool, new UsedTool(own, List.of(own), Optional.empty()));
      List<Finding> said =
          PostCheck.of(
                  post.post(),
                  new PostedTool(one.tool(), at.number(), at.offsets(), at.orientation()))
              .stream()
              .filter(finding -> finding.severity() != Severity.NOTE)
              .toList();
      if (!said.isEmpty()) {
        findings.add(new PostFinding(tool, one.tool().code(), at.number(), said));
      }
    });
    return findings;
  }
}
