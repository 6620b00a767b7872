package arborline.core.tool.rule;

import arborline.core.finding.Severity;
import arborline.core.tool.Tool;
import java.util.Locale;
import java.util.Set;

/**
 * The lead of a tap is one of the forms A to E, with or without its length behind it, or said by
 * the words of the inch trade.
 */
public final class LeadOfTap extends Relation {

  private static final String FORMS = "ABCDE";
  private static final Set<String> WORDS =
      Set.of("TAPER", "PLUG", "BOTTOMING", "SEMI-BOTTOMING", "MODIFIED BOTTOMING");

  public LeadOfTap() {
    super(
        "tap-lead-unknown",
        Severity.QUERY,
        LeadOfTap::known,
        tool ->
            sentence("lead %s is none of the forms A, B, C, D and E", tool.values().get("THCHT")),
        "THCHT");
  }

  private static boolean known(Tool tool) {
    String lead = tool.word("THCHT").orElse("").strip().toUpperCase(Locale.ROOT);
    return WORDS.contains(lead)
        || !lead.isEmpty()
            && FORMS.indexOf(lead.charAt(0)) >= 0
            && (lead.length() == 1 || !Character.isLetter(lead.charAt(1)));
  }
}
