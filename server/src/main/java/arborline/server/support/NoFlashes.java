package arborline.server.support;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.DispatcherServlet;
import org.springframework.web.servlet.FlashMap;
import org.springframework.web.servlet.FlashMapManager;

/**
 * No answer of ours leaves something in the session for the next one. Looking for it would load the
 * session from the database for every file of the interface.
 */
@Configuration
class NoFlashes {

  @Bean(DispatcherServlet.FLASH_MAP_MANAGER_BEAN_NAME)
  FlashMapManager flashMapManager() {
    return new FlashMapManager() {

      @Override
      public @Nullable FlashMap retrieveAndUpdate(
          HttpServletRequest request, HttpServletResponse response) {
        return null;
      }

      @Override
      public void saveOutputFlashMap(
          FlashMap flashes, HttpServletRequest request, HttpServletResponse response) {}
    };
  }
}
