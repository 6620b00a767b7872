package arborline.core.tool;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;

class ShanksTest {

  private static boolean held(String toolClass, String values) {
    Tool tool = Sample.tool("CLASS=" + toolClass + " " + values);
    return Shanks.held(tool, Silhouettes.of(tool));
  }

  @Test
  void whatIsRoundOrHasAShankIsPutIntoAHolder() {
    assertTrue(held("end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4"));
    assertTrue(held("turning-external", "KAPR=95 H=20 B=20 LF=125 WF=25 RE=0.8 IC=12.7"));
  }

  @Test
  void anInsertIsHeldByATool() {
    assertFalse(held("insert", "IC=12.7 S=4.76 RE=0.8 EPSR=80"));
  }

  @Test
  void aToolWithoutSizesIsJudgedByItsClass() {
    assertTrue(held("end-mill-flat", ""));
    assertFalse(held("insert", ""));
  }
}
