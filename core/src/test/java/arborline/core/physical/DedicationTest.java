package arborline.core.physical;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.cutting.WorkMaterial;
import arborline.core.cutting.WorkMaterials;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class DedicationTest {

  private static WorkMaterial material(String name) {
    return WorkMaterials.find(name).orElseThrow();
  }

  @Test
  void whatHasCutMetalIsNotOfferedForAcetal() {
    assertEquals(
        Optional.of(
            "MC-FE06.1 has cut bronze (metal) and stays with metal: for polyethylene, acetal,"
                + " polyamide take one that has not"),
        Dedication.refusal(
            "MC-FE06.1", List.of(material("n-bronze")), material("o-thermoplastic")));
  }

  @Test
  void oneMetalAfterAnotherIsNoMatter() {
    assertEquals(
        Optional.empty(),
        Dedication.refusal("A.1", List.of(material("n-bronze")), material("1.4462")));
  }

  @Test
  void whatHasCutNothingCutsAnything() {
    assertEquals(Optional.empty(), Dedication.refusal("A.1", List.of(), material("w-soft")));
  }

  @Test
  void woodAndPlasticAreKeptApart() {
    assertEquals(
        true,
        Dedication.refusal("A.1", List.of(material("w-soft")), material("o-acrylic")).isPresent());
  }
}
