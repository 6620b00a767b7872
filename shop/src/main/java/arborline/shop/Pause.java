package arborline.shop;

/** A control that takes its time. */
final class Pause {

  private Pause() {}

  static void of(long millis) {
    try {
      Thread.sleep(millis);
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
    }
  }
}
