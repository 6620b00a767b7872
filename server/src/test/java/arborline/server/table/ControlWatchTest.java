package arborline.server.table;

import static org.awaitility.Awaitility.await;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.atLeastOnce;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import arborline.core.machine.Machine;
import arborline.core.machine.MachineKinds;
import arborline.core.table.ControlTable;
import arborline.server.live.Live;
import arborline.server.machine.Machines;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** All controls are looked at, each apart. */
class ControlWatchTest {

  private static final ControlTable TABLE = new ControlTable(Map.of(), Optional.empty());
  private static final long ENOUGH_MILLIS = 10_000;

  private final Machines machines = mock(Machines.class);
  private final ControlLink link = mock(ControlLink.class);
  private final TableStore store = mock(TableStore.class);
  private final TableWatches watches = mock(TableWatches.class);
  private final Live live = mock(Live.class);
  private final ControlWatch watch =
      new ControlWatch(machines, link, store, watches, live, Clock.systemUTC());

  private static Machines.Linked linked(String id, String dialect) {
    Machine kind = MachineKinds.all().getFirst();
    var habits = kind.habits();
    Machine machine =
        new Machine(
            id,
            id,
            kind.kind(),
            kind.spindles(),
            kind.storages(),
            kind.axes(),
            new arborline.core.machine.ControlHabits(
                dialect,
                habits.wearApart(),
                habits.diameterShown(),
                habits.spindleReported(),
                habits.decimals(),
                habits.nameLength(),
                habits.nameCharacters(),
                null),
            kind.numbering(),
            kind.outputs());
    return new Machines.Linked(machine, "http://127.0.0.1:1/" + id, 1);
  }

  @BeforeEach
  void aReadingIsKept() {
    when(store.keep(anyString(), any(), any()))
        .thenReturn(new TableStore.Reading(7, Instant.EPOCH, TABLE));
  }

  @Test
  void oneThatIsDeadSlowsNobody() throws Exception {
    Machines.Linked dead = linked("A", "assets-g10");
    Machines.Linked good = linked("B", "assets-g10");
    when(machines.all()).thenReturn(List.of(dead, good));
    CountDownLatch asked = new CountDownLatch(1);
    CountDownLatch never = new CountDownLatch(1);
    when(link.watched(dead))
        .thenAnswer(call -> {
          asked.countDown();
          never.await();
          return TABLE;
        });
    CountDownLatch readThrice = new CountDownLatch(3);
    when(link.watched(good))
        .thenAnswer(call -> {
          readThrice.countDown();
          return TABLE;
        });
    watch.look();
    assertTrue(asked.await(ENOUGH_MILLIS, TimeUnit.MILLISECONDS));
    await()
        .atMost(ENOUGH_MILLIS, TimeUnit.MILLISECONDS)
        .until(() -> {
          watch.look();
          return readThrice.getCount() == 0;
        });
    verify(link).watched(dead);
    verify(live, atLeastOnce()).say("machine", "B", "table");
    never.countDown();
  }

  @Test
  void aControlThatNobodySpeaksToIsNotAsked() throws IOException {
    Machines.Linked silent = linked("C", "");
    when(machines.all()).thenReturn(List.of(silent));
    watch.look();
    verify(link, never()).watched(any());
  }

  @Test
  void whatDidNotChangeIsNotTold() throws IOException {
    Machines.Linked machine = linked("D", "assets-g10");
    when(link.watched(machine)).thenReturn(TABLE);
    when(store.latest("D"))
        .thenReturn(Optional.of(new TableStore.Reading(7, Instant.EPOCH, TABLE)));
    watch.look(machine);
    verify(live, never()).say(anyString(), any(), anyString());
  }

  @Test
  void thatAControlFellSilentIsToldOnceAndThatItIsBack() throws IOException {
    Machines.Linked machine = linked("E", "assets-g10");
    when(store.latest("E"))
        .thenReturn(Optional.of(new TableStore.Reading(7, Instant.EPOCH, TABLE)));
    when(link.watched(machine))
        .thenThrow(new IOException("nothing answers"))
        .thenThrow(new IOException("nothing answers"))
        .thenReturn(TABLE);
    when(watches.silent("E", "nothing answers")).thenReturn(true, false);
    when(watches.answered("E")).thenReturn(true);
    watch.look(machine);
    watch.look(machine);
    verify(live).say(eq("machine"), eq("E"), anyString());
    watch.look(machine);
    verify(live, org.mockito.Mockito.times(2)).say(eq("machine"), eq("E"), anyString());
  }
}
