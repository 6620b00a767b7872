package arborline.server.right;

import arborline.core.sharing.LibraryRight;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * Every address of a library, and of something that belongs to a tool, is there only for those who
 * see it; so is a library that a parameter names. Asked before anything of the request is read.
 */
@Configuration
class SeenFirst implements WebMvcConfigurer, HandlerInterceptor {

  private static final String API = "/api/v1/";
  private static final int AFTER_RIGHTS_OF_ROLES = 1;

  /** Which tool something belongs to, by the first step of its address. */
  private static final Map<String, String> TOOL_OF =
      Map.of(
          "stacks", "select tool_id from stack where id = ?",
          "cutting", "select tool_id from cutting_line where id = ?");

  /** Which library something belongs to. */
  private static final Map<String, String> LIBRARY_OF =
      Map.of(
          "editions", "select library_id from edition where id = ?",
          "outlets", "select library_id from outlet where id = ?",
          "proposals", "select library_id from proposal where id = ?");

  private final LibraryGuard libraries;
  private final ToolGuard tools;
  private final JdbcClient jdbc;

  SeenFirst(LibraryGuard libraries, ToolGuard tools, JdbcClient jdbc) {
    this.libraries = libraries;
    this.tools = tools;
    this.jdbc = jdbc;
  }

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this).addPathPatterns(API + "**").order(AFTER_RIGHTS_OF_ROLES);
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    if (Askers.current().isEmpty()) {
      return true;
    }
    LibraryRight needed = needed(handler);
    String[] steps = pattern(request).split("/");
    String kind = Optional.ofNullable(variable(request, "owner")).orElse(steps[0]);
    boolean rights = steps.length == 3 && steps[2].equals("rights");
    Optional.ofNullable(variable(request, "ownerId"))
        .or(() -> Optional.ofNullable(variable(request, "id")))
        .flatMap(SeenFirst::number)
        .ifPresent(id -> {
          if (rights) {
            libraries.needRights(id);
          } else {
            need(kind, id, needed);
          }
        });
    asked(request).stream()
        .flatMap(text -> number(text).stream())
        .filter(library -> library != 0)
        .forEach(library -> libraries.need(library, LibraryRight.USE));
    return true;
  }

  /**
   * The address as its operation states it: the one that was sent may spell the same otherwise,
   * with letters encoded.
   */
  private static String pattern(HttpServletRequest request) {
    Object pattern = request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE);
    String text = pattern == null ? "" : pattern.toString();
    return text.startsWith(API) ? text.substring(API.length()) : text;
  }

  /** Libraries that the address names; parameters of a body would be read for that. */
  private static List<String> asked(HttpServletRequest request) {
    String query = Optional.ofNullable(request.getQueryString()).orElse("");
    List<String> values =
        UriComponentsBuilder.newInstance().query(query).build().getQueryParams().get("library");
    return Optional.ofNullable(values).orElse(List.of()).stream().filter(Objects::nonNull).toList();
  }

  private static LibraryRight needed(Object handler) {
    NeedsInLibrary said =
        handler instanceof HandlerMethod method
            ? method.getMethodAnnotation(NeedsInLibrary.class)
            : null;
    return said == null ? LibraryRight.USE : said.value();
  }

  private void need(String kind, long id, LibraryRight needed) {
    if (kind.equals("libraries")) {
      libraries.need(id, needed);
    } else if (kind.equals("tools")) {
      tools.needSight(List.of(id));
    } else if (LIBRARY_OF.containsKey(kind)) {
      jdbc.sql(LIBRARY_OF.get(kind))
          .param(id)
          .query(Long.class)
          .optional()
          .ifPresent(library -> libraries.need(library, needed));
    } else if (TOOL_OF.containsKey(kind)) {
      jdbc.sql(TOOL_OF.get(kind))
          .param(id)
          .query(Long.class)
          .optional()
          .ifPresent(tool -> tools.needSight(List.of(tool)));
    }
  }

  @SuppressWarnings("unchecked")
  private static @Nullable String variable(HttpServletRequest request, String name) {
    Object variables = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
    return variables instanceof Map<?, ?> known ? ((Map<String, String>) known).get(name) : null;
  }

  /** What is no number is refused where it is read. */
  private static Optional<Long> number(@Nullable String text) {
    try {
      return Optional.ofNullable(text)
          .map(sent -> Long.valueOf(URLDecoder.decode(sent, StandardCharsets.UTF_8)));
    } catch (IllegalArgumentException none) {
      return Optional.empty();
    }
  }
}
