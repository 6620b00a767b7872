package arborline.server.library;

import java.util.List;

/** What refers to libraries and would lose its ground without them. */
public interface LibraryCitations {

  /** What refers to a library, each in words: {@code library 'Heron', which is derived from it}. */
  List<String> of(long libraryId);
}
