package arborline.shop;

import arborline.shop.NodeState.NodeTool;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.eclipse.milo.opcua.sdk.core.AccessLevel;
import org.eclipse.milo.opcua.sdk.core.Reference;
import org.eclipse.milo.opcua.sdk.server.ManagedNamespaceWithLifecycle;
import org.eclipse.milo.opcua.sdk.server.OpcUaServer;
import org.eclipse.milo.opcua.sdk.server.items.DataItem;
import org.eclipse.milo.opcua.sdk.server.items.MonitoredItem;
import org.eclipse.milo.opcua.sdk.server.nodes.UaFolderNode;
import org.eclipse.milo.opcua.sdk.server.nodes.UaMethodNode;
import org.eclipse.milo.opcua.sdk.server.nodes.UaNode;
import org.eclipse.milo.opcua.sdk.server.nodes.UaVariableNode;
import org.eclipse.milo.opcua.stack.core.NodeIds;
import org.eclipse.milo.opcua.stack.core.StatusCodes;
import org.eclipse.milo.opcua.stack.core.types.builtin.DataValue;
import org.eclipse.milo.opcua.stack.core.types.builtin.LocalizedText;
import org.eclipse.milo.opcua.stack.core.types.builtin.NodeId;
import org.eclipse.milo.opcua.stack.core.types.builtin.StatusCode;
import org.eclipse.milo.opcua.stack.core.types.builtin.Variant;
import org.eclipse.milo.opcua.stack.core.types.structured.CallMethodRequest;
import org.eclipse.milo.opcua.stack.core.types.structured.CallMethodResult;
import org.eclipse.milo.opcua.stack.core.types.structured.ViewDescription;
import org.eclipse.milo.opcua.stack.core.types.structured.WriteValue;

/**
 * Tools of a control as nodes: {@code tools} holds {@code CODE|SISTER|Name} and {@code Count}, how
 * many tools there are, and {@code Clock}; {@code groups} says which tools take turns, {@code
 * LastAlarm} why something was refused last; methods {@code Load} and {@code Unload}.
 */
final class ToolNodes extends ManagedNamespaceWithLifecycle {

  static final String NAMESPACE = "urn:arborline:tools";

  private static final String CLOCK = "Clock";

  private final NodeControl control;
  private final Runnable drop;
  private String lastAlarm = "";

  /**
   * Nodes of a control.
   *
   * @param drop drops the connection
   */
  ToolNodes(OpcUaServer server, NodeControl control, Runnable drop) {
    super(server, NAMESPACE);
    this.control = control;
    this.drop = drop;
  }

  /** Shows the tools as they are now. */
  synchronized void rebuild() {
    List<UaNode> old = new ArrayList<>(getNodeManager().getNodes());
    old.forEach(UaNode::delete);
    Behaviour behaviour = control.behaviour();
    UaFolderNode tools = folder("tools");
    if (behaviour.garbage()) {
      variable(tools, "BUSY", NodeIds.String, "");
      return;
    }
    Map<String, NodeTool> known = control.state().tools();
    variable(tools, "Count", NodeIds.Int32, known.size());
    variable(tools, CLOCK, NodeIds.String, control.now().toString());
    known.entrySet().stream()
        .limit(behaviour.halfFile() ? 0 : known.size())
        .forEach(tool -> tool(tools, tool.getKey(), tool.getValue()));
    if (behaviour.halfFile() && !known.isEmpty()) {
      variable(tools, known.keySet().iterator().next() + "|Number", NodeIds.Int32, 0);
    }
    UaFolderNode groups = folder("groups");
    control
        .groups()
        .forEach((number, members) ->
            variable(groups, "group|%d".formatted(number), NodeIds.String, members));
    variable(folder("panel"), "LastAlarm", NodeIds.String, lastAlarm);
    method(tools, "Load");
    method(tools, "Unload");
  }

  private void tool(UaFolderNode tools, String key, NodeTool tool) {
    variable(tools, key + "|Place", NodeIds.String, tool.place());
    variable(tools, key + "|Number", NodeIds.Int32, tool.number());
    variable(tools, key + "|Name", NodeIds.String, tool.name());
    variable(tools, key + "|Status", NodeIds.String, tool.status());
    for (String name : NodeControl.values()) {
      variable(tools, key + "|" + name, NodeIds.Double, tool.values().get(name));
    }
  }

