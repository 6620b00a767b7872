package arborline.server.library;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import arborline.core.tool.Tool;
import java.util.List;
import org.junit.jupiter.api.Test;

class FieldMergeTest {

  private static Tool tool(String name, String dc, String oal) {
    return StoredTools.tool(
        "EM-1",
        name,
        "end-mill-flat",
        "{\"DC\":{\"text\":\"%s\",\"unit\":\"mm\"},\"OAL\":{\"text\":\"%s\",\"unit\":\"mm\"}}"
            .formatted(dc, oal));
  }

  private static final Tool BASE = tool("Mill", "10", "72");

  @Test
  void changesOfDifferentFieldsAreJoined() {
    FieldMerge.Merged merged =
        FieldMerge.merge(BASE, tool("Mill", "12", "72"), tool("Mill", "10", "83"));
    assertEquals(List.of(), merged.conflicts());
    assertEquals(tool("Mill", "12", "83").values(), merged.tool().values());
  }

  @Test
  void theSameChangeTwiceIsOneChange() {
    FieldMerge.Merged merged =
        FieldMerge.merge(BASE, tool("Mill", "12", "72"), tool("Mill", "12", "72"));
    assertEquals(List.of(), merged.conflicts());
    assertEquals("12 mm", merged.tool().values().get("DC").toString());
  }

  @Test
  void differentChangesOfOneFieldAreShownSideBySide() {
    FieldMerge.Merged merged =
        FieldMerge.merge(BASE, tool("Mill", "12", "72"), tool("Mill", "11", "72"));
    assertEquals(
        List.of(new FieldMerge.Conflict("DC", "10 mm", "12 mm", "11 mm")), merged.conflicts());
  }

  @Test
  void aNameIsAFieldToo() {
    FieldMerge.Merged merged =
        FieldMerge.merge(BASE, tool("Rougher", "10", "72"), tool("Finisher", "10", "72"));
    assertEquals("NAME", merged.conflicts().getFirst().symbol());
  }

  @Test
  void writtenOtherwiseIsAChange() {
    FieldMerge.Merged merged = FieldMerge.merge(BASE, BASE, tool("Mill", "10.0", "72"));
    assertFalse(merged.tool().values().equals(BASE.values()));
  }

  @Test
  void changesAreSaidInWords() {
    assertEquals(
        List.of("name 'Mill' to 'Rougher'", "DC 10 mm to 12 mm"),
        ChangeText.of(BASE, tool("Rougher", "12", "72")));
    assertEquals(List.of(), ChangeText.of(BASE, BASE));
  }
}
