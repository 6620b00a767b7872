package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The trail by person, kind, library, words and time. */
class TrailSearchTest extends ServerTest {

  private Shelves shelves;

  @BeforeEach
  void shelves() {
    shelves = new Shelves(lead);
  }

  private List<String> texts(String query) {
    List<String> texts = new ArrayList<>();
    lead.get("/api/v1/trail?limit=50&" + query)
        .at("items")
        .forEach(line -> texts.add(line.get("text").asString()));
    return texts;
  }

  @Test
  void aLibraryHasWhatWasDoneToItAndToItsTools() {
    long library = shelves.library("Trail: mine");
    long other = shelves.library("Trail: other");
    long tool = shelves.mills(library, "TSL-1").getFirst();
    shelves.mills(other, "TSL-2");
    lead.send("PUT", "/api/v1/tools/%d?version=1".formatted(tool), Draft.mill("TSL-1", "11"));
    List<String> texts = texts("library=" + library);
    assertEquals(3, texts.size(), texts.toString());
    assertTrue(texts.get(0).startsWith("changed TSL-1"), texts.toString());
    assertEquals("opened library Trail: mine", texts.get(2));
  }

  @Test
  void whatOthersDidAndOtherKindsAreLeftOut() {
    long library = shelves.library("Trail: kinds");
    shelves.mills(library, "TSK-1");
    assertEquals(1, texts("kind=library&library=" + library).size());
    assertEquals(1, texts("kind=tool&library=" + library).size());
    assertEquals(List.of(), texts("kind=machine&library=" + library));
    assertEquals(List.of(), texts("who=nobody"));
  }

  @Test
  void oneThingHasItsOwnHistory() {
    long one = shelves.library("History of one");
    lead.send("PATCH", "/api/v1/libraries/" + one, Api.body("name", "History of one, renamed"));
    long other = shelves.library("History of another");
    List<String> found = texts("kind=library&subject=" + one);
    assertEquals(2, found.size(), found.toString());
    assertEquals(1, texts("kind=library&subject=" + other).size());
    assertEquals(List.of(), texts("kind=machine&subject=" + one));
  }

  @Test
  void wordsAreFoundAsTheyAre() {
    shelves.library("Trail: 100% words");
    assertEquals(1, found("100%25%20words"));
    assertEquals(0, found("100_%20words"));
  }

  private int found(String encoded) {
    return lead.get(java.net.URI.create("/api/v1/trail?text=" + encoded)).at("items").size();
  }

  @Test
  void timeIsFromAMomentToBeforeAnother() {
    Instant before = Instant.now().minusSeconds(60);
    shelves.library("Trail: time");
    assertEquals(1, texts("text=Trail: time&from=%s".formatted(before)).size());
    assertEquals(List.of(), texts("text=Trail: time&to=%s".formatted(before)));
  }

  @Test
  void peopleAreThoseWhoDidSomething() {
    shelves.library("Trail: people");
    List<String> people = new ArrayList<>();
    lead.get("/api/v1/trail/people").at("items").forEach(one -> people.add(one.asString()));
    assertTrue(people.contains("system"), people.toString());
  }

  @ParameterizedTest
  @ValueSource(strings = {"from=yesterday", "library=x", "after=nonsense"})
  void whatCannotBeReadIsRefusedInWords(String query) {
    Api.Answer refused = lead.get("/api/v1/trail?" + query);
    assertEquals(400, refused.status(), refused.toString());
  }

  @Test
  void whatWasTakenBackSaysSo() {
    long library = shelves.library("Trail: back");
    Api.Answer deleted = lead.send("DELETE", "/api/v1/libraries/" + library, Map.of());
    shelves.undo(deleted);
    List<String> undone = new ArrayList<>();
    lead.get("/api/v1/trail?text=Trail: back")
        .at("items")
        .forEach(line -> undone.add(line.get("undo").asString()));
    assertEquals(List.of("none", "done", "possible"), undone);
  }
}
