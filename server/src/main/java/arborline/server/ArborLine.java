package arborline.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.boot.webmvc.autoconfigure.WebMvcObservationAutoConfiguration;
import org.springframework.scheduling.annotation.EnableScheduling;

/**
 * The server: persistence, accounts, web API, background work and live updates. People are kept in
 * {@code account}, so the one made-up user of the framework is left out; nobody watches single
 * requests, so the filter that would tell about them is left out too.
 */
@SpringBootApplication(
    exclude = {UserDetailsServiceAutoConfiguration.class, WebMvcObservationAutoConfiguration.class})
@EnableScheduling
public class ArborLine {

  public static void main(String[] args) {
    SpringApplication.run(ArborLine.class, args);
  }
}
