package arborline.core.inspect;

import arborline.core.finding.Finding;

/**
 * Tells findings about what comes with a tool, its cutting data and stacks, from those about it.
 */
public final class BelongingFindings {

  private static final String CUTTING = "cutting-";

  private BelongingFindings() {}

  /** True for a finding about cutting data or a stack that comes with a tool. */
  public static boolean are(Finding finding) {
    return cutting(finding)
        || finding.code().startsWith("stack-")
        || finding.code().equals("part-missing");
  }

  /** True for a finding about cutting data that come with a tool. */
  public static boolean cutting(Finding finding) {
    return finding.code().startsWith(CUTTING);
  }
}
