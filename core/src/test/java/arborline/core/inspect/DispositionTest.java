package arborline.core.inspect;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.finding.Finding;
import java.util.List;
import org.junit.jupiter.api.Test;

class DispositionTest {

  private static final Finding NOTE = Finding.note("n", "noted");
  private static final Finding QUERY = Finding.query("q", "asked");
  private static final Finding HOLD = Finding.hold("h", "held");

  @Test
  void theGravestFindingDecidesWhereverItStands() {
    assertEquals(Disposition.PASS, Disposition.of(List.of()));
    assertEquals(Disposition.PASS, Disposition.of(List.of(NOTE, NOTE)));
    assertEquals(Disposition.QUERY, Disposition.of(List.of(QUERY, NOTE)));
    assertEquals(Disposition.QUERY, Disposition.of(List.of(NOTE, QUERY)));
    assertEquals(Disposition.HOLD, Disposition.of(List.of(QUERY, HOLD, NOTE)));
  }
}
