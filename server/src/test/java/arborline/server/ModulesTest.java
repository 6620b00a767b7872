package arborline.server;

import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

class ModulesTest {

  @Test
  void modulesKeepTheirInsideAndHaveNoCycles() {
    ApplicationModules.of(ArborLine.class).verify();
  }
}
