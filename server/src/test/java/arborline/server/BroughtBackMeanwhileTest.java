package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolStore;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Entries are brought back while somebody changes their tool and has not finished. */
class BroughtBackMeanwhileTest extends ServerTest {

  @Autowired private ToolStore tools;
  @Autowired private PlatformTransactionManager transactions;

  /** Changes the usable length of a tool; before that is finished a deed is taken back. */
  private void undoneWhileChanging(long tool, String length, long undo) throws Exception {
    try (ExecutorService other = Executors.newSingleThreadExecutor()) {
      Future<Api.Answer> back =
          new TransactionTemplate(transactions)
              .execute(status -> {
                CurrentTool before = tools.lockAll(List.of(tool)).getFirst();
                RawItem longer = RawItem.of(before.tool()).with(Map.of("LU", Cell.of(length)));
                tools.change(before, Interpreter.interpret(longer).tool(), "changed");
                Future<Api.Answer> answer =
                    other.submit(
                        () -> lead.post("/api/v1/trail/%d/undo".formatted(undo), Map.of()));
                while (!answer.isDone() && !somebodyWaits()) {
                  Thread.onSpinWait();
                }
                return answer;
              });
      assertEquals(204, back.get().status(), back.get().toString());
    }
  }

  /** Another connection wants the tool, which it does not get yet. */
  private boolean somebodyWaits() {
    return jdbc.sql(
                """
                select count(*) from information_schema.processlist
                where id <> connection_id() and info like '% update tool %'\
                """)
            .query(Integer.class)
            .single()
        > 0;
  }

  private String length(long library) {
    return new Shelves(lead).rows(library, "").getFirst().at("/values/LU/text").asString();
  }

  @Test
  void aLibraryThatIsBroughtBackFollowsTheNewestOfItsTools() throws Exception {
    long library = new Shelves(lead).library("Meanwhile: brought back");
    long tool = new Shelves(lead).mills(library, "MEAN-1").getFirst();
    long deleted = lead.send("DELETE", "/api/v1/libraries/" + library, null).number("undo");
    undoneWhileChanging(tool, "21", deleted);
    assertEquals("21", length(library));
  }

  @Test
  void aToolThatIsNoLongerPinnedFollowsItsNewestVersion() throws Exception {
    long library = new Shelves(lead).library("Meanwhile: pinned");
    long tool = new Shelves(lead).mills(library, "MEAN-2").getFirst();
    long pinned =
        lead.send(
                "PUT",
                "/api/v1/libraries/%d/versions".formatted(library),
                Api.body("tools", List.of(tool), "version", 1))
            .number("undo");
    undoneWhileChanging(tool, "21", pinned);
    assertEquals("21", length(library));
  }
}
