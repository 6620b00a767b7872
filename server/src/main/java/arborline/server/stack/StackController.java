package arborline.server.stack;

import arborline.core.connection.Connection;
import arborline.core.sharing.LibraryRight;
import arborline.core.stack.Component;
import arborline.core.stack.Cutter;
import arborline.server.account.MayEdit;
import arborline.server.right.NeedsInLibrary;
import arborline.server.support.Slice;
import arborline.server.tool.ToolDraft;
import arborline.server.tool.ToolJudge;
import arborline.server.tool.Tools;
import arborline.server.trail.Undoable;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
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

@RestController
@RequestMapping("/api/v1")
class StackController {

  private final Components components;
  private final Stacks stacks;
  private final StackOffers offers;
  private final StackFiles files;
  private final Tools tools;

  StackController(
      Components components, Stacks stacks, StackOffers offers, StackFiles files, Tools tools) {
    this.components = components;
    this.stacks = stacks;
    this.offers = offers;
    this.files = files;
    this.tools = tools;
  }

  @GetMapping("/components")
  Slice<Components.KnownComponent> all() {
    return Slice.all(components.all());
  }

  @GetMapping("/components/{id}")
  Components.KnownComponent one(@PathVariable long id) {
    return components.get(id);
  }

  @PostMapping("/components")
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  Components.KnownComponent add(@RequestBody Component component) {
    return components.add(component);
  }

  /**
   * Changes a component; stacks in {@code stays} keep what it was, all others follow.
   *
   * @param version that somebody started from; what others changed since is joined
   */
  @PutMapping("/components/{id}")
  @MayEdit
  Components.KnownComponent change(
      @PathVariable long id,
      @RequestParam int version,
      @RequestParam(required = false) @Nullable Set<Long> stays,
      @RequestBody Component component) {
    return components.change(id, version, component, stays == null ? Set.of() : stays);
  }

  @PutMapping("/components/{id}/retired")
  @MayEdit
  Components.KnownComponent retire(@PathVariable long id, @RequestParam boolean retired) {
    return components.retire(id, retired);
  }

  /** Whether a component may hold its tool at an angle. */
  record TurnChoice(boolean may) {}

  /** Whether a component of a kind with such a machine side may hold its tool at an angle. */
  @GetMapping("/components/turn-choice")
  TurnChoice turnChoice(@RequestParam Component.Kind kind, @RequestParam String machineSide) {
    return new TurnChoice(Component.mayTurn(kind, machineSide));
  }

  /**
   * A spindle or turret that a stack can be built for.
   *
   * @param name what people call its connection
   */
  record SpindleSeat(String code, String name) {}

  /** Sockets of the spindles that the shop has something for, each once by what it is called. */
  @GetMapping("/components/seats")
  Slice<SpindleSeat> seats() {
    return Slice.all(
        components.all().stream()
            .map(known -> Connection.read(known.component().machineSide()).connection())
            .flatMap(Optional::stream)
            .filter(side -> side.family().begins())
            .map(side -> side.counterpart().code())
            .distinct()
            .sorted()
            .map(code -> new SpindleSeat(code, Connection.tradeName(code)))
            .collect(
                Collectors.toMap(
                    SpindleSeat::name, seat -> seat, (first, other) -> first, LinkedHashMap::new))
            .values()
            .stream()
            .toList());
  }

  /** The stacks that use a component. */
  @GetMapping("/components/{id}/stacks")
  Slice<Stacks.KeptStack> using(@PathVariable long id) {
    return Slice.all(stacks.using(id));
  }

  /**
   * What could come next: those that fit and take the cutter first, the straight before those that
   * turn the axis; those that do not fit last.
   */
  @GetMapping("/tools/{id}/stacks/offers")
  Slice<StackOffers.PartOffer> offers(
      @PathVariable long id, @RequestParam(required = false) @Nullable String socket) {
    return Slice.all(offers.next(socket, Cutter.of(tools.get(id).tool())));
  }

  /** What could hold a tool that somebody describes: goes into a spindle and takes its shank. */
  @PostMapping("/stacks/offers")
  Slice<StackOffers.PartOffer> holding(@RequestBody ToolDraft draft) {
    return Slice.all(offers.holding(Cutter.of(ToolJudge.inspect(draft).tool())));
  }

  /** A new tool in a stack. */
  record HeldDraft(ToolDraft tool, Stacks.StackDraft stack) {}

  @PostMapping("/libraries/{id}/held-tools")
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  Stacks.HeldTool create(@PathVariable long id, @RequestBody HeldDraft draft) {
    return stacks.create(id, draft.tool(), draft.stack());
  }

  @PostMapping("/tools/{id}/stacks/check")
  Stacks.StackAnswer check(@PathVariable long id, @RequestBody Stacks.StackDraft draft) {
    return stacks.check(id, draft);
  }

  @GetMapping("/tools/{id}/stacks")
  Slice<Stacks.KeptStack> of(@PathVariable long id) {
    tools.get(id);
    return Slice.all(stacks.of(id));
  }

  @PostMapping("/tools/{id}/stacks")
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  Stacks.KeptStack keep(@PathVariable long id, @RequestBody Stacks.StackDraft draft) {
    tools.get(id);
    return stacks.keep(id, draft);
  }

  /** The stack as one solid of revolution, ISO 10303-21 with the AP214 schema. */
  @GetMapping(value = "/stacks/{id}/step", produces = "application/step")
  ResponseEntity<String> solid(@PathVariable long id) throws IOException {
    return attached(files.solid(id));
  }

  /** A tool by itself as a solid of revolution. */
  @GetMapping(value = "/tools/{id}/step", produces = "application/step")
  ResponseEntity<String> toolSolid(@PathVariable long id) throws IOException {
    return attached(files.toolSolid(id));
  }

  /** A holder or another part by itself as a solid of revolution. */
  @GetMapping(value = "/components/{id}/step", produces = "application/step")
  ResponseEntity<String> partSolid(@PathVariable long id) throws IOException {
    return attached(files.partSolid(id));
  }

  private static ResponseEntity<String> attached(StackFiles.StackFile file) {
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(file.name()).build().toString())
        .body(file.text());
  }

  @PutMapping("/stacks/{id}")
  @MayEdit
  Stacks.KeptStack change(
      @PathVariable long id, @RequestParam int version, @RequestBody Stacks.StackDraft draft) {
    return stacks.change(id, version, draft);
  }

  @DeleteMapping("/stacks/{id}")
  @MayEdit
  Undoable remove(@PathVariable long id) {
    return new Undoable(stacks.remove(id));
  }
}
