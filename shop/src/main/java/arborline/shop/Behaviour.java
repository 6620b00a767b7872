package arborline.shop;

/**
 * How a control misbehaves.
 *
 * @param offline drops every connection
 * @param slowMillis waits before every answer
 * @param refuseRegister tool number whose offsets it refuses; 0 for none
 * @param protectedMemory refuses all writing
 * @param cutAfterRows drops the connection after so many rows, once; null for never
 * @param silentAfterFiles goes offline once it has taken so many files; null for never
 * @param garbage answers what no control says
 * @param halfFile answers the first half of it
 * @param clockMinutes how far its clock is ahead
 */
public record Behaviour(
    boolean offline,
    long slowMillis,
    int refuseRegister,
    boolean protectedMemory,
    Integer cutAfterRows,
    Integer silentAfterFiles,
    boolean garbage,
    boolean halfFile,
    long clockMinutes) {

  static final Behaviour GOOD = of("{}");

  /** From JSON such as {@code {"offline": true}}; what is not named is well. */
  static Behaviour of(String json) {
    return PanelEndpoint.JSON.readValue(json, Behaviour.class);
  }

  Behaviour cutTo(Integer rows) {
    return new Behaviour(
        offline,
        slowMillis,
        refuseRegister,
        protectedMemory,
        rows,
        silentAfterFiles,
        garbage,
        halfFile,
        clockMinutes);
  }

  /** A file was taken: one less until it falls silent. */
  Behaviour fileTaken() {
    if (silentAfterFiles == null) {
      return this;
    }
    boolean silent = silentAfterFiles <= 1;
    return new Behaviour(
        offline || silent,
        slowMillis,
        refuseRegister,
        protectedMemory,
        cutAfterRows,
        silent ? null : Integer.valueOf(silentAfterFiles - 1),
        garbage,
        halfFile,
        clockMinutes);
  }
}
