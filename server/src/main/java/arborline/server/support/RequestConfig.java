package arborline.server.support;

import org.springframework.context.annotation.Configuration;
import org.springframework.http.converter.HttpMessageConverters;
import org.springframework.http.converter.json.JacksonJsonHttpMessageConverter;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.json.JsonMapper;

/** How bodies of requests are read: whole records, bounded numbers, words by their names. */
@Configuration
class RequestConfig implements WebMvcConfigurer {

  private final JsonMapper mapper;

  RequestConfig(JsonMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public void configureMessageConverters(HttpMessageConverters.ServerBuilder converters) {
    JsonMapper reading =
        mapper
            .rebuild()
            .addModule(WholeRecords.module())
            .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
            .build();
    converters.withJsonConverter(new JacksonJsonHttpMessageConverter(reading));
  }
}
