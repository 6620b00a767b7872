package arborline.server.machine;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where the control of a machine is spoken to. */
@Service
class ControlLinks implements Undo<ControlLinks.Relinked> {

  private static final UndoKind<Relinked> KIND =
      new UndoKind<>("machine.link", 1, Relinked.class, Permission.EDIT);

  private static final int LONGEST = 200;
  private static final String HOST = "[A-Za-z0-9.-]{1,100}(?::\\d{1,5})?";
  private static final Pattern LINK =
      Pattern.compile(
          "http://%1$s(?:/[\\w.~/-]*)?|opc\\.tcp://%1$s(?:/[\\w.~/-]*)?|folder:[A-Za-z0-9][\\w-]{0,59}"
              .formatted(HOST));

  private final Machines machines;
  private final MachineRepository rows;
  private final Trail trail;
  private final Live live;

  ControlLinks(Machines machines, MachineRepository rows, Trail trail, Live live) {
    this.machines = machines;
    this.rows = rows;
    this.trail = trail;
    this.live = live;
  }

  /** A link before a change and after it. */
  record Relinked(String machine, String before, String after) {}

  /**
   * Says where a control is.
   *
   * @param link {@code http://host:port/path}, {@code opc.tcp://host:port/path}, {@code
   *     folder:name}, or empty for none
   * @return what takes it back
   */
  @Transactional
  long link(String machineId, String link) {
    String wanted = link.strip();
    if (!wanted.isEmpty() && (wanted.length() > LONGEST || !LINK.matcher(wanted).matches())) {
      throw Refusal.badRequest(
          "link '%s': write http://host:port/path, opc.tcp://host:port/path or folder:name, or leave"
                  .formatted(wanted)
              + " it empty for no control");
    }
    Machines.Linked machine = machines.lock(machineId);
    write(machineId, wanted);
    return trail.record(
        TrailRecord.of(
                "machine",
                machineId,
                wanted.isEmpty()
                    ? "took the link to its control away"
                    : "linked its control, " + wanted)
            .undoneBy(KIND, new Relinked(machineId, machine.link(), wanted)));
  }

  private void write(String machineId, String link) {
    MachineRow row = rows.findById(machineId).orElseThrow();
    row.link = link;
    rows.save(row);
    live.say("machine", machineId, "link");
  }

  @Override
  public UndoKind<Relinked> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Relinked change) {
    if (!machines.lock(change.machine()).link().equals(change.after())) {
      throw Refusal.conflict("the control was linked anew since; take that back first");
    }
    write(change.machine(), change.before());
  }
}
