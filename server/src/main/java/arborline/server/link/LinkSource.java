package arborline.server.link;

import java.util.List;

/** Links of one kind, as they are kept. One file for each kind. */
interface LinkSource {

  /** All links of its kind, at most some thousands. */
  List<Link> all();
}
