package arborline.server.attachment;

import arborline.server.support.Refusal;

/** What a file belongs to. */
record AttachmentOwner(Kind kind, long id) {

  /** Kinds of owners, called as the trail and the addresses of the API call them. */
  enum Kind {
    TOOL,
    COMPONENT;

    String word() {
      return name().toLowerCase(java.util.Locale.ROOT);
    }
  }

  static AttachmentOwner tool(long id) {
    return new AttachmentOwner(Kind.TOOL, id);
  }

  static AttachmentOwner component(long id) {
    return new AttachmentOwner(Kind.COMPONENT, id);
  }

  /**
   * An owner by its address: {@code tools} or {@code components}.
   *
   * @throws Refusal where there is no such address
   */
  static AttachmentOwner at(String address, long id) {
    return switch (address) {
      case "tools" -> tool(id);
      case "components" -> component(id);
      default -> throw Refusal.notFound("there are no attachments of " + address);
    };
  }
}
