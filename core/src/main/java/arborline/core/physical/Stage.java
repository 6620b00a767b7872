package arborline.core.physical;

/** What is to be done next with a physical tool: the stations of its way through the toolroom. */
public enum Stage {
  TO_ASSEMBLE,
  TO_MEASURE,
  TO_BRING,
  IN_MACHINE,
  TO_FETCH,
  /** Measured, and nobody waits for it. */
  READY,
  /** Broken, worn or lost. */
  OUT_OF_USE;

  /**
   * The station of a piece.
   *
   * @param assembled whether it is put together
   * @param measured whether all sizes are known that its machine needs
   * @param wanted whether the plan has it, or waits for one of its tool
   */
  public static Stage of(
      PhysicalState state, Whereabouts where, boolean assembled, boolean measured, boolean wanted) {
    if (where.inMachine()) {
      return state.usable() && wanted ? IN_MACHINE : TO_FETCH;
    }
    if (!state.usable()) {
      return OUT_OF_USE;
    }
    if (!assembled) {
      return TO_ASSEMBLE;
    }
    if (!measured) {
      return TO_MEASURE;
    }
    return wanted ? TO_BRING : READY;
  }
}
