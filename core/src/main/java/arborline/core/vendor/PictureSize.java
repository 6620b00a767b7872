package arborline.core.vendor;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** How large a picture is, where it is one and whole. */
public record PictureSize(int width, int height) {

  /** A larger one is believed by its head. */
  private static final long MOST_POINTS = 16_000_000L;

  /** The size of a picture; nothing where a file is none, or is cut off. */
  public static Optional<PictureSize> of(byte[] file) {
    try (ImageInputStream stream = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(stream);
      if (!readers.hasNext()) {
        return Optional.empty();
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(stream);
        PictureSize size = new PictureSize(reader.getWidth(0), reader.getHeight(0));
        if ((long) size.width() * size.height() <= MOST_POINTS) {
          reader.read(0);
        }
        return Optional.of(size);
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException broken) {
      return Optional.empty();
    }
  }
}
