package arborline.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The server: persistence, accounts, web API, background work and live updates. */
@SpringBootApplication
@EnableScheduling
public class ArborLine {

  public static void main(String[] args) {
    SpringApplication.run(ArborLine.class, args);
  }
}
