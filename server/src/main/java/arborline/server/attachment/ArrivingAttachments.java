package arborline.server.attachment;

import arborline.core.exchange.PathList;
import arborline.core.exchange.RawItem;
import arborline.core.inspect.Inspected;
import arborline.server.attachment.Attachments.Delivered;
import arborline.server.delivery.AttachedFiles;
import arborline.server.inspection.Belongings;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Attachments that come with tools of a delivery, as files that their lines name. */
@Component
class ArrivingAttachments implements Belongings {

  private final Attachments attachments;
  private final AttachedFiles files;

  ArrivingAttachments(Attachments attachments, AttachedFiles files) {
    this.attachments = attachments;
    this.files = files;
  }

  @Override
  public String kind() {
    return "attachment";
  }

  private List<Delivered> of(long deliveryId, Inspected arriving) {
    String text = arriving.raw().item().text(RawItem.ATTACHMENT);
    if (text.isEmpty()) {
      return List.of();
    }
    List<AttachedFiles.AttachedFile> all = files.of(deliveryId);
    return PathList.read(text).stream()
        .map(path -> AttachedFiles.find(all, path))
        .flatMap(Optional::stream)
        .map(file ->
            new Delivered(file.name(), file.size(), file.sha256(), deliveryId, file.fileNo()))
        .toList();
  }

  @Override
  public int unknown(long toolId, long deliveryId, Inspected arriving) {
    List<Delivered> named = of(deliveryId, arriving);
    return named.isEmpty() ? 0 : attachments.unknown(toolId, named).size();
  }

  @Override
  public List<Long> take(long toolId, long deliveryId, Inspected arriving) {
    return attachments.take(toolId, of(deliveryId, arriving));
  }

  @Override
  public void takeBack(List<Long> rows) {
    attachments.takeBack(rows);
  }
}
