package arborline.server.support;

import java.io.IOException;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/** Serves the interface; an address that is no file is a place inside it. */
@Configuration
class PageConfig implements WebMvcConfigurer {

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/_app/immutable/**")
        .addResourceLocations("classpath:/static/_app/immutable/")
        .setCacheControl(CacheControl.maxAge(java.time.Duration.ofDays(365)).cachePublic());
    registry
        .addResourceHandler("/**")
        .addResourceLocations("classpath:/static/")
        .setCacheControl(CacheControl.noCache())
        .resourceChain(true)
        .addResolver(new InterfaceOrFile());
  }

  private static final class InterfaceOrFile extends PathResourceResolver {
    @Override
    protected Resource getResource(String path, Resource location) throws IOException {
      Resource file = super.getResource(path, location);
      boolean inside = !path.startsWith("api/") && !path.startsWith("_app/");
      return file == null && inside ? new ClassPathResource("static/index.html") : file;
    }
  }
}
