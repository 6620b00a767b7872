package arborline.server.account;

import java.io.Serial;
import java.io.Serializable;
import java.security.Principal;

/**
 * Who acts: an account, by itself or through one of its keys.
 *
 * @param name under which deeds stand on the trail
 * @param account its id
 */
public record SignedIn(String name, long account) implements Principal, Serializable {

  @Serial private static final long serialVersionUID = 1L;

  @Override
  public String getName() {
    return name;
  }
}
