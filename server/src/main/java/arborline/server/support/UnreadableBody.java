package arborline.server.support;

import java.util.List;
import org.springframework.http.converter.HttpMessageNotReadableException;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.exc.MismatchedInputException;

/** Why a request body could not be read, in the sender's words, with the place. */
final class UnreadableBody {

  private UnreadableBody() {}

  static String reason(HttpMessageNotReadableException unreadable) {
    for (Throwable cause = unreadable; cause != null; cause = cause.getCause()) {
      if (cause instanceof JacksonException broken) {
        return reason(broken);
      }
    }
    return "the request needs a body in JSON";
  }

  private static String reason(JacksonException broken) {
    String place = place(broken.getPath());
    return switch (broken) {
      case StreamConstraintsException beyond ->
          "the body is nested, or a part of it is long, beyond all reason%s".formatted(place);
      case StreamReadException syntax ->
          "the body is not valid JSON in line %d".formatted(syntax.getLocation().getLineNr());
      case MismatchedInputException hole when hole.getOriginalMessage().startsWith("'") ->
          "the body cannot be taken%s: %s".formatted(place, hole.getOriginalMessage());
      default -> "the body holds what does not belong there%s".formatted(place);
    };
  }

  private static String place(List<JacksonException.Reference> path) {
    StringBuilder place = new StringBuilder();
    for (JacksonException.Reference step : path) {
      if (step.getPropertyName() != null) {
        place.append(place.isEmpty() ? "" : ".").append(step.getPropertyName());
      } else if (step.getIndex() >= 0) {
        place.append('[').append(step.getIndex()).append(']');
      }
    }
    return place.isEmpty() ? "" : " at '" + place + "'";
  }
}
