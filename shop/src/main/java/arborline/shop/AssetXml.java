package arborline.shop;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.temporal.ChronoUnit;

/** Writes a tool table as MTConnect CuttingTool assets, with wear in extension elements. */
final class AssetXml {

  private AssetXml() {}

  static String document(String sender, Instant now, String tools, int count) {
    return """
    <?xml version="1.0" encoding="UTF-8"?>
    <MTConnectAssets xmlns="urn:mtconnect.org:MTConnectAssets:1.8" xmlns:w="urn:arborline:wear:1">
    <Header creationTime="%s" sender="%s" instanceId="1" version="1.8.0" \
    assetBufferSize="64" assetCount="%d"/>
    <Assets>
    %s</Assets>
    </MTConnectAssets>
    """
        .formatted(now.truncatedTo(ChronoUnit.SECONDS), sender, count, tools);
  }

  static String tool(State state, int pocket, State.PocketTool tool) {
    State.Register register = state.registers().getOrDefault(tool.number(), State.Register.UNSET);
    boolean spindle = pocket == state.spindle();
    String status = register.length() == null ? "AVAILABLE" : "MEASURED";
    return """
    <CuttingTool assetId="M1-%s" toolId="%s" serialNumber="1" timestamp="2026-01-01T00:00:00Z">
    <Description>%s</Description>
    <CuttingToolLifeCycle>
    <CutterStatus><Status>%s</Status></CutterStatus>
    <ProgramToolNumber>%d</ProgramToolNumber>
    <Location type="%s">%d</Location>
    <Measurements>
    <FunctionalLength code="LF" units="MILLIMETER">%s</FunctionalLength>
    <w:LengthWear units="MILLIMETER">%s</w:LengthWear>
    </Measurements>
    <CuttingItems count="1"><CuttingItem indices="1"><Measurements>
    <CuttingDiameter code="DC" units="MILLIMETER">%s</CuttingDiameter>
    <w:DiameterWear units="MILLIMETER">%s</w:DiameterWear>
    </Measurements></CuttingItem></CuttingItems>
    </CuttingToolLifeCycle>
    </CuttingTool>
    """
        .formatted(
            escape(tool.tool()),
            escape(tool.tool()),
            escape(tool.name()),
            status,
            tool.number(),
            spindle ? "SPINDLE" : "POT",
            pocket,
            shown(register.length()),
            shown(register.lengthWear()),
            shown(register.diameter()),
            shown(register.diameterWear()));
  }

  /** A measurement that is not set is an empty element. */
  private static String shown(BigDecimal value) {
    return value == null ? "" : value.setScale(3, RoundingMode.HALF_UP).toPlainString();
  }

  static String escape(String text) {
    return text.replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;");
  }
}
