package arborline.core.sharing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.sharing.LibraryRights.Asker;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LibraryRightsTest {

  private static final Asker LEAD =
      new Asker(Optional.of(1L), "LEAD", LibraryRight.OWNER, LibraryRight.OWNER, true);
  private static final Asker PROGRAMMER =
      new Asker(Optional.of(2L), "PROGRAMMER", LibraryRight.MAINTAIN, LibraryRight.OWNER, false);
  private static final Asker VISITOR =
      new Asker(Optional.of(3L), "VISITOR", LibraryRight.USE, LibraryRight.USE, false);
  private static final Asker KEY_OF_PROGRAMMERS =
      new Asker(Optional.empty(), "PROGRAMMER", LibraryRight.MAINTAIN, LibraryRight.OWNER, false);

  private static LibraryRights rights(Sharing sharing) {
    return new LibraryRights(
        sharing,
        Map.of(2L, LibraryRight.OWNER, 3L, LibraryRight.MAINTAIN),
        Map.of("PROGRAMMER", LibraryRight.PROPOSE));
  }

  @Test
  void aLibraryOfTheShopIsMaintainedAsRolesUsuallyDo() {
    assertEquals(Optional.of(LibraryRight.OWNER), LibraryRights.USUAL.of(LEAD));
    assertEquals(Optional.of(LibraryRight.MAINTAIN), LibraryRights.USUAL.of(PROGRAMMER));
    assertEquals(Optional.of(LibraryRight.USE), LibraryRights.USUAL.of(VISITOR));
    assertTrue(LibraryRights.USUAL.administers(LEAD));
    assertFalse(LibraryRights.USUAL.administers(PROGRAMMER));
  }

  @Test
  void aPersonGoesBeforeHisRoleAndNobodyBeyondWhatHisRoleMay() {
    LibraryRights rights = rights(Sharing.SHOP);
    assertEquals(Optional.of(LibraryRight.OWNER), rights.of(PROGRAMMER));
    assertEquals(Optional.of(LibraryRight.PROPOSE), rights.of(KEY_OF_PROGRAMMERS));
    assertEquals(Optional.of(LibraryRight.USE), rights.of(VISITOR));
    assertTrue(rights.administers(PROGRAMMER));
  }

  @Test
  void aPrivateLibraryIsSeenByThoseWhoAreNamed() {
    LibraryRights rights =
        new LibraryRights(Sharing.PRIVATE, Map.of(2L, LibraryRight.OWNER), Map.of());
    assertEquals(Optional.of(LibraryRight.OWNER), rights.of(PROGRAMMER));
    assertEquals(Optional.empty(), rights.of(LEAD));
    assertEquals(Optional.empty(), rights.of(KEY_OF_PROGRAMMERS));
    assertTrue(rights.administers(LEAD), "whoever leads the shop can hand it on");
  }

  @Test
  void aReferenceLibraryIsReadOnlyForAll() {
    LibraryRights rights = rights(Sharing.REFERENCE);
    assertEquals(Optional.of(LibraryRight.USE), rights.of(LEAD));
    assertEquals(Optional.of(LibraryRight.USE), rights.of(PROGRAMMER));
    assertTrue(rights.administers(PROGRAMMER));
    assertFalse(rights.administers(VISITOR));
  }
}
