package arborline.core.solid;

import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;

/**
 * What a solid may be.
 *
 * @param kind {@code cutter}, {@code holder}, {@code extension}, {@code collet}, {@code insert},
 *     {@code shank} of a turning tool, or {@code other}
 * @param classId our tool class; nothing where the shape does not tell one
 * @param confidence from 0 to 1
 * @param properties dimensions by symbol, mm and degrees
 * @param texts such as the connection by symbol
 */
public record SolidProposal(
    String kind,
    Optional<String> classId,
    BigDecimal confidence,
    Map<String, BigDecimal> properties,
    Map<String, String> texts) {}
