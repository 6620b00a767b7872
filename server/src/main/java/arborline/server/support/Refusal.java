package arborline.server.support;

import org.springframework.http.HttpStatus;

/**
 * A request that cannot be carried out, for a reason its sender can act on. Becomes an RFC 9457
 * problem document.
 */
public class Refusal extends RuntimeException {

  private static final long serialVersionUID = 1L;

  private final HttpStatus status;
  private final transient Object details;

  private Refusal(HttpStatus status, String message, Object details) {
    super(message);
    this.status = status;
    this.details = details;
  }

  /** The request itself is wrong; the message says what to change. */
  public static Refusal badRequest(String message) {
    return new Refusal(HttpStatus.BAD_REQUEST, message, null);
  }

  /** As {@link #badRequest(String)}, with what is wrong one by one. */
  public static Refusal badRequest(String message, Object details) {
    return new Refusal(HttpStatus.BAD_REQUEST, message, details);
  }

  public static Refusal notFound(String message) {
    return new Refusal(HttpStatus.NOT_FOUND, message, null);
  }

  /** The state of things does not allow it now. */
  public static Refusal conflict(String message) {
    return new Refusal(HttpStatus.CONFLICT, message, null);
  }

  /** As {@link #conflict(String)}, with what stands against it. */
  public static Refusal conflict(String message, Object details) {
    return new Refusal(HttpStatus.CONFLICT, message, details);
  }

  public static Refusal of(HttpStatus status, String message) {
    return new Refusal(status, message, null);
  }

  public HttpStatus status() {
    return status;
  }

  public Object details() {
    return details;
  }
}
