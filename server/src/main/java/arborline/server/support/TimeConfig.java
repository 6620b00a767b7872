package arborline.server.support;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

@Configuration
class TimeConfig {

  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
