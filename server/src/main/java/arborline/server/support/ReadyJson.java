package arborline.server.support;

import tools.jackson.core.JsonGenerator;
import tools.jackson.core.SerializableString;
import tools.jackson.core.io.SerializedString;
import tools.jackson.databind.JacksonSerializable;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.jsontype.TypeSerializer;

/** A value that is JSON already, in bytes: sent as it is, without being looked at again. */
public final class ReadyJson extends JacksonSerializable.Base {

  private final SerializableString text;

  ReadyJson(String text) {
    this.text = new SerializedString(text);
  }

  @Override
  public void serialize(JsonGenerator to, SerializationContext context) {
    to.writeRawValue(text);
  }

  @Override
  public void serializeWithType(
      JsonGenerator to, SerializationContext context, TypeSerializer types) {
    serialize(to, context);
  }
}
