package arborline.server.support;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import tools.jackson.databind.json.JsonMapper;

/** Writes a problem document (RFC 9457) where no controller is reached. */
public final class ProblemWriter {

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private ProblemWriter() {}

  /** Answers with a problem; nothing else may have been written. */
  public static void write(HttpServletResponse response, HttpStatus status, String detail)
      throws IOException {
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.setCharacterEncoding(StandardCharsets.UTF_8.name());
    response.getWriter().write(text(status, detail));
  }

  static String text(HttpStatus status, String detail) {
    return JSON.writeValueAsString(
        Map.of("status", status.value(), "title", status.getReasonPhrase(), "detail", detail));
  }
}
