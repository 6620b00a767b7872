package arborline.server.trail;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.right.LibraryGuard;
import arborline.server.right.ToolGuard;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authentication.TestingAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;

class TrailTest {

  private record Changed(long toolId) {}

  private static final Changed NEW_DC = new Changed(7);
  private static final Instant NOON = Instant.parse("2026-11-23T12:00:00Z");

  private final TrailRepository entries = mock(TrailRepository.class);
  private final LibraryLines libraries = mock();
  private static final UndoKind<Changed> CHANGED =
      new UndoKind<>("test", 2, Changed.class, Permission.EDIT);

  private final List<Changed> takenBack = new ArrayList<>();
  private Undo<Changed> undo = Undo.of(CHANGED, takenBack::add);
  private final TrailEntry deed =
      new TrailEntry(
          NOON, "lead", TrailRecord.of("tool", 7, "changed DC").undoneBy(CHANGED, NEW_DC), "{}");
  private Trail trail;

  @BeforeEach
  void aDeedThatCanBeTakenBack() {
    @SuppressWarnings("unchecked")
    ObjectProvider<Undo<?>> undos = mock(ObjectProvider.class);
    when(undos.stream()).thenAnswer(call -> Stream.of(undo));
    Json json = mock(Json.class);
    when(json.read("{}", Changed.class)).thenReturn(NEW_DC);
    when(entries.findById(7)).thenReturn(Optional.of(deed));
    when(entries.claim(7)).thenReturn(1, 0);
    when(entries.save(any()))
        .thenAnswer(call -> {
          TrailEntry saved = call.getArgument(0);
          saved.id = 8L;
          return saved;
        });
    trail =
        new Trail(
            entries,
            libraries,
            undos,
            json,
            mock(Live.class),
            Clock.fixed(NOON, ZoneOffset.UTC),
            mock(ToolGuard.class),
            mock(LibraryGuard.class));
    actAs("EDIT");
  }

  @AfterEach
  void leave() {
    SecurityContextHolder.clearContext();
  }

  private static void actAs(String permission) {
    SecurityContextHolder.getContext()
        .setAuthentication(new TestingAuthenticationToken("nell", null, permission));
  }

  @Test
  void takingBackIsADeedOfItsOwn() {
    trail.undo(7);
    assertEquals(List.of(NEW_DC), takenBack);
    verify(entries).undone(7, 8);
  }

  @Test
  void whatLaterChangesForbidStaysDone() {
    undo =
        Undo.of(
            CHANGED,
            changed -> {
              throw Refusal.conflict("the tool is in pocket 4 now");
            });
    assertEquals(
        "the tool is in pocket 4 now",
        assertThrows(Refusal.class, () -> trail.undo(7)).getMessage());
    verify(entries, never()).undone(anyLong(), anyLong());
    verify(entries, never()).save(any());
  }

  @Test
  void nobodyTakesBackTwice() {
    trail.undo(7);
    assertThrows(Refusal.class, () -> trail.undo(7));
    assertEquals(List.of(NEW_DC), takenBack);
  }

  @Test
  void whoMayNotDoItMayNotTakeItBack() {
    actAs("LOAD");
    assertThrows(AccessDeniedException.class, () -> trail.undo(7));
    assertEquals(List.of(), takenBack);
  }

  @Test
  void whatAnotherVersionKeptIsRefusedInWords() {
    deed.undoVersion = 1;
    assertTrue(
        assertThrows(Refusal.class, () -> trail.undo(7)).getMessage().contains("another version"));
    assertEquals(List.of(), takenBack);
  }

  @Test
  void aSentenceTooLongForTheTrailIsCut() {
    TrailEntry entry =
        new TrailEntry(NOON, "lead", TrailRecord.of("tool", 7, "x".repeat(700)), null);
    assertEquals(500, entry.text.length());
  }

  @Test
  void whatCanBeTakenBackIsKeptForTheLibrariesThatItChanged() {
    trail.record(
        TrailRecord.of("tool", 7, "moved it").in(Set.of(3L, 4L)).undoneBy(CHANGED, NEW_DC));
    verify(libraries).changed(8, Set.of(3L, 4L));
    trail.record(TrailRecord.of("library", 5L, "renamed").undoneBy(CHANGED, NEW_DC));
    verify(libraries).changed(8, Set.of(5L));
  }

  @Test
  void whatCannotBeTakenBackIsNoPartOfTheHistoryOfALibrary() {
    trail.record(TrailRecord.of("library", 5L, "has it written as a file"));
    trail.undo(7);
    verify(libraries, never()).changed(anyLong(), any());
  }
}
