package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.RuleBook;
import arborline.core.tool.Sample;
import org.junit.jupiter.api.Test;

class ExternalTurningToolTest {

  private static final Trial SOUND =
      Trial.of(
          "CLASS=turning-external KAPR=95 RE=0.8 H=25 B=25 WF=32 LF=150 HAND=R SC=C EPSR=80 IC=12.7");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("KAPR", "RE", "H", "B", "WF", "LF", "HAND");
  }

  @Test
  void carriesItsInsertInTrueShape() {
    assertEquals(12.7 * 12.7 / Math.sin(Math.toRadians(80)), SOUND.cuttingArea(), 1e-3);
  }

  @Test
  void edgeAndCornerLeaveAnEndClearance() {
    SOUND.refuses("KAPR=100", "trailing-edge", "100 deg");
    SOUND.allows("KAPR=99");
  }

  @Test
  void aDesignationContradictedIsNamed() {
    SOUND.refuses("MIID=DNMG_150408", "insert-contradicts", "DNMG 150408");
  }

  @Test
  void theInsertFitsItsSeat() {
    Trial holder =
        Trial.of(
            "CLASS=turning-external SHANK=PCLNR_2525_M_12 MIID=CNMG_120408 MTP=P SC=C SSC=12"
                + " KAPR=95 PSIR=-5 EPSR=80 AN=0 HAND=R H=25 B=25 HF=25 WF=32 LF=150 IC=12.7 L=12.9"
                + " S=4.76 RE=0.8");
    holder.refuses("MIID=CNMG_160408 IC=15.875 L=16.1", "insert-seat", "size 16 instead of 12");
    assertTrue(
        RuleBook.judge(Sample.tool("CLASS=turning-external SHANK=PCLNR_2525_M_12 MIID=SCMT_120408"))
            .stream()
            .filter(finding -> finding.code().equals("insert-seat"))
            .anyMatch(finding ->
                finding.message().endsWith("shape S instead of C, clearance C instead of N")));
  }
}
