package arborline.server.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import arborline.server.ServerTest;
import arborline.server.support.Refusal;
import java.time.Clock;
import java.time.Instant;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

class WriteClaimsTest extends ServerTest {

  private static final String MACHINE = "CLAIMED";
  private static final Instant BEGIN = Instant.parse("2026-03-01T08:00:00Z");

  @Autowired JdbcClient database;

  private final Clock clock = mock(Clock.class);
  private WriteClaims claims;

  @BeforeEach
  void begin() {
    claims = new WriteClaims(database, clock);
    at(0);
  }

  @AfterEach
  void end() {
    claims.stop();
    database.sql("delete from table_claim where machine_id = ?").param(MACHINE).update();
  }

  private void at(long seconds) {
    when(clock.instant()).thenReturn(BEGIN.plusSeconds(seconds));
  }

  @Test
  void aSecondOneIsRefusedUntilTheFirstHasEnded() {
    WriteClaims.Claim first = claims.take(MACHINE);
    Refusal refused = assertThrows(Refusal.class, () -> claims.take(MACHINE));
    assertTrue(refused.getMessage().contains("somebody is writing"), refused.getMessage());
    first.close();
    claims.take(MACHINE).close();
  }

  /** As long as its writing lasts, and however long that is. */
  @Test
  void aClaimThatIsKeptDoesNotLapse() {
    WriteClaims.Claim first = claims.take(MACHINE);
    for (long second = 15; second <= 150; second += 15) {
      at(second);
      assertTrue(first.held());
      assertThrows(Refusal.class, () -> claims.take(MACHINE));
    }
  }

  @Test
  void thatOfAServerThatDiedLapses() {
    WriteClaims.Claim first = claims.take(MACHINE);
    at(19);
    assertThrows(Refusal.class, () -> claims.take(MACHINE));
    at(20);
    WriteClaims.Claim second = claims.take(MACHINE);
    assertFalse(first.held(), "somebody else has it");
    first.close();
    assertTrue(second.held(), "a late end does not take it from him");
  }

  @Test
  void ofTwentyAtOnceOneHasIt() throws Exception {
    try (var people = java.util.concurrent.Executors.newVirtualThreadPerTaskExecutor()) {
      var answers =
          java.util.stream.IntStream.range(0, 20)
              .mapToObj(index -> people.submit(() -> claims.take(MACHINE)))
              .toList();
      int taken = 0;
      for (var answer : answers) {
        try {
          answer.get();
          taken++;
        } catch (java.util.concurrent.ExecutionException refused) {
          assertTrue(refused.getCause() instanceof Refusal, refused.toString());
        }
      }
      assertEquals(1, taken);
    }
  }
}
