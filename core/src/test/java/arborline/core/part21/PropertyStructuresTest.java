package arborline.core.part21;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.UnreadableFileException;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Properties wherever exporters put them: the structure is found, whatever its entities are called.
 */
class PropertyStructuresTest {

  private static final String UNITS =
      """
      #900=(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT(.MILLI.,.METRE.));
      #901=(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT($,.METRE.));
      #902=(NAMED_UNIT(*)PLANE_ANGLE_UNIT()SI_UNIT($,.RADIAN.));
      #903=LENGTH_MEASURE_WITH_UNIT(LENGTH_MEASURE(25.4),#900);
      #904=(CONVERSION_BASED_UNIT('thing',#903)LENGTH_UNIT()NAMED_UNIT(*));
      #905=(GEOMETRIC_REPRESENTATION_CONTEXT(3)GLOBAL_UNIT_ASSIGNED_CONTEXT((#900,#902))REPRESENTATION_CONTEXT('',''));
      """;

  private static final PropertyDictionary IDS =
      new PropertyDictionary(
          Map.of("AA00000001", "DC", "AA00000002", "OAL", "AA00000003", "TDZ"),
          Map.of("CC00000001", "twist drill"));

  private static ExchangedItems read(String statements) throws IOException {
    String file =
        "ISO-10303-21;\nHEADER;\nFILE_NAME('a','',(''),('Maker'),'','','');\nENDSEC;\nDATA;\n"
            + UNITS
            + statements
            + "\nENDSEC;\nEND-ISO-10303-21;\n";
    return ExchangedItems.read(file.getBytes(StandardCharsets.UTF_8), IDS);
  }

