package arborline.server.support;

import java.beans.PropertyEditorSupport;
import java.math.BigDecimal;
import java.util.regex.Pattern;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.format.support.FormattingConversionService;
import org.springframework.web.bind.support.ConfigurableWebBindingInitializer;

/**
 * Decimal parameters: as people write them, without an exponent and with bounded digits. An editor
 * and no converter: where a converter refuses, the framework would fall back on a reader without
 * bounds.
 */
@Configuration
class DecimalParameters {

  private static final Pattern PLAIN =
      Pattern.compile("[+-]?(\\d{1,15}(\\.\\d{0,20})?|\\.\\d{1,20})");

  @Bean
  ConfigurableWebBindingInitializer boundedDecimals(FormattingConversionService conversions) {
    ConfigurableWebBindingInitializer binding = new ConfigurableWebBindingInitializer();
    binding.setConversionService(conversions);
    binding.setPropertyEditorRegistrar(
        editors -> editors.registerCustomEditor(BigDecimal.class, new BoundedDecimal()));
    return binding;
  }

  private static final class BoundedDecimal extends PropertyEditorSupport {

    @Override
    public void setAsText(String text) {
      String number = text.strip();
      if (number.isEmpty()) {
        setValue(null);
      } else if (PLAIN.matcher(number).matches()) {
        setValue(new BigDecimal(number));
      } else {
        throw new IllegalArgumentException("not a plain decimal number");
      }
    }
  }
}
