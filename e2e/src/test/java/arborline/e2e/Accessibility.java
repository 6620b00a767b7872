package arborline.e2e;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import java.util.List;

/** What axe finds in a view that hinders people. */
final class Accessibility {

  private static final List<String> HINDERING = List.of("moderate", "serious", "critical");

  private Accessibility() {}

  /** The faults by all rules. */
  static List<String> faults(Page page) {
    return faults(axe(page));
  }

  /** The faults of contrast alone. */
  static List<String> faultsOfContrast(Page page) {
    return faults(axe(page).withRules(List.of("color-contrast")));
  }

  /** Our views have no frames, so one call in the page itself sees everything. */
  private static AxeBuilder axe(Page page) {
    AxeRunOptions onlyFaults = new AxeRunOptions();
    onlyFaults.setResultTypes(List.of("violations"));
    return new AxeBuilder(page).options(onlyFaults).setLegacyMode(true);
  }

  private static List<String> faults(AxeBuilder axe) {
    return axe.analyze().getViolations().stream()
        .filter(rule -> HINDERING.contains(rule.getImpact()))
        .map(Accessibility::inWords)
        .toList();
  }

  private static String inWords(Rule rule) {
    return rule.getId() + " at " + rule.getNodes().getFirst().getTarget();
  }
}
