package arborline.server.attachment;

import arborline.core.exchange.PathList;
import arborline.core.exchange.RawItem;
import arborline.core.inspect.Inspected;
import arborline.server.attachment.Attachments.Delivered;
import arborline.server.delivery.AttachedFiles;
import arborline.server.inspection.Belongings;
import arborline.server.inspection.PartFiles;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Attachments that come with tools and parts of a delivery, as files that their lines name. */
@Component
class ArrivingAttachments implements Belongings, PartFiles {

  private final Attachments attachments;
  private final AttachmentOwners owners;
  private final AttachedFiles files;

  ArrivingAttachments(Attachments attachments, AttachmentOwners owners, AttachedFiles files) {
    this.attachments = attachments;
    this.owners = owners;
    this.files = files;
  }

  @Override
  public String kind() {
    return KIND;
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
    return unknown(AttachmentOwner.tool(toolId), deliveryId, arriving);
  }

  @Override
  public int unknownOfPart(long componentId, long deliveryId, Inspected arriving) {
    return unknown(AttachmentOwner.component(componentId), deliveryId, arriving);
  }

  private int unknown(AttachmentOwner owner, long deliveryId, Inspected arriving) {
    List<Delivered> named = of(deliveryId, arriving);
    return named.isEmpty() ? 0 : attachments.unknown(owner, named).size();
  }

  @Override
  public List<Long> take(long toolId, long deliveryId, Inspected arriving) {
    return attachments.take(AttachmentOwner.tool(toolId), of(deliveryId, arriving));
  }

  @Override
  public List<Long> takeForPart(long componentId, long deliveryId, Inspected arriving) {
    List<Delivered> named = of(deliveryId, arriving);
    if (named.isEmpty()) {
      return List.of();
    }
    AttachmentOwner owner = AttachmentOwner.component(componentId);
    owners.lock(owner);
    return attachments.take(owner, named);
  }

  @Override
  public void takeBack(List<Long> rows) {
    attachments.takeBack(rows);
  }
}
