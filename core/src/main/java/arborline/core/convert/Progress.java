package arborline.core.convert;

import java.io.IOException;

/** Hears how far long work is; may stop it by an exception. */
public interface Progress {

  /** Nobody listens. */
  Progress NONE = (items, share) -> {};

  /**
   * So much is done.
   *
   * @param items that were met, all readings together
   * @param share of the whole work, from 0 to 1
   * @throws IOException to stop
   */
  void at(long items, double share) throws IOException;
}
