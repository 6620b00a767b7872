package arborline.server.support;

import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import org.springframework.beans.factory.annotation.Qualifier;

/**
 * Marks what runs on connections of its own, outside the transaction of a request: each statement
 * is committed at once.
 */
@Qualifier
@Retention(RetentionPolicy.RUNTIME)
public @interface Background {}
