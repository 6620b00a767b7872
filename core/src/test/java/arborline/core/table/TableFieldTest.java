package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertSame;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TableFieldTest {

  @Test
  void aFieldIsFoundByItsId() {
    assertSame(TableField.LENGTH, TableField.valueOf("LENGTH"));
    assertEquals(TableField.LENGTH.edge(2), TableField.valueOf("LENGTH@2"));
    assertEquals("length of edge 2", TableField.valueOf("LENGTH@2").title());
    assertSame(TableField.LENGTH, TableField.LENGTH.edge(3).edge(1));
  }

  /** What a control kept once is read again, whatever it was. */
  @ParameterizedTest
  @ValueSource(strings = {"COATING", "LENGTH@1", "LENGTH@X", "COATING@2", "@", ""})
  void anUnknownIdIsAWordOfItsControl(String id) {
    TableField field = TableField.valueOf(id);
    assertEquals(id, field.id());
    assertEquals(TableField.Form.WORD, field.form());
    assertEquals(field, TableField.valueOf(id));
    assertNotEquals(TableField.LENGTH, field);
  }

  @Test
  void wearIsOfTheSameEdge() {
    assertEquals(Optional.of(TableField.X_WEAR), TableField.X.wear());
    assertEquals(Optional.of(TableField.DIAMETER_WEAR.edge(4)), TableField.DIAMETER.edge(4).wear());
    assertEquals(Optional.empty(), TableField.ORIENTATION.wear());
    assertEquals(Optional.empty(), TableField.PITCH.wear(), "a pitch does not wear");
  }

  @Test
  void fieldsStandInTheirOrderEdgeByEdgeAndOwnOnesLast() {
    TableField own = TableField.own("A", "a", Owner.CONTROL, TableField.Form.COUNT);
    assertEquals(
        List.of(TableField.TOOL, TableField.LENGTH, TableField.LENGTH.edge(2), TableField.Z, own),
        Stream.of(own, TableField.Z, TableField.LENGTH.edge(2), TableField.TOOL, TableField.LENGTH)
            .sorted()
            .toList());
  }
}
