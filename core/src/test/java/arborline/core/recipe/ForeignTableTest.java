package arborline.core.recipe;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.Grouping;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.ItemReader;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ForeignTableTest {

  private static List<Inspected> read(byte[] file) throws IOException {
    byte[] head = Arrays.copyOf(file, Math.min(file.length, 65536));
    ItemReader reader = BundleFormats.recognise(head);
    List<Inspected> read = new ArrayList<>();
    try (Grouping grouping =
        new Grouping(reader.open(new ByteArrayInputStream(file), head, reader.propose(head)))) {
      for (Optional<RawBundle> next = grouping.next(); next.isPresent(); next = grouping.next()) {
        read.add(Inspector.inspect(next.get()));
      }
    }
    return read;
  }

  private static List<Inspected> tools(String text) throws IOException {
    return tools(text, StandardCharsets.UTF_8);
  }

  private static List<Inspected> tools(String text, Charset charset) throws IOException {
    return read(text.getBytes(charset)).stream()
        .filter(one -> one.kind() != ItemKind.REMARK)
        .toList();
  }

  /** The written sizes of a tool: {@code DC=10 mm OAL=72 mm}. */
  private static String sizes(Inspected tool) {
    StringBuilder sizes = new StringBuilder(tool.tool().code() + " " + tool.tool().toolClass());
    new TreeMap<>(tool.tool().values())
        .forEach((symbol, value) -> sizes.append(' ').append(symbol).append('=').append(value));
    return sizes.toString();
  }

  @Test
  void spanishWordsInWindows1252() throws IOException {
    List<Inspected> tools =
        tools(
            """
            Almacén 2;;;;;;;;
            Código;Herramienta;Diámetro;Long. corte;Long. total;Ø mango;Nº dientes;Radio;Estante
            HE-01;Fresa plana;6;13;57;6;4;;E1
            HE-02;Fresa tórica;10;22;72;10;4;1,5;E1
            HE-04;Broca helicoidal;8,5;75;117;8,5;2;;E2
            """,
            Charset.forName("windows-1252"));
    assertEquals(
        List.of(
            "HE-01 end-mill-flat APMX=13 mm DC=6 mm DMM=6 mm NOF=4 OAL=57 mm",
            "HE-02 end-mill-corner-radius APMX=22 mm DC=10 mm DMM=10 mm NOF=4 OAL=72 mm RE=1.5 mm",
            "HE-04 drill-twist DC=8.5 mm DMM=8.5 mm LCF=75 mm NOF=2 OAL=117 mm"),
        tools.stream().map(ForeignTableTest::sizes).toList());
    assertEquals("E1", tools.getFirst().tool().notes().get("Estante"));
  }

  @Test
  void linesOfFixedWidthWithoutARuler() throws IOException {
    List<Inspected> tools =
        tools(
            """
            WERKZEUGLISTE HALLE 3   (Maße in mm)

            Nr       Bezeichnung              D      L1     L2    Z   Ort
            E-001    Schaftfräser             10     72     22    4   A1
            E-003    Spiralbohrer 118°        6,8    109    69    2   A2
            """);
    assertEquals(
        List.of(
            "E-001 end-mill-flat APMX=22 mm DC=10 mm NOF=4 OAL=72 mm",
            "E-003 drill-twist DC=6.8 mm LCF=69 mm NOF=2 OAL=109 mm SIG=118 deg"),
        tools.stream().map(ForeignTableTest::sizes).toList());
  }

  @Test
  void blocksUnderHeadingsInBrackets() throws IOException {
    List<Inspected> tools =
        tools(
            """
            [SQUARE END MILLS]
            Id|Dia|Flute length|Overall|Shank|Teeth
            A1|10|22|72|10|4
            [DRILLS]
            Id|Dia|Point|Flute length|Overall|Shank
            B1|5|140|28|66|6
            """);
    assertEquals(
        List.of(
            "A1 end-mill-flat DC=10 mm DMM=10 mm LCF=22 mm NOF=4 OAL=72 mm",
            "B1 drill-twist DC=5 mm DMM=6 mm LCF=28 mm OAL=66 mm SIG=140 deg"),
        tools.stream().map(ForeignTableTest::sizes).toList());
  }

  @Test
  void attributesOfAnXmlListAndFieldsOfAFlatJsonList() throws IOException {
    List<Inspected> tools =
        tools(
            """
            <outillage unite="mm"><armoire nom="B">
            <outil ref="FO-1" type="Foret" diametre="8.5" longueurTotale="117" anglePointe="118"/>
            </armoire></outillage>
            """);
    assertEquals("FO-1 drill-twist DC=8.5 mm OAL=117 mm SIG=118 deg", sizes(tools.getFirst()));
    tools =
        tools(
            "[{\"id\":\"J1\",\"type\":\"Ball nose\",\"dia\":0.5,\"oal\":4,\"flutes\":2,\"unit\":\"in\"}]");
    assertEquals("J1 end-mill-ball DC=0.5 in NOF=2 OAL=4 in", sizes(tools.getFirst()));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "5/16-18 SPIRAL TAP | tap-cutting TDZ=5/16-18 TPI=18 tpi",
        "3/4 ROUGHER FINE PITCH | end-mill-flat DC=3/4 in",
        "#25 JOBBER DRILL | drill-twist DC=0.1495 in",
        "HM-Bohrer 3xD 8,0 | drill-twist DC=8.0 mm SUBSTRATE=HW",
        "M12x1.75 TAP 6H | tap-cutting TCTR=6H TDZ=M12x1.75 TP=1.75 mm",
        "FACE MILL 80MM 7 INSERTS 45 DEG | face-mill CICT=7 DC=80 mm KAPR=45 deg",
        "Schaftfräser D10xL22 | end-mill-flat DC=10 mm"
      })
  void descriptionsAreRead(String text, String wanted) throws IOException {
    Inspected tool = tools("code,description\nX1,\"%s\"\n".formatted(text)).getFirst();
    assertEquals("X1 " + wanted, sizes(tool));
  }

  @ParameterizedTest
  @CsvSource({
    "BT40-ER16-100, ST-J-40:m, CO-A-16:f, 100 mm",
    "HSK-A63-HY20-90, HT-A-63:m, CY-HY-20:f, 90 mm",
    "SK50-SF12-120, ST-A-50:m, CY-SF-12:f, 120 mm",
    "CAT40-ER20-4, ST-U-40:m, CO-A-20:f, 4 in"
  })
  void holdersAreReadByTheirTradeNames(String name, String machine, String work, String length)
      throws IOException {
    Inspected holder = tools("Qty;Holder;Remark\n2;%s;x\n".formatted(name)).getFirst();
    assertEquals(machine, holder.component().orElseThrow().machineSide());
    assertEquals(work, holder.component().orElseThrow().workSide());
    assertEquals(length, holder.component().orElseThrow().properties().get("LF"));
    assertTrue(
        holder.findings().stream().anyMatch(found -> found.code().equals("outline-estimated")));
  }

  @Test
  void aTableWithTenThousandColumnsIsReadInBoundedTime() throws IOException {
    StringBuilder table = new StringBuilder("Artikel;Art");
    table.append(";Ø".repeat(10_000)).append("\nA1;Schaftfräser");
    table.append(";10".repeat(10_000)).append('\n');
    assertEquals("A1 end-mill-flat DC=10 mm", sizes(tools(table.toString()).getFirst()));
  }

  @Test
  void aCellThatNeverEndsIsHeldWithItsReason() throws IOException {
    Inspected line =
        tools("Artikel;Art;Ø\nA1;%s;10\nA2;Schaftfräser;12\n".formatted("x".repeat(5000)))
            .getFirst();
    assertEquals("cell-too-long", line.findings().getFirst().code());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"\u0000\u0001\u0002\u0003\u0000\u0000", "\u0089PNG\r\n\u001a\n\u0000\u0000"})
  void whatIsNoTextIsRefused(String bytes) {
    assertThrows(
        UnreadableFileException.class,
        () -> read(bytes.repeat(20).getBytes(StandardCharsets.ISO_8859_1)));
  }

  @Test
  void entitiesOfXmlAreRefused() {
    UnreadableFileException refused =
        assertThrows(
            UnreadableFileException.class,
            () ->
                read(
                    ("<!DOCTYPE l [<!ENTITY a 'x'><!ENTITY b '&a;&a;'>]>"
                            + "<l><t nr='1' d='&b;' art='Bohrer'/></l>")
                        .getBytes()));
    assertTrue(refused.getMessage().startsWith("line 1: "), refused.getMessage());
  }

  /** A workbook part that unpacks to far more than it takes. */
  @Test
  void aWorkbookThatIsABombIsRefused() throws IOException {
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(file)) {
      zip.putNextEntry(new ZipEntry("xl/workbook.xml"));
      zip.write("<workbook/>".getBytes());
      zip.putNextEntry(new ZipEntry("xl/worksheets/sheet1.xml"));
      byte[] zeros = new byte[1024 * 1024];
      for (int i = 0; i < 40; i++) {
        zip.write(zeros);
      }
    }
    UnreadableFileException refused =
        assertThrows(UnreadableFileException.class, () -> read(file.toByteArray()));
    assertTrue(refused.getMessage().contains("200 times its size"), refused.getMessage());
  }

  @Test
  void randomChangesOfGoodFilesAreReadOrRefusedInWords() throws IOException {
    Random random = new Random(11);
    for (String name : ListTruth.files()) {
      byte[] good = ListTruth.bytes(name);
      for (int round = 0; round < 12; round++) {
        byte[] changed = Arrays.copyOf(good, good.length - random.nextInt(good.length / 2));
        for (int i = 0; i < 1 + round; i++) {
          changed[random.nextInt(changed.length)] = (byte) random.nextInt(256);
        }
        try {
          read(changed);
        } catch (UnreadableFileException refused) {
          assertTrue(refused.getMessage().contains("line"), refused.getMessage());
        }
      }
    }
  }
}