  private static Map<String, String> values(ExchangedItem item) {
    Map<String, String> values = new TreeMap<>();
    item.values()
        .forEach((symbol, size) -> values.put(symbol, size.stripTrailingZeros().toPlainString()));
    values.putAll(item.texts());
    return values;
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        // one association for many properties, found by their dictionary
        """
        #1=CATALOGUE_ITEM('X-1','Drill',$);
        #2=DICT_REF('AA00000001','001','D');
        #3=USE(#2);
        #4=NUM_VALUE($,12.,#900);
        #5=PAIR(#4,#3);
        #6=DICT_REF('AA00000002','001','D');
        #7=USE(#6);
        #8=NUM_VALUE($,0.1,#901);
        #9=PAIR(#8,#7);
        #10=GIVEN((#5,#9),#1);
        """,
        // the item refers to its properties, these to their values
        """
        #1=TOOL_RECORD('X-1','Drill',(#2,#4));
        #2=FEATURE_OF('DC',#3);
        #3=NUMERICAL_VALUE(12.,#900);
        #4=FEATURE_OF('OAL',#5);
        #5=NUMERICAL_VALUE(3.937007874015748,#904);
        """,
        // the unit of all lengths stands in the context of the representation
        """
        #1=PRODUCT('X-1','Drill','',());
        #2=PRODUCT_DEFINITION_FORMATION('',$,#1);
        #3=PRODUCT_DEFINITION('',$,#2,$);
        #4=PROPERTY_DEFINITION('sizes',$,#3);
        #5=PROPERTY_DEFINITION_REPRESENTATION(#4,#6);
        #6=REPRESENTATION('sizes',(#7,#8),#905);
        #7=VALUE_REPRESENTATION_ITEM('DC',LENGTH_MEASURE(12.));
        #8=VALUE_REPRESENTATION_ITEM('OAL',LENGTH_MEASURE(100.));
        """,
        // a list of lists
        "#1=TOOL_RECORD('X-1','Drill','twist drill',(('DC',12.,'mm'),('OAL',0.1,#901)));",
        // lists beside each other, numbers as text
        "#1=TOOL_RECORD('X-1','Drill','twist drill',('DC','OAL'),('12','100'),('mm','mm'));",
        // in one statement each, the item named last
        """
        #1=ARTICLE('X-1','Drill');
        #2=ARTICLE_PROPERTY('DC',12.,#900,#1);
        #3=ARTICLE_PROPERTY('OAL',1.0E+2,#900,#1);
        """
      })
  void twoSizesAreFound(String statements) throws IOException {
    ExchangedItems read = read(statements);
    assertEquals(List.of(), read.faults());
    assertEquals(1, read.items().size(), read.toString());
    ExchangedItem item = read.items().getFirst();
    assertEquals("X-1", item.id());
    assertEquals("Drill", item.name());
    assertEquals(Map.of("DC", "12", "OAL", "100"), values(item));
    assertEquals("Maker", read.vendor());
  }

  @Test
  void itemsThatShareADictionaryKeepTheirValuesApart() throws IOException {
    ExchangedItems read =
        read(
            """
            #1=ITEM('X-1','one',$);
            #2=ITEM('X-2','two',$);
            #3=PLIB_PROPERTY_REFERENCE('AA00000001','001','D');
            #4=PROPERTY(#3,$,$);
            #5=NUMERICAL_VALUE($,12.,#900);
            #6=NUMERICAL_VALUE($,14.,#900);
            #7=PROPERTY_VALUE_REPRESENTATION(#5,#4,$);
            #8=PROPERTY_VALUE_REPRESENTATION(#6,#4,$);
            #9=PROPERTY_VALUE_ASSOCIATION($,#7,#1);
            #10=PROPERTY_VALUE_ASSOCIATION($,#8,#2);
            """);
    assertEquals(Map.of("DC", "12"), values(read.items().get(0)));
    assertEquals(Map.of("DC", "14"), values(read.items().get(1)));
  }

  @Test
  void limitsAloneAreTheLeastAndTheGreatest() throws IOException {
    ExchangedItem item =
        read("""
        #1=ITEM('X-1','twist drill','Drill');
        #2=TOOL_PROPERTY('DC',#1,#3);
        #3=VALUE_RANGE(11.9,12.1,#900);
        #4=TOOL_PROPERTY('OAL',#1,99.,#900,.MIN.);
        #5=TOOL_PROPERTY('OAL',#1,101.,#900,.MAX.);
        """)
            .items()
            .getFirst();
    assertEquals(Map.of("DCN", "11.9", "DCX", "12.1"), values(item));
    assertEquals(List.of(new BigDecimal("99"), new BigDecimal("101")), item.ranges().get("OAL"));
    assertTrue(item.doubtful().containsKey("OAL"));
  }

  @Test
  void aNominalSizeIsTheSizeWhereverItsLimitsStand() throws IOException {
    ExchangedItem item =
        read("""
        #1=ITEM('X-1','twist drill','Drill');
        #2=TOOL_PROPERTY('DC',#1,#3);
        #3=VALUE_LIMIT('lower, nominal, upper',11.93,11.95,12.,#900);
        #4=TOOL_PROPERTY('OAL',#1,#5);
        #5=VALUE_LIMIT('nominal, offsets',100.,-1.,0.5,#900);
        #6=TOOL_PROPERTY('DMM',#1,#7);
        #7=VALUE_LIMIT('upper, nominal, lower',12.02,12.,11.98,#900);
        #8=TOOL_PROPERTY('LCF',#1,#9);
        #9=VALUE_LIMIT('nominal, offsets from the upper one on',60.,0.5,-1.,#900);
        #10=TOOL_PROPERTY('WF',#1,#11);
        #11=VALUE_LIMIT('upper, nominal, lower',-5.,-6.,-7.,#900);
        """)
            .items()
            .getFirst();
    assertEquals(
        Map.of("DC", "11.95", "DMM", "12", "WF", "-6", "LCF", "60", "OAL", "100"), values(item));
  }

  @Test
  void oneValueInTwoUnitsIsNoContradictionAndTwoValuesAre() throws IOException {
    ExchangedItems read =
        read(
            """
            #1=ITEM('X-1','twist drill','Drill');
            #2=TOOL_PROPERTY('DC',#1,12.7,#900);
            #3=TOOL_PROPERTY('DC',#1,0.5,#904);
            #4=TOOL_PROPERTY('OAL',#1,100.,#900);
            #5=TOOL_PROPERTY('OAL',#1,4.,#904);
            """);
    assertEquals(Map.of("DC", "12.7"), values(read.items().getFirst()));
    assertEquals(
        List.of("contradicting-values"), read.faults().stream().map(Part21Fault::kind).toList());
  }

  @Test
  void anAngleInRadiansIsOneInDegreesAndAPitchPerInchIsKept() throws IOException {
    ExchangedItem item =
        read("""
        #1=ITEM('X-1','twist drill','Drill');
        #2=TOOL_PROPERTY('SIG',#1,2.443460952792061,#902);
        #3=TOOL_PROPERTY('HAND',#1,.LEFT.,$);
        #4=TOOL_PROPERTY('NOF',#1,2,$);
        """)
            .items()
            .getFirst();
    assertEquals(140, item.values().get("SIG").doubleValue(), 1e-9);
    assertEquals("L", item.texts().get("HAND"));
    assertEquals(new BigDecimal("2"), item.values().get("NOF"));
  }

  @Test
  void partsOfAnAssemblyStandWhereATransformationPutsThem() throws IOException {
    List<ExchangedItem> items =
        read("""
        #1=PRODUCT('SET','tool assembly','all together',());
        #2=PRODUCT('H','collet holder','Holder',());
        #11=PRODUCT_DEFINITION_FORMATION('',$,#1);
        #12=PRODUCT_DEFINITION_FORMATION('',$,#2);
        #21=PRODUCT_DEFINITION('',$,#11,$);
        #22=PRODUCT_DEFINITION('',$,#12,$);
        #31=NEXT_ASSEMBLY_USAGE_OCCURRENCE('1','','',#21,#22,$);
        #32=PRODUCT_DEFINITION_SHAPE('','',#31);
        #33=(REPRESENTATION_RELATIONSHIP('','',#40,#41)REPRESENTATION_RELATIONSHIP_WITH_TRANSFORMATION(#34)SHAPE_REPRESENTATION_RELATIONSHIP());
        #34=ITEM_DEFINED_TRANSFORMATION('','',#35,#36);
        #35=AXIS2_PLACEMENT_3D('',#37,$,$);
        #36=AXIS2_PLACEMENT_3D('',#38,$,$);
        #37=CARTESIAN_POINT('',(0.,0.,10.));
        #38=CARTESIAN_POINT('',(0.,0.,45.));
        #39=CONTEXT_DEPENDENT_SHAPE_REPRESENTATION(#33,#32);
        #40=SHAPE_REPRESENTATION('',(#35),#905);
        #41=SHAPE_REPRESENTATION('',(#36),#905);
        """)
            .items();
    ExchangedItem set = items.getFirst();
    assertEquals("SET", set.id());
    assertEquals(
        "assembly", set.kind() == arborline.core.exchange.ItemKind.STACK ? "assembly" : "");
    assertEquals("H", set.parts().getFirst().id());
    assertEquals(Optional.of(35.0), set.parts().getFirst().position().map(BigDecimal::doubleValue));
  }

  @Test
  void garbageAndAStrayQuotationMarkTakeNoStatementWithThem() throws IOException {
    ExchangedItems read =
        read(
            """
            #1=ITEM('X-1','twist drill','Drill');
            >>> the writer can't go on
            #2=TOOL_PROPERTY('DC',#1,12.,#900);
            #3=TOOL_PROPERTY('OAL',#1,
            *** 3 % free ***
             100.,#900);
            """);
    assertEquals(Map.of("DC", "12", "OAL", "100"), values(read.items().getFirst()));
    assertEquals(
        List.of("garbage", "garbage"), read.faults().stream().map(Part21Fault::kind).toList());
  }

  @Test
  void whatIsDefinedElsewhereIsNotDangling() throws IOException {
    String file =
        "ISO-10303-21;HEADER;ENDSEC;ANCHOR;<a>=#1;ENDSEC;REFERENCE;#7=<other.p21#x>;ENDSEC;DATA;"
            + "#1=ITEM('X-1','twist drill','Drill');#2=NOTE_OF(#1,#7);ENDSEC;"
            + "SIGNATURE;abc;ENDSEC;END-ISO-10303-21;";
    ExchangedItems read =
        ExchangedItems.read(file.getBytes(StandardCharsets.UTF_8), PropertyDictionary.NONE);
    assertEquals(List.of(), read.faults());
    assertEquals("X-1", read.items().getFirst().id());
  }

  @Test
  void aNumberThatIsUsedTwiceTakesDownOnlyWhatHangsOnIt() throws IOException {
    ExchangedItems read =
        read(
            """
            #1=ITEM('X-1','twist drill','Drill');
            #2=TOOL_PROPERTY('DC',#1,#3);
            #3=NUMERICAL_VALUE(12.,#900);
            #3=NUMERICAL_VALUE(13.,#900);
            #4=TOOL_PROPERTY('OAL',#1,100.,#900);
            """);
    assertEquals(Map.of("OAL", "100"), values(read.items().getFirst()));
    assertEquals(List.of("duplicate-id"), read.faults().stream().map(Part21Fault::kind).toList());
  }

  @Test
  void whatIsNoExchangeFileIsRefused() {
    assertThrows(
        UnreadableFileException.class,
        () -> ExchangedItems.read("CODE,NAME".getBytes(StandardCharsets.UTF_8), IDS));
  }

  @ParameterizedTest
  @CsvSource({
    "'Fr\\S\\dser', Fräser",
    "'\\PB\\\\S\\v\\PA\\ \\S\\d', ö ä",
    "'\\PE\\\\S\\4', Д",
    "'\\X\\B0 \\X2\\00E4\\X0\\ \\X4\\0001F527\\X0\\', ° ä 🔧",
    "'a\\\\b', 'a\\b'"
  })
  void stringsAreReadInEveryAlphabet(String raw, String text) {
    assertEquals(text, Part21Text.decoded(raw));
  }

  @Test
  void twoNumbersThatMayBeASizeAndACountAreAsked() throws IOException {
    ExchangedItem item =
        read("""
        #1=ITEM('X-1','twist drill','Drill');
        #2=TOOL_PROPERTY('DC',#1,12.,3,#900);
        """)
            .items()
            .getFirst();
    assertEquals(Map.of(), values(item));
    assertTrue(item.doubtful().get("DC").contains("12 or 3"), item.doubtful().toString());
  }

  @ParameterizedTest
  @ValueSource(strings = {"x;", "/*\n", "#1=A();\n", "'", "#2=LANGUAGE(#2);"})
  void muchOfTheSameEndsInBoundedTime(String piece) throws IOException {
    String file = "ISO-10303-21;HEADER;ENDSEC;DATA;" + piece.repeat(200_000);
    try {
      assertTrue(ExchangedItems.read(file.getBytes(StandardCharsets.UTF_8), IDS).items().isEmpty());
    } catch (UnreadableFileException refused) {
      assertTrue(refused.getMessage().startsWith("line "), refused.getMessage());
    }
  }

  @Test
  void oneStatementThatRefersToAllOthersEndsInBoundedTime() throws IOException {
    StringBuilder file = new StringBuilder("#1=ITEM('X-1','drill','x');");
    StringBuilder all = new StringBuilder("#9=GROUP((#1");
    for (int i = 10; i < 200_000; i++) {
      file.append("#%d=A();".formatted(i));
      all.append(",#").append(i);
    }
    assertEquals("X-1", read(file.append(all).append("));").toString()).items().getFirst().id());
  }

  @Test
  void namesInALongChainAreNotFollowedForever() throws IOException {
    StringBuilder chain = new StringBuilder("#1=ITEM('X-1',#100);");
    for (int i = 10; i < 50_000; i++) {
      chain.append("#%d=STRING_WITH_LANGUAGE($,#%d);".formatted(i * 10, i * 10 + 10));
    }
    assertEquals("X-1", read(chain.toString()).items().getFirst().id());
  }

  @Test
  void garbageBeforeTheEndOfASectionTakesItNotAway() throws IOException {
    ExchangedItems read = read("#1=ITEM('A','drill','x');\n?? <<< copied twice");
    assertEquals(
        List.of(Part21Fault.GARBAGE),
        read.faults().stream().map(Part21Fault::kind).toList(),
        read.faults().toString());
    assertEquals(1, read.items().size());
  }

  @Test
  void aWeightWithoutItsUnitIsAskedAndIsNoFaultOfLengths() throws IOException {
    ExchangedItems read = read("#1=ITEM('A','drill','x');\n#2=TOOL_PROPERTY('WT',#1,1.2,#77,$);");
    assertEquals(
        List.of(Part21Fault.DANGLING_REFERENCE),
        read.faults().stream().map(Part21Fault::kind).toList());
    assertEquals(Set.of("WT"), read.items().getFirst().doubtful().keySet());
  }
}
