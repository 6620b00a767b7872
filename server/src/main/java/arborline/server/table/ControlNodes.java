package arborline.server.table;

import java.io.IOException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.eclipse.milo.opcua.sdk.client.OpcUaClient;
import org.eclipse.milo.opcua.stack.core.AttributeId;
import org.eclipse.milo.opcua.stack.core.NodeIds;
import org.eclipse.milo.opcua.stack.core.UaException;
import org.eclipse.milo.opcua.stack.core.types.builtin.ByteString;
import org.eclipse.milo.opcua.stack.core.types.builtin.DataValue;
import org.eclipse.milo.opcua.stack.core.types.builtin.NodeId;
import org.eclipse.milo.opcua.stack.core.types.builtin.QualifiedName;
import org.eclipse.milo.opcua.stack.core.types.builtin.StatusCode;
import org.eclipse.milo.opcua.stack.core.types.builtin.Variant;
import org.eclipse.milo.opcua.stack.core.types.builtin.unsigned.UShort;
import org.eclipse.milo.opcua.stack.core.types.builtin.unsigned.Unsigned;
import org.eclipse.milo.opcua.stack.core.types.enumerated.BrowseDirection;
import org.eclipse.milo.opcua.stack.core.types.enumerated.BrowseResultMask;
import org.eclipse.milo.opcua.stack.core.types.enumerated.NodeClass;
import org.eclipse.milo.opcua.stack.core.types.enumerated.TimestampsToReturn;
import org.eclipse.milo.opcua.stack.core.types.structured.BrowseDescription;
import org.eclipse.milo.opcua.stack.core.types.structured.BrowseResult;
import org.eclipse.milo.opcua.stack.core.types.structured.CallMethodRequest;
import org.eclipse.milo.opcua.stack.core.types.structured.ReadValueId;
import org.eclipse.milo.opcua.stack.core.types.structured.ReferenceDescription;

/** Nodes of a control while it is connected, by their names in the namespace of tools. */
final class ControlNodes {

  private static final String NAMESPACE = "urn:arborline:tools";
  private static final String TOOLS = "tools";
  private static final String LAST_ALARM = "LastAlarm";
  private static final int READ_AT_ONCE = 1000;

  private final OpcUaClient client;
  private final UShort namespace;
  private final Map<String, NodeId> types = new HashMap<>();

  /**
   * Nodes of a connected control.
   *
   * @throws OddAnswerException where it has no namespace of tools
   */
  ControlNodes(OpcUaClient client) throws UaException, IOException {
    this.client = client;
    client.readNamespaceTable();
    UShort index = client.getNamespaceTable().getIndex(NAMESPACE);
    if (index == null) {
      throw new OddAnswerException("its OPC UA server has no namespace " + NAMESPACE);
    }
    this.namespace = index;
  }

  private NodeId node(String name) {
    return new NodeId(namespace, name);
  }

  /** Every variable of a folder with its value, empty where it has none. */
  Map<String, String> values(String folder) throws UaException, IOException {
    List<NodeId> variables = variables(folder);
    Map<String, String> values = new HashMap<>();
    for (int from = 0; from < variables.size(); from += READ_AT_ONCE) {
      List<NodeId> some = variables.subList(from, Math.min(variables.size(), from + READ_AT_ONCE));
      List<DataValue> read = client.readValues(0, TimestampsToReturn.Neither, some);
      for (int i = 0; i < some.size(); i++) {
        String name = String.valueOf(some.get(i).getIdentifier());
        if (name.matches(".*[\\t\\r\\n].*")) {
          throw new OddAnswerException("a node of it has a name with a tab or a line break");
        }
        values.put(name, text(name, read.get(i)));
      }
    }
    return values;
  }

  private List<NodeId> variables(String folder) throws UaException, IOException {
    BrowseDescription asked =
        new BrowseDescription(
            node(folder),
            BrowseDirection.Forward,
            NodeIds.HierarchicalReferences,
            true,
            Unsigned.uint(NodeClass.Variable.getValue()),
            Unsigned.uint(BrowseResultMask.None.getValue()));
    BrowseResult result = client.browse(asked);
    if (result.getStatusCode().isBad()) {
      throw new OddAnswerException("its OPC UA server has no folder " + folder);
    }
    List<NodeId> variables = new ArrayList<>();
    add(variables, result.getReferences());
    ByteString more = result.getContinuationPoint();
    while (more != null && more.isNotNull()) {
      BrowseResult next = client.browseNext(false, List.of(more)).getResults()[0];
      add(variables, next.getReferences());
      more = next.getContinuationPoint();
    }
    return variables;
  }

  private void add(List<NodeId> variables, ReferenceDescription[] references) {
    for (ReferenceDescription reference :
        references == null ? new ReferenceDescription[0] : references) {
      Optional<NodeId> node = reference.getNodeId().toNodeId(client.getNamespaceTable());
      node.filter(id -> id.getNamespaceIndex().equals(namespace)).ifPresent(variables::add);
    }
  }

  private static String text(String name, DataValue value) throws IOException {
    if (value.getStatusCode().isBad()) {
      throw new OddAnswerException(
          "node %s of it has no value: %s".formatted(name, value.getStatusCode()));
    }
    Object held = value.getValue().getValue();
    if (held == null) {
      return "";
    }
    if (held instanceof Double number) {
      if (number.isNaN() || number.isInfinite()) {
        throw new OddAnswerException("node %s of it is no number".formatted(name));
      }
      return BigDecimal.valueOf(number).toPlainString();
    }
    String text = held.toString();
    return text.replaceAll("[\\t\\r\\n]", " ");
  }

  /** Sets a variable, in the type that it has; to nothing where the text is empty. */
  StatusCode write(String name, String text) throws UaException, IOException {
    Object value = text.isEmpty() ? null : converted(type(name), text);
    return client
        .writeValues(List.of(node(name)), List.of(DataValue.valueOnly(new Variant(value))))
        .getFirst();
  }

  private NodeId type(String name) throws UaException, IOException {
    NodeId known = types.get(name);
    if (known != null) {
      return known;
    }
    ReadValueId asked =
        new ReadValueId(node(name), AttributeId.DataType.uid(), null, QualifiedName.NULL_VALUE);
    DataValue read = client.read(0, TimestampsToReturn.Neither, List.of(asked)).getResults()[0];
    if (read.getValue().getValue() instanceof NodeId type) {
      types.put(name, type);
      return type;
    }
    throw new RefusedByControlException("it has no node " + name);
  }

  private static Object converted(NodeId type, String text) {
    if (type.equals(NodeIds.Double)) {
      return Double.valueOf(text);
    }
    return type.equals(NodeIds.Int32) ? Integer.valueOf(text) : text;
  }

  /** Carries a method out; all it is given are texts. */
  StatusCode call(String name, List<String> inputs) throws UaException {
    Variant[] texts = inputs.stream().map(Variant::ofString).toArray(Variant[]::new);
    return client
        .call(List.of(new CallMethodRequest(node(TOOLS), node(name), texts)))
        .getResults()[0]
        .getStatusCode();
  }

  /** Why the control refused something last, in its words; empty where it does not say. */
  String lastAlarm() throws UaException {
    DataValue read =
        client.readValues(0, TimestampsToReturn.Neither, List.of(node(LAST_ALARM))).getFirst();
    Object alarm = read.getValue().getValue();
    return alarm == null ? "" : alarm.toString();
  }
}
