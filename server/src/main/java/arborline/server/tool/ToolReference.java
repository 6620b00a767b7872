package arborline.server.tool;

import java.util.List;

/**
 * Something that refers to tools and follows when one is merged into another. A bean of this type
 * takes part in every merge, in the order that the beans have.
 */
public interface ToolReference {

  /** Under which what followed is kept; never changed. */
  String name();

  /**
   * Has everything that refers to a tool refer to another one.
   *
   * @param from is locked, and in no library afterwards
   * @throws arborline.server.support.Refusal where that cannot be
   */
  Followed follow(CurrentTool from, CurrentTool into);

  /**
   * Has what followed refer to its tool again.
   *
   * @param kept as {@link #follow} gave it
   * @throws arborline.server.support.Refusal where something was changed since
   */
  void goBack(CurrentTool from, CurrentTool into, String kept);

  /**
   * What followed.
   *
   * @param kept what going back needs, as JSON; empty where nothing followed
   * @param sentences what people are told
   */
  record Followed(String kept, List<String> sentences) {

    public static final Followed NOTHING = new Followed("", List.of());

    public Followed {
      sentences = List.copyOf(sentences);
    }
  }
}
