/**
 * What looks wrong about a tool that arrives although no rule forbids it: sizes mixed up in ways
 * that happen. A check is one file marked {@code AutoService(InspectionCheck.class)}.
 */
package arborline.core.inspect.check;
