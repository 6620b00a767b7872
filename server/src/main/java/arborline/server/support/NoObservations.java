package arborline.server.support;

import io.micrometer.observation.ObservationRegistry;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Nobody watches single requests, so no filter spends time on telling about them. */
@Configuration
class NoObservations {

  @Bean
  ObservationRegistry observationRegistry() {
    return ObservationRegistry.NOOP;
  }
}
