package arborline.core.exchange;

import java.io.IOException;

/** The file as a whole cannot be read; the message says where, why and what to do. */
public final class UnreadableFileException extends IOException {

  private static final long serialVersionUID = 1L;

  public UnreadableFileException(String message) {
    super(message);
  }

  public UnreadableFileException(String message, Throwable cause) {
    super(message, cause);
  }
}
