/**
 * Tools in and out of files.
 *
 * <p>{@link arborline.core.exchange.BundleFormats} lists the formats. A reader turns a stream into
 * {@link arborline.core.exchange.RawItem}s without judging them; {@link
 * arborline.core.exchange.Interpreter} turns those into tools. A writer says what it cannot carry
 * before it writes. A new format is one file marked {@code AutoService(BundleFormat.class)}.
 */
package arborline.core.exchange;
