package arborline.core.job;

/**
 * A job that a change of a load would change.
 *
 * @param why a sentence without the name of the job
 */
public record JobChange(long job, String name, String why) {

  /** What would become of the job, as a sentence. */
  public String sentence() {
    return "%s %s".formatted(name, why);
  }
}
