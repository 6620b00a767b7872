package arborline.server.support;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Lets requests of {@link LongWork} in, some at once, in the order in which they came. */
@Configuration
class LongWorkTurns implements WebMvcConfigurer, HandlerInterceptor {

  /** Half of the connections of requests. */
  private static final int AT_ONCE = 8;

  private static final Duration PATIENCE = Duration.ofSeconds(60);

  /** Who may not do something is told so before. */
  private static final int AFTER_RIGHTS = 10;

  private final Semaphore turns;
  private final Duration patience;

  LongWorkTurns() {
    this(AT_ONCE, PATIENCE);
  }

  LongWorkTurns(int atOnce, Duration patience) {
    this.turns = new Semaphore(atOnce, true);
    this.patience = patience;
  }

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this).order(AFTER_RIGHTS);
  }

  @Override
  public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
      throws InterruptedException {
    if (isLong(handler) && !turns.tryAcquire(patience.toMillis(), TimeUnit.MILLISECONDS)) {
      throw Refusal.of(
          HttpStatus.SERVICE_UNAVAILABLE,
          "others have long work done just now; nothing was changed, try again in a moment");
    }
    return true;
  }

  @Override
  public void afterCompletion(
      HttpServletRequest request,
      HttpServletResponse response,
      Object handler,
      @Nullable Exception failure) {
    if (isLong(handler)) {
      turns.release();
    }
  }

  private static boolean isLong(Object handler) {
    return handler instanceof HandlerMethod method && method.hasMethodAnnotation(LongWork.class);
  }
}
