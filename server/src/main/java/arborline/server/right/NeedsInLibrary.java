package arborline.server.right;

import arborline.core.sharing.LibraryRight;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * What somebody must have in the library that the address of an operation names, or in that of the
 * edition; asked before the body is read. Without it he must see the library.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface NeedsInLibrary {
  LibraryRight value();
}
