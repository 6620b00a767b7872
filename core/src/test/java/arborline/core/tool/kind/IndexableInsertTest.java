package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class IndexableInsertTest {

  private static final Trial SOUND =
      Trial.of("CLASS=insert MIID=CNMG_120408 SC=C IC=12.7 S=4.76 RE=0.8 AN=0 EPSR=80 L=12.9");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("SC", "IC", "S");
  }

  @Test
  void liesInTrueShape() {
    assertEquals(12.7 * 12.7 / Math.sin(Math.toRadians(80)), SOUND.cuttingArea(), 1e-3);
    assertEquals(12.7 * 12.7, SOUND.with("SC=S MIID= EPSR=90").cuttingArea(), 1e-3);
    assertEquals(Math.PI / 4 * 100, SOUND.with("SC=R IC=10 MIID= EPSR= RE= L=").cuttingArea(), 0.5);
  }

  @Test
  void sizesAndDesignationAgree() {
    SOUND.refuses("IC=9.525", "insert-contradicts", "12.7");
    SOUND.refuses("RE=1.2", "insert-contradicts", "RE 0.8");
  }

  @Test
  void sizesWithoutADesignationGiveOne() {
    SOUND.refuses("MIID=", "insert-named", "CNMG 120408");
    SOUND.refuses("MIID= AN=7", "insert-named", "CCMG 120408");
  }

  @Test
  void aWrongDesignationSaysWhere() {
    SOUND.refuses("MIID=XNMG_120408", "insert-designation", "XNMG 120408");
  }
}
