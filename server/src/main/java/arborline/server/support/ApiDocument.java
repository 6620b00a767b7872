package arborline.server.support;

import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.beans.factory.config.BeanDefinition;
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
      Map<String, Set<String>> nullable = nullableFields();
      api.getComponents()
          .getSchemas()
          .forEach((name, schema) -> require(schema, nullable.getOrDefault(name, Set.of())));
    };
  }

  @SuppressWarnings({"rawtypes", "unchecked"})
  private static void require(Schema schema, Set<String> nullable) {
    if (schema.getProperties() != null) {
      TreeSet<String> required = new TreeSet<>(schema.getProperties().keySet());
      required.removeAll(nullable);
      schema.setRequired(List.copyOf(required));
    }
  }

  /** Nullable components of all records of the product, by simple name. */
  private static Map<String, Set<String>> nullableFields() {
    var scanner =
        new ClassPathScanningCandidateComponentProvider(false) {
          @Override
          protected boolean isCandidateComponent(
              org.springframework.beans.factory.annotation.AnnotatedBeanDefinition definition) {
            return true;
          }
        };
    scanner.addIncludeFilter(new AssignableTypeFilter(Record.class));
    Map<String, Set<String>> fields = new HashMap<>();
    for (BeanDefinition bean : scanner.findCandidateComponents("arborline")) {
      Class<?> record = ClassUtils.resolveClassName(bean.getBeanClassName(), null);
      fields.put(record.getSimpleName(), nullable(record));
    }
    return fields;
  }

  private static Set<String> nullable(Class<?> record) {
    Set<String> names = new TreeSet<>();
    for (RecordComponent component : record.getRecordComponents()) {
      boolean optional = component.getType() == java.util.Optional.class;
      if (optional || component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
        names.add(component.getName());
      }
    }
    return names;
  }
}