  private UaFolderNode folder(String name) {
    UaFolderNode folder =
        new UaFolderNode(
            getNodeContext(), newNodeId(name), newQualifiedName(name), LocalizedText.english(name));
    getNodeManager().addNode(folder);
    folder.addReference(
        new Reference(
            folder.getNodeId(),
            NodeIds.Organizes,
            NodeIds.ObjectsFolder.expanded(),
            Reference.Direction.INVERSE));
    return folder;
  }

  private void variable(UaFolderNode folder, String name, NodeId type, Object value) {
    UaVariableNode node =
        UaVariableNode.builder(getNodeContext())
            .setNodeId(newNodeId(name))
            .setBrowseName(newQualifiedName(name))
            .setDisplayName(LocalizedText.english(name))
            .setDataType(type)
            .setAccessLevel(AccessLevel.READ_WRITE)
            .setUserAccessLevel(AccessLevel.READ_WRITE)
            .setValue(new DataValue(new Variant(value)))
            .build();
    getNodeManager().addNode(node);
    folder.addOrganizes(node);
  }

  private void method(UaFolderNode folder, String name) {
    UaMethodNode node =
        UaMethodNode.builder(getNodeContext())
            .setNodeId(newNodeId(name))
            .setBrowseName(newQualifiedName(name))
            .setDisplayName(LocalizedText.english(name))
            .build();
    getNodeManager().addNode(node);
    folder.addComponent(node);
  }

  @Override
  public List<ReferenceResult> browse(
      BrowseContext context, ViewDescription view, List<NodeId> nodes) {
    Pause.of(control.behaviour().slowMillis());
    getNodeManager()
        .getNode(newNodeId(CLOCK))
        .ifPresent(clock ->
            ((UaVariableNode) clock)
                .setValue(new DataValue(new Variant(control.now().toString()))));
    return super.browse(context, view, nodes);
  }

  @Override
  public List<StatusCode> write(WriteContext context, List<WriteValue> values) {
    List<StatusCode> statuses = new ArrayList<>();
    for (WriteValue value : values) {
      String[] parts = value.getNodeId().getIdentifier().toString().split("\\|", -1);
      Object number = value.getValue().getValue().getValue();
      StatusCode status =
          carriedOut(() -> control.write(parts[0] + "|" + parts[1], parts[2], (Double) number));
      if (status.isGood()) {
        getNodeManager()
            .getNode(value.getNodeId())
            .ifPresent(
                node -> ((UaVariableNode) node).setValue(new DataValue(new Variant(number))));
      }
      statuses.add(status);
    }
    return statuses;
  }

  @Override
  public List<CallMethodResult> call(CallContext context, List<CallMethodRequest> requests) {
    List<CallMethodResult> results = new ArrayList<>();
    for (CallMethodRequest request : requests) {
      Variant[] inputs = request.getInputArguments();
      StatusCode status =
          carriedOut(() -> call(request.getMethodId().getIdentifier().toString(), inputs));
      results.add(new CallMethodResult(status, null, null, null));
    }
    return results;
  }

  private void call(String method, Variant[] inputs) {
    List<String> texts = new ArrayList<>();
    for (Variant input : inputs) {
      texts.add(String.valueOf(input.getValue()));
    }
    switch (method) {
      case "Load" ->
          control.load(
              texts.get(0),
              Integer.parseInt(texts.get(1)),
              texts.get(2),
              Integer.parseInt(texts.get(3)),
              texts.get(4));
      case "Unload" -> control.unload(texts.getFirst());
      default -> throw new RefusedException("ALARM 010: there is no method " + method);
    }
    rebuild();
  }

  private StatusCode carriedOut(Runnable order) {
    Pause.of(control.behaviour().slowMillis());
    try {
      order.run();
      return StatusCode.GOOD;
    } catch (RefusedException refused) {
      lastAlarm = refused.getMessage();
      rebuild();
      return new StatusCode(StatusCodes.Bad_UserAccessDenied);
    } catch (CutOffException cut) {
      drop.run();
      return new StatusCode(StatusCodes.Bad_ConnectionClosed);
    } catch (RuntimeException wrong) {
      lastAlarm = "ALARM 010: cannot be understood";
      rebuild();
      return new StatusCode(StatusCodes.Bad_InvalidArgument);
    }
  }

  @Override
  public void onDataItemsCreated(List<DataItem> items) {
    // nobody is told of changes: clients ask
  }

  @Override
  public void onDataItemsModified(List<DataItem> items) {
    // nobody is told of changes: clients ask
  }

  @Override
  public void onDataItemsDeleted(List<DataItem> items) {
    // nobody is told of changes: clients ask
  }

  @Override
  public void onMonitoringModeChanged(List<MonitoredItem> items) {
    // nobody is told of changes: clients ask
  }
}
