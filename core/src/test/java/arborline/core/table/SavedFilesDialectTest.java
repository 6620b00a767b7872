package arborline.core.table;

import static arborline.core.table.Tables.entry;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.machine.Machine;
import arborline.core.machine.TestMachines;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SavedFilesDialectTest {

  private static final String DATABASE =
      "SAVE 41 2\r\n21\tA\tDRILL 5\t100.000\t5.000\tup-cut\r\n9\tB\t\t\t\t\r\nEND 41\r\n";
  private static final String LIST = "SAVE 41 1\r\n21\t70.000\ton\r\nEND 41\r\n";
  private static final String TABLE = "SAVE 41 2\r\n21\t21\r\n22\t-\r\nEND 41\r\n";

  private final SavedFilesDialect dialect = new SavedFilesDialect();
  private final Machine machine = TestMachines.pelican();

  private ControlTable read(String database, String list, String table) throws IOException {
    return dialect.read(
        machine,
        Map.of(
            SavedFilesDialect.DATABASE, database.getBytes(StandardCharsets.US_ASCII),
            SavedFilesDialect.MACHINE_LIST, list.getBytes(StandardCharsets.US_ASCII),
            SavedFilesDialect.TABLE, table.getBytes(StandardCharsets.US_ASCII)));
  }

  @Test
  void oneToolComesFromThreeFiles() throws IOException {
    ControlTable read = read(DATABASE, LIST, TABLE);
    TableEntry tool = read.at("21");
    assertEquals("DRILL 5", tool.get(TableField.NAME));
    assertEquals("100.000", tool.get(TableField.LENGTH));
    assertEquals("70.000", tool.get(TableField.HOOD));
    assertEquals("on", tool.get(TableField.BLOWER));
    assertEquals("up-cut", tool.get(TableField.DIRECTION));
    assertEquals(List.of(entry("TOOL=B NUMBER=9 OFFSET=9")), read.unplaced());
    assertEquals(List.of(), read.troubles());
    assertEquals("41", read.revision());
  }

  @Test
  void filesOfDifferentSavesAreReadAndSaid() throws IOException {
    ControlTable read = read(DATABASE, LIST.replace("41", "40"), TABLE);
    assertEquals("70.000", read.at("21").get(TableField.HOOD));
    assertEquals(
        List.of(
            "TOOLS.DB is of save 41, MACHINE.LST of save 40, TOOLS.TBL of save 41: one of them was"
                + " not saved"),
        read.troubles());
  }

  @Test
  void aNumberThatTheDatabaseDoesNotHaveIsSaid() throws IOException {
    ControlTable read = read(DATABASE, LIST, TABLE.replace("22\t-", "22\t5"));
    assertEquals("number 5", read.at("22").get(TableField.TOOL));
    assertEquals(
        List.of("TOOLS.TBL has number 5 in 22, which is not in TOOLS.DB"), read.troubles());
  }

  @Test
  void allThreeGoOutTogetherUnderTheNextSave() throws IOException {
    ControlTable now = read(DATABASE, LIST, TABLE);
    TableEntry target = entry("TOOL=C NUMBER=22 LENGTH=95.2 DIAMETER=120 HOOD=0.000 BLOWER=off");
    List<ControlFile> files =
        dialect.write(
            machine, now, List.of(new RowWrite("22", target, Set.of(TableField.LENGTH), true)));
    assertEquals(
        "SAVE 42 3\r\n9\tB\t\t\t\t\r\n21\tA\tDRILL 5\t100.000\t5.000\tup-cut\r\n"
            + "22\tC\t\t95.2\t120\t\r\nEND 42\r\n",
        files.get(0).content());
    assertEquals(
        "SAVE 42 3\r\n9\t\t\r\n21\t70.000\ton\r\n22\t0.000\toff\r\nEND 42\r\n",
        files.get(1).content());
    assertEquals("SAVE 42 2\r\n21\t21\r\n22\t22\r\nEND 42\r\n", files.get(2).content());
  }

  @Test
  void filesThatDoNotAgreeAreBroughtTogetherWithoutAnyOtherChange() throws IOException {
    ControlTable apart = read(DATABASE, LIST.replace("41", "43"), TABLE);
    List<ControlFile> files = dialect.write(machine, apart, List.of());
    ControlTable mended =
        read(files.get(0).content(), files.get(1).content(), files.get(2).content());
    assertEquals(List.of(), mended.troubles());
    assertEquals("44", mended.revision());
    assertEquals(apart.places(), mended.places());
    assertEquals(apart.unplaced(), mended.unplaced());
  }

  @Test
  void aToolThatComesBackIntoAPlaceIsInTheDatabaseOnce() throws IOException {
    ControlTable now = read(DATABASE, LIST, TABLE);
    TableEntry target = entry("TOOL=B NUMBER=22 LENGTH=80");
    String database =
        dialect
            .write(machine, now, List.of(new RowWrite("22", target, Set.of(TableField.TOOL), true)))
            .getFirst()
            .content();
    assertTrue(database.contains("\r\n22\tB\t"), database);
    assertTrue(!database.contains("\r\n9\tB\t"), database);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "SAVE 41 2 | SAVE 41 3 | is not whole",
        "END 41 | END 40 | is not whole",
        "SAVE 41 2 | SAVED 41 2 | does not begin with SAVE",
        "100.000 | 1OO | is no length",
        "A\tDRILL 5 | DRILL 5 | is none of it",
        "9\tB | 21\tB | has 21 twice",
      })
  void whatIsNoFileOfItIsRefused(String before, String after, String reason) {
    IOException refused =
        assertThrows(IOException.class, () -> read(DATABASE.replace(before, after), LIST, TABLE));
    assertTrue(refused.getMessage().contains(reason), refused.getMessage());
  }

  @Test
  void aPlaceThatTheMachineDoesNotHaveIsRefused() {
    assertThrows(IOException.class, () -> read(DATABASE, LIST, TABLE.replace("22\t-", "99\t-")));
    assertEquals(Optional.empty(), dialect.refusal(machine, entry("TOOL=A NUMBER=21")));
  }
}
