package arborline.server.explain;

import arborline.core.naming.CommentFit;
import arborline.server.machine.Machines;
import arborline.server.support.Slice;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Says what the control of each machine can carry of a name. */
@RestController
@RequestMapping("/api/v1/explain")
class CommentController {

  private final Machines machines;

  CommentController(Machines machines) {
    this.machines = machines;
  }

  /**
   * A name in the comment of one control; controls that keep none are left out.
   *
   * @param most longest comment
   * @param changes what had to be given up
   */
  record MachineComment(
      String machineId, String machine, String text, int length, int most, List<String> changes) {}

  @GetMapping("/comment")
  Slice<MachineComment> comment(@RequestParam String text) {
    return Slice.all(
        machines.all().stream()
            .filter(machine -> machine.machine().habits().nameLength() > 0)
            .map(machine -> {
              CommentFit.Fitted fitted = machine.machine().habits().fitted(text);
              return new MachineComment(
                  machine.machine().id(),
                  machine.machine().name(),
                  fitted.text(),
                  fitted.length(),
                  fitted.most(),
                  fitted.changes());
            })
            .toList());
  }
}
