package arborline.core.part21;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.UnreadableFileException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** The statements of exchange files, whole ones and damaged ones, and the lines of their faults. */
class Part21DocumentTest {

  private static final String HEAD =
      """
      ISO-10303-21;
      HEADER;
      FILE_SCHEMA(('TOOLS'));
      ENDSEC;
      DATA;
      """;

  private static final String TAIL = "ENDSEC;\nEND-ISO-10303-21;\n";

  private static Part21Document read(String text) throws UnreadableFileException {
    return Part21Document.read(text.getBytes(StandardCharsets.UTF_8));
  }

  private static Part21Document data(String... statements) throws UnreadableFileException {
    return read(HEAD + String.join("\n", statements) + "\n" + TAIL);
  }

  private static List<String> faults(Part21Document document) {
    return document.faults().stream().map(fault -> fault.line() + " " + fault.kind()).toList();
  }

  private static List<Long> ids(List<Statement> statements) {
    return statements.stream().map(Statement::id).toList();
  }

  @Test
  void statementsStandByNumberByNameAndInTheirOrder() throws UnreadableFileException {
    Part21Document document =
        data("#7=ITEM('a');", "#3=(UNIT()LENGTH_UNIT());", "#9=ITEM('b');", "#1=Item('c');");

    assertEquals(List.of(7L, 3L, 9L, 1L), ids(document.statements()));
    assertEquals(List.of(7L, 9L, 1L), ids(document.named("ITEM")));
    assertEquals(List.of(3L), ids(document.named("LENGTH_UNIT")));
    assertEquals(List.of(), document.named("HOLDER"));
    assertEquals("b", document.instance(9).orElseThrow().firstText());
    assertTrue(document.instance(2).isEmpty());
    assertEquals(6, document.instance(7).orElseThrow().line());
    assertEquals(List.of(), faults(document));
  }

  @Test
  void theHeaderIsReadApart() throws UnreadableFileException {
    Part21Document document = data("#1=ITEM('a');");

    Entity schema = document.header("FILE_SCHEMA").orElseThrow();
    assertEquals(new Argument.Text("TOOLS"), schema.list(0).getFirst());
    assertEquals(1, document.statements().size());
  }

  @Test
  void severalSectionsOfDataAreOne() throws UnreadableFileException {
    Part21Document document =
        read(HEAD + "#1=ITEM(#2);\nENDSEC;\nDATA('second',('TOOLS'));\n#2=ITEM('b');\n" + TAIL);

    assertEquals(List.of(1L, 2L), ids(document.statements()));
    assertEquals(List.of(), faults(document));
  }

  @Test
  void aReferenceIntoNothingIsNamedWithItsLine() throws UnreadableFileException {
    Part21Document document = data("#1=ITEM('a');", "#2=PROPERTY(#1,#40);", "#3=VALUE((#2,#41));");

    assertEquals(List.of("7 dangling-reference", "8 dangling-reference"), faults(document));
    assertTrue(document.faults().getFirst().message().contains("#40"));
  }

  @Test
  void whatStandsInAnotherFileIsNoReferenceIntoNothing() throws UnreadableFileException {
    Part21Document document =
        read(
            "ISO-10303-21;\nHEADER;\nENDSEC;\nREFERENCE;\n#40=<other.stp#part>;\nENDSEC;\nDATA;\n"
                + "#1=ITEM(#40);\n"
                + TAIL);

    assertEquals(List.of(), faults(document));
  }

  @Test
  void ofANumberThatStandsTwiceTheFirstCounts() throws UnreadableFileException {
    Part21Document document = data("#1=ITEM('a');", "#1=ITEM('b');", "#2=ITEM('c');");

    assertEquals(List.of("7 duplicate-id"), faults(document));
    assertEquals("#1 stands on line 6 already", document.faults().getFirst().message());
    assertEquals("a", document.instance(1).orElseThrow().firstText());
    assertTrue(document.twice(1));
    assertEquals(3, document.statements().size());
  }

