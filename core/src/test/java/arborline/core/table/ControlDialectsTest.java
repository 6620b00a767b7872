package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.machine.Machine;
import arborline.core.machine.TestMachines;
import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What holds for every dialect. */
class ControlDialectsTest {

  private static final ControlTable NOTHING = new ControlTable(Map.of(), Optional.empty());

  static List<ControlDialect> dialects() {
    return ControlDialects.all();
  }

  private static Machine machine(ControlDialect dialect) {
    return TestMachines.withControl(TestMachines.heron(8), dialect.id());
  }

  @ParameterizedTest
  @MethodSource("dialects")
  void itIsFoundByItsName(ControlDialect dialect) {
    assertSame(dialect.getClass(), ControlDialects.named(dialect.id()).getClass());
    assertTrue(dialect.id().matches("[a-z0-9-]+"), dialect.id());
  }

  @ParameterizedTest
  @MethodSource("dialects")
  void itDeclaresEachFieldOnceAndWhatIsMeasured(ControlDialect dialect) {
    List<TableField> fields =
        dialect.fields(machine(dialect)).stream().map(ControlField::field).toList();
    assertEquals(fields.size(), Set.copyOf(fields).size());
    assertTrue(fields.contains(TableField.NUMBER));
    assertTrue(fields.stream().anyMatch(field -> field.owner() == Owner.MEASUREMENT));
    assertFalse(fields.contains(TableField.PHYSICAL), "no control shows which piece it is");
  }

  @ParameterizedTest
  @MethodSource("dialects")
  void nothingToWriteIsNoFile(ControlDialect dialect) {
    assertEquals(List.of(), dialect.write(machine(dialect), NOTHING, List.of()));
  }

  @ParameterizedTest
  @MethodSource("dialects")
  void whatItWritesHasNoSignThatItsBytesWouldNotCarry(ControlDialect dialect) {
    TableEntry tool =
        dialect.registered(
            Tables.entry("TOOL=A-1 NUMBER=5 NAME=Fr\u00e4ser LENGTH=120.0004 DIAMETER=9.99951"));
    Set<TableField> all =
        Set.copyOf(dialect.fields(machine(dialect)).stream().map(ControlField::field).toList());
    assertEquals(Optional.empty(), dialect.refusal(machine(dialect), tool));
    List<ControlFile> files =
        dialect.write(machine(dialect), NOTHING, List.of(new RowWrite("5", tool, all, true)));
    assertFalse(files.isEmpty());
    for (ControlFile file : files) {
      assertEquals(file.content().length(), file.bytes().length, file.name());
    }
  }

  @ParameterizedTest
  @MethodSource("dialects")
  void whatIsNotInItsFormIsRefusedWithAReason(ControlDialect dialect) {
    for (String garbage : List.of("", "%", "<x/>", "{}", "\u0000\u0001", "0 0 0\n")) {
      Map<String, byte[]> documents = new HashMap<>();
      dialect
          .documents()
          .forEach(name ->
              documents.put(name, garbage.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
      IOException refused =
          assertThrows(IOException.class, () -> dialect.read(machine(dialect), documents), garbage);
      assertEquals(Optional.empty(), dialect.clock(documents));
      assertTrue(refused.getMessage().length() > 20, refused.getMessage());
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "none", "ASSETS-G10"})
  void thereIsNoOther(String name) {
    assertThrows(IllegalArgumentException.class, () -> ControlDialects.named(name));
  }
}
