package arborline.shop;

import java.time.Duration;
import java.time.Instant;
import java.util.Objects;

/**
 * What all simulated controls have: a memory that survives, and the ways in which they misbehave.
 * Rows before a fault stay written, as on a real control.
 *
 * @param <S> what it remembers
 */
abstract class SimulatedControl<S> implements StandIn, Documents {

  private final StateFile<S> file;
  private S state;
  private Behaviour behaviour = Behaviour.GOOD;

  SimulatedControl(StateFile<S> file) {
    this.file = file;
    this.state = file.load();
  }

  @Override
  public final synchronized Behaviour behaviour() {
    return behaviour;
  }

  @Override
  public final void behave(Behaviour next) {
    Objects.requireNonNull(next, "how to behave is not said");
    synchronized (this) {
      behaviour = next;
    }
    changed();
  }

  @Override
  public final void forget() {
    synchronized (this) {
      state = file.factory();
      behaviour = Behaviour.GOOD;
      file.save(state);
    }
    changed();
  }

  @Override
  public final void panel(String json) {
    operated(json);
    changed();
  }

  /** What the operator does at the panel, in this control's own words. */
  abstract void operated(String json);

  /** Somebody did something at the panel; whoever is told holds no lock of this control. */
  void changed() {
    // most are asked, and need not tell
  }

  final synchronized S state() {
    return state;
  }

  final synchronized void remember(S next) {
    state = next;
    file.save(next);
  }

  /** A file came over the link and was taken whole. */
  final synchronized void fileTaken() {
    behaviour = behaviour.fileTaken();
  }

  /** A document as it is sent: nonsense, or half of it, where the control is told to. */
  final synchronized String sent(String document) {
    if (behaviour.garbage()) {
      return "BUSY\r\n";
    }
    return behaviour.halfFile() ? document.substring(0, document.length() / 2) : document;
  }

  /** What time its clock says. */
  final synchronized Instant now() {
    return Instant.now().plus(Duration.ofMinutes(behaviour.clockMinutes()));
  }

  final synchronized void needWritable() {
    if (behaviour.protectedMemory()) {
      throw new RefusedException("ALARM 070: memory protect key is on");
    }
  }

  /** Before each row: the connection may drop here. */
  final synchronized void row() {
    Integer left = behaviour.cutAfterRows();
    if (left == null) {
      return;
    }
    if (left <= 0) {
      behaviour = behaviour.cutTo(null);
      throw new CutOffException();
    }
    behaviour = behaviour.cutTo(left - 1);
  }

  /** Before what is kept under a number is changed: it may be locked. */
  final synchronized void needUnlocked(int number) {
    if (number == behaviour.refuseRegister()) {
      throw new RefusedException("ALARM 032: register " + number + " is locked");
    }
  }
}
