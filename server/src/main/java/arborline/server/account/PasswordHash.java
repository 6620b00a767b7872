package arborline.server.account;

import java.io.IOException;
import java.nio.charset.StandardCharsets;

/** Prints the hash of a password that comes on standard input, for {@code ./arbor password}. */
public final class PasswordHash {

  private PasswordHash() {}

  public static void main(String[] arguments) throws IOException {
    String password = new String(System.in.readAllBytes(), StandardCharsets.UTF_8);
    System.out.println(new SecurityConfig().passwordEncoder().encode(password));
  }
}
