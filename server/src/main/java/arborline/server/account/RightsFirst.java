package arborline.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.function.Supplier;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.access.AccessDeniedException;
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

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this);
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    if (handler instanceof HandlerMethod method) {
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
}
