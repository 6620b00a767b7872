package arborline.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.lang.reflect.Method;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.authorization.AuthorizationResult;
import org.springframework.security.authorization.method.PreAuthorizeAuthorizationManager;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.util.SimpleMethodInvocation;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Asks for the right to do something before any of the request's body is read: an upload that may
 * not be is not stored first.
 */
@Configuration
class RightsFirst implements WebMvcConfigurer, HandlerInterceptor {

  private final PreAuthorizeAuthorizationManager rights = new PreAuthorizeAuthorizationManager();

  /** Whether a method asks for a right; searching its annotations each time would be slow. */
  private final Map<Method, Boolean> asking = new ConcurrentHashMap<>();

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this);
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    if (handler instanceof HandlerMethod method && asksForRight(method)) {
      Supplier<Authentication> who = () -> SecurityContextHolder.getContext().getAuthentication();
      AuthorizationResult allowed =
          rights.authorize(
              who,
              new SimpleMethodInvocation(
                  method.getBean(),
                  method.getMethod(),
                  new Object[method.getMethodParameters().length]));
      if (allowed != null && !allowed.isGranted()) {
        throw new AccessDeniedException("the right to do this is missing");
      }
    }
    return true;
  }

  private boolean asksForRight(HandlerMethod handler) {
    return asking.computeIfAbsent(
        handler.getMethod(),
        method ->
            AnnotatedElementUtils.hasAnnotation(method, PreAuthorize.class)
                || AnnotatedElementUtils.hasAnnotation(handler.getBeanType(), PreAuthorize.class));
  }
}