  @Test
  void aStatementThatIsWrittenTwiceAlikeIsNotInDoubt() throws UnreadableFileException {
    Part21Document document = data("#1=ITEM('a');", "#1=ITEM('a');");

    assertEquals(List.of("7 duplicate-id"), faults(document));
    assertEquals(false, document.twice(1));
  }

  @Test
  void linesThatAreNoStatementsAreNamedAndTheRestIsRead() throws UnreadableFileException {
    Part21Document document = data("#1=ITEM('a');", "%% torn %%", "#2=ITEM('b');");

    assertEquals(List.of("7 garbage"), faults(document));
    assertEquals(List.of(1L, 2L), ids(document.statements()));
    assertEquals("b", document.instance(2).orElseThrow().firstText());
  }

  @Test
  void aSectionThatNobodyClosedEndsWithTheFile() throws UnreadableFileException {
    Part21Document document = read(HEAD + "#1=ITEM('a');\nEND-ISO-10303-21;\n");

    assertEquals(List.of("7 missing-endsec"), faults(document));
    assertEquals(1, document.statements().size());
  }

  @Test
  void aFileThatWasCutOffIsReadUpToThere() throws UnreadableFileException {
    Part21Document document = read(HEAD + "#1=ITEM('a');\n#2=ITEM('b");

    assertEquals(List.of(1L), ids(document.statements()));
    assertEquals(List.of("7 garbage", "7 missing-endsec"), faults(document));
  }

  @Test
  void aQuotationMarkThatWentAstraySwallowsOneStatementOnly() throws UnreadableFileException {
    Part21Document document = data("#1=ITEM('a);", "#2=ITEM('b');", "#3=ITEM('c');");

    assertTrue(document.instance(2).isPresent());
    assertEquals("c", document.instance(3).orElseThrow().firstText());
    assertEquals(List.of("6 garbage"), faults(document));
  }

  @Test
  void commentsBlanksAndStringsWithSemicolonsDisturbNothing() throws UnreadableFileException {
    Part21Document document =
        data(
            "/* ; #9=ITEM('no'); */", "#1 = ITEM /* here */ ( 'a;''b' ,", "  #2 ) ;", "#2=ITEM();");

    assertEquals(List.of(1L, 2L), ids(document.statements()));
    assertEquals("a;'b", document.instance(1).orElseThrow().firstText());
    assertEquals(7, document.instance(1).orElseThrow().line());
    assertEquals(9, document.instance(2).orElseThrow().line());
    assertEquals(List.of(), faults(document));
  }

  /** More names than a schema has, in capitals and small letters. */
  @Test
  void anyNumberOfNamesIsToldApart() throws UnreadableFileException {
    int names = 3000;
    String statements =
        IntStream.range(0, 2 * names)
            .mapToObj(
                i -> "#%d=%s_%d();".formatted(i + 1, i < names ? "ENTITY" : "entity", i % names))
            .collect(Collectors.joining("\n"));
    Part21Document document = data(statements);

    for (int i = 0; i < names; i++) {
      assertEquals(List.of(i + 1L, i + 1L + names), ids(document.named("ENTITY_%d".formatted(i))));
    }
    // That of the header is one more.
    assertEquals(names + 1, document.names().size());
  }

  @Test
  void numbersBeyondAnyCountAreFound() throws UnreadableFileException {
    Part21Document document =
        data("#900000000000000001=ITEM('a');", "#4=ITEM(#900000000000000001);");

    assertEquals("a", document.instance(900_000_000_000_000_001L).orElseThrow().firstText());
    assertEquals(List.of(), faults(document));
  }

  @Test
  void whatIsNoExchangeFileIsRefused() {
    UnreadableFileException refused =
        assertThrows(UnreadableFileException.class, () -> read("solid cube\nfacet\n"));

    assertTrue(refused.getMessage().startsWith("line 1:"));
  }

  @Test
  void aFileOfNothingButGarbageIsRefusedWithTheLine() {
    String garbage = "?? torn ??;\n".repeat(1100);

    UnreadableFileException refused =
        assertThrows(UnreadableFileException.class, () -> data(garbage));

    assertTrue(refused.getMessage().contains("more than 1000 lines"), refused.getMessage());
  }
}
