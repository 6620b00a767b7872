package arborline.server.support;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.Mockito.mock;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpStatus;
import org.springframework.web.method.HandlerMethod;

class LongWorkTurnsTest {

  private final LongWorkTurns turns = new LongWorkTurns(1, Duration.ZERO);
  private final HttpServletRequest request = mock();
  private final HttpServletResponse response = mock();
  private final Object longWork = handler("longWork");
  private final Object shortWork = handler("shortWork");

  static final class Orders {
    @LongWork
    public void longWork() {}

    public void shortWork() {}
  }

  private static Object handler(String name) {
    try {
      return new HandlerMethod(new Orders(), name);
    } catch (NoSuchMethodException missing) {
      throw new IllegalStateException(missing);
    }
  }

  private boolean begin(Object handler) throws InterruptedException {
    return turns.preHandle(request, response, handler);
  }

  @Test
  void whoFindsNoTurnIsToldSo() throws InterruptedException {
    begin(longWork);
    Refusal refused = assertThrows(Refusal.class, () -> begin(longWork));
    assertEquals(HttpStatus.SERVICE_UNAVAILABLE, refused.status());
    assertTrue(refused.getMessage().contains("try again"));
  }

  @Test
  void theNextBeginsWhereOneEnds() throws InterruptedException {
    begin(longWork);
    turns.afterCompletion(request, response, longWork, new IllegalStateException("broken off"));
    assertTrue(begin(longWork));
  }

  @Test
  void shortWorkNeverWaitsAndEndsNobodysTurn() throws InterruptedException {
    begin(longWork);
    assertTrue(begin(shortWork));
    turns.afterCompletion(request, response, shortWork, null);
    assertThrows(Refusal.class, () -> begin(longWork));
  }

  @Test
  void whatIsNoMethodOfOursPasses() throws InterruptedException {
    begin(longWork);
    assertTrue(begin(new Object()));
  }
}
