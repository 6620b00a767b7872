package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.machine.MachineKinds;
import arborline.core.table.ControlDialects;
import arborline.server.account.MayEdit;
import arborline.server.machine.MachineDefining.Allowed;
import arborline.server.machine.MachineDefining.DefinitionChange;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What machines are: set up, changed, copied, carried as files. */
@RestController
@RequestMapping("/api/v1/machines")
class DefinitionController {

  private final Machines machines;
  private final MachineDefining defining;
  private final ControlLinks links;

  DefinitionController(Machines machines, MachineDefining defining, ControlLinks links) {
    this.links = links;
    this.machines = machines;
    this.defining = defining;
  }

  /**
   * A machine to set up.
   *
   * @param planOf whose load plan it begins with; null for an empty one
   */
  record NewMachine(@Nullable Machine machine, @Nullable String planOf) {}

  /**
   * A changed definition.
   *
   * @param base the definition that it was made from
   * @param letFall true where tools may leave the load plan whose places go away
   */
  record DefinitionOrder(
      @Nullable Machine base, @Nullable Machine wanted, @Nullable Boolean letFall) {}

  record Retired(long undo) {}

  /**
   * Where a control is.
   *
   * @param link {@code http://host:port/path}, {@code opc.tcp://host:port/path} or {@code
   *     folder:name}; empty or null for none
   */
  record LinkOrder(@Nullable String link) {}

  record LinkDone(String link, long undo) {}

  @PostMapping
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  DefinitionChange create(
      @RequestParam(defaultValue = "false") boolean preview, @RequestBody NewMachine order) {
    return defining.create(given("machine", order.machine()), order.planOf(), preview);
  }

  /** Machines to begin with, one of each kind; without an id and a name. */
  @GetMapping("/kinds")
  Slice<Machine> kinds() {
    return Slice.all(MachineKinds.all());
  }

  /** A way in which controls can speak. */
  record DialectView(String id, String title) {}

  /** Ways in which controls can speak. */
  @GetMapping("/dialects")
  Slice<DialectView> dialects() {
    return Slice.all(
        ControlDialects.all().stream()
            .map(dialect -> new DialectView(dialect.id(), dialect.title()))
            .toList());
  }

  /** Sets a machine up from a file. */
  @PostMapping("/import")
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  DefinitionChange bring(@RequestBody MachineFile file) {
    return defining.create(file.read(), null, false);
  }

  @GetMapping("/{id}/definition")
  ResponseEntity<MachineFile> file(@PathVariable String id) {
    Machine machine = machines.get(id).machine();
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(machine.id() + ".machine.json")
                .build()
                .toString())
        .body(MachineFile.of(machine));
  }

  /**
   * Changes a definition; what others changed since is joined field by field.
   *
   * @param changeJobs true where the lead lets jobs be changed by it
   */
  @PutMapping("/{id}/definition")
  @MayEdit
  DefinitionChange change(
      @PathVariable String id,
      @RequestParam(defaultValue = "false") boolean preview,
      @RequestParam(defaultValue = "false") boolean changeJobs,
      @RequestBody DefinitionOrder order) {
    return defining.change(
        id,
        given("base", order.base()),
        given("wanted", order.wanted()),
        new Allowed(Boolean.TRUE.equals(order.letFall()), changeJobs),
        preview);
  }

  /**
   * Takes a machine out of use.
   *
   * @param changeJobs true where the lead has jobs lose the machine that they run on
   */
  @DeleteMapping("/{id}")
  @MayEdit
  Retired retire(
      @PathVariable String id, @RequestParam(defaultValue = "false") boolean changeJobs) {
    return new Retired(defining.retire(id, changeJobs));
  }

  /** Where the control of a machine is; for those who may change it. */
  @GetMapping("/{id}/link")
  @MayEdit
  LinkOrder link(@PathVariable String id) {
    return new LinkOrder(machines.get(id).link());
  }

  /** Says where the control of a machine is. */
  @PutMapping("/{id}/link")
  @MayEdit
  LinkDone link(@PathVariable String id, @RequestBody LinkOrder order) {
    String link = order.link() == null ? "" : order.link();
    return new LinkDone(link.strip(), links.link(id, link));
  }

  private static Machine given(String what, @Nullable Machine machine) {
    if (machine == null) {
      throw Refusal.badRequest(what + ": the definition is missing");
    }
    return machine;
  }
}
