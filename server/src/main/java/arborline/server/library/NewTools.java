package arborline.server.library;

import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** New tools for modules that keep something together with them. */
@Service
public class NewTools {

  private final Sheets sheets;

  NewTools(Sheets sheets) {
    this.sheets = sheets;
  }

  /**
   * A tool that was created.
   *
   * @param undo line of the trail that takes it out again
   */
  public record Created(long toolId, long undo) {}

  /** Creates a tool in a library; refused where rules or its code stand against it. */
  @Transactional
  public Created create(long libraryId, ToolDraft draft) {
    Sheets.ToolDone done = sheets.create(libraryId, draft);
    return new Created(done.toolId(), done.undo());
  }

  /** The tool that a draft describes, as far as it can be read. */
  public static arborline.core.tool.Tool read(ToolDraft draft) {
    return ToolJudge.inspect(draft.raw()).tool();
  }
}
