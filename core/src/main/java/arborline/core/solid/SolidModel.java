package arborline.core.solid;

import java.util.List;

/**
 * What a file holds.
 *
 * @param unit of its lengths
 * @param schema as the file names it: {@code AP203}, {@code AP214}, {@code AP242}, or its own word
 */
record SolidModel(List<Body> bodies, String unit, String schema, List<SolidFinding> findings) {}
