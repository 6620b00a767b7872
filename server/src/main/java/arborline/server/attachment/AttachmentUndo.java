package arborline.server.attachment;

import arborline.server.trail.Undo;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Brings an attachment back that was removed. */
@Configuration
class AttachmentUndo {

  @Bean
  Undo<Attachments.Removed> undoAttachmentRemoved(Attachments attachments) {
    return Undo.of(Attachments.REMOVED, attachments::bringBack);
  }
}
