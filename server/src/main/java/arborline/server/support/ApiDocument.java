package arborline.server.support;

import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.type.filter.AssignableTypeFilter;
import org.springframework.util.ClassUtils;

/** Says in the API document which fields are always there: all that are not marked nullable. */
@Configuration
class ApiDocument {

  @Bean
  OpenApiCustomizer requiredFields() {
    return api -> {
      api.getInfo().title("Arbor Line").version("1");
      api.setServers(List.of(new Server().url("/")));
      Map<String, List<Class<?>>> records = records();
      api.getComponents()
          .getSchemas()
          .forEach((name, schema) -> require(schema, records.getOrDefault(name, List.of())));
    };
  }

  @SuppressWarnings({"rawtypes", "unchecked"})
  private static void require(Schema schema, List<Class<?>> named) {
    if (schema.getProperties() != null) {
      Set<String> properties = schema.getProperties().keySet();
      TreeSet<String> required = new TreeSet<>(properties);
      required.removeAll(nullable(meant(named, properties)));
      schema.setRequired(List.copyOf(required));
    }
  }

  /**
   * Schemas go by the simple names of records; of several with one name their fields tell which.
   */
  private static List<Class<?>> meant(List<Class<?>> named, Set<String> properties) {
    return named.size() < 2
        ? named
        : named.stream().filter(record -> names(record).equals(properties)).toList();
  }

  private static Set<String> names(Class<?> record) {
    return Stream.of(record.getRecordComponents())
        .map(RecordComponent::getName)
        .collect(Collectors.toSet());
  }

  private static Set<String> nullable(List<Class<?>> records) {
    return records.stream()
        .flatMap(record -> Stream.of(record.getRecordComponents()))
        .filter(ApiDocument::nullable)
        .map(RecordComponent::getName)
        .collect(Collectors.toSet());
  }

  private static boolean nullable(RecordComponent component) {
    return component.getType() == Optional.class
        || component.getAnnotatedType().isAnnotationPresent(Nullable.class);
  }

  /** All records of the product, by simple name. */
  private static Map<String, List<Class<?>>> records() {
    var scanner =
        new ClassPathScanningCandidateComponentProvider(false) {
          @Override
          protected boolean isCandidateComponent(
              org.springframework.beans.factory.annotation.AnnotatedBeanDefinition definition) {
            return true;
          }
        };
    scanner.addIncludeFilter(new AssignableTypeFilter(Record.class));
    return scanner.findCandidateComponents("arborline").stream()
        .<Class<?>>map(bean -> ClassUtils.resolveClassName(bean.getBeanClassName(), null))
        .collect(Collectors.groupingBy(Class::getSimpleName));
  }
}
