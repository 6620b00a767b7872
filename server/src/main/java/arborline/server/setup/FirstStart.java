package arborline.server.setup;

import arborline.core.machine.Machine;
import arborline.server.account.Accounts;
import arborline.server.account.Role;
import arborline.server.library.Libraries;
import arborline.server.machine.Machines;
import arborline.server.stack.Components;
import arborline.server.support.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;

/**
 * Fills an empty database: with the demo where a demo folder is given, else with one lead account
 * whose password whoever starts the server gives.
 */
@Component
class FirstStart implements ApplicationRunner {

  private static final String DEMO_PASSWORD = "tidewrack";

  private final JdbcClient jdbc;
  private final Accounts accounts;
  private final Libraries libraries;
  private final Machines machines;
  private final Components components;
  private final DemoLibraries shelves;
  private final DemoDeliveries waiting;
  private final DemoVendors vendors;
  private final DemoProposals proposals;
  private final Json json;
  private final String demo;
  private final String firstPassword;
  private final String shop;
  private final String nodes;
  private final DemoDerived derived;
  private final DemoOutlets outlets;
  private final DemoPosts posts;
  private final DemoStacks stacks;
  private final DemoLoads loads;
  private final DemoMeasures measures;
  private final DemoJobs jobs;

  FirstStart(
      JdbcClient jdbc,
      Accounts accounts,
      Libraries libraries,
      Machines machines,
      Components components,
      DemoLibraries shelves,
      DemoDeliveries waiting,
      DemoVendors vendors,
      DemoProposals proposals,
      Json json,
      @Value("${arbor.demo}") String demo,
      @Value("${ARBOR_FIRST_PASSWORD:}") String firstPassword,
      @Value("${ARBOR_SHOP_URL:http://127.0.0.1:8090}") String shop,
      @Value("${ARBOR_SHOP_NODES:opc.tcp://127.0.0.1:8091/m3}") String nodes,
      DemoDerived derived,
      DemoOutlets outlets,
      DemoPosts posts,
      DemoStacks stacks,
      DemoLoads loads,
      DemoMeasures measures,
      DemoJobs jobs) {
    this.measures = measures;
    this.stacks = stacks;
    this.loads = loads;
    this.jobs = jobs;
    this.posts = posts;
    this.outlets = outlets;
    this.derived = derived;
    this.jdbc = jdbc;
    this.accounts = accounts;
    this.libraries = libraries;
    this.machines = machines;
    this.components = components;
    this.shelves = shelves;
    this.waiting = waiting;
    this.vendors = vendors;
    this.proposals = proposals;
    this.json = json;
    this.demo = demo;
    this.firstPassword = firstPassword;
    this.shop = shop;
    this.nodes = nodes;
  }

  @Override
  public void run(ApplicationArguments arguments) throws IOException {
    if (!demo.isBlank()) {
      link();
    }
    if (jdbc.sql("select count(*) from account").query(Long.class).single() > 0) {
      if (demo.isBlank()) {
        refuseDemoPasswords();
      }
      return;
    }
    if (demo.isBlank()) {
      firstLead();
    } else {
      for (Role role : Role.values()) {
        accounts.open(role.name().toLowerCase(Locale.ROOT), role, DEMO_PASSWORD);
      }
      libraries.open("Shop milling");
      holders();
      shelves.fill(Path.of(demo, "libraries"));
      waiting.bring(Path.of(demo));
      vendors.take(Path.of(demo, "vendors", "taken.tsv"));
      proposals.make(Path.of(demo, "proposals.json"));
      derived.make(Path.of(demo, "derived.json"));
      outlets.make(Path.of(demo, "outlets.json"));
      posts.make(Path.of(demo, "posts.json"));
      stacks.make(Path.of(demo, "stacks.json"));
      loads.make(Path.of(demo, "loads.json"));
      measures.make(Path.of(demo, "measured.json"));
      jobs.make(Path.of(demo, "jobs.json"));
    }
  }

  /** The password comes from whoever starts the server, so that it stands in no log. */
  private void firstLead() {
    if (firstPassword.length() < 12) {
      throw new IllegalStateException(
          "arbor line does not start: there is no account yet; start it with ./arbor start, or set"
              + " ARBOR_FIRST_PASSWORD to at least 12 characters");
    }
    accounts.open("lead", Role.LEAD, firstPassword);
  }

  /** Demo passwords are known to everybody: with real work they must be gone. */
  private void refuseDemoPasswords() {
    List<String> open =
        Stream.of(Role.values())
            .map(role -> role.name().toLowerCase(Locale.ROOT))
            .filter(name -> accounts.has(name, DEMO_PASSWORD))
            .toList();
    if (!open.isEmpty()) {
      throw new IllegalStateException(
          "arbor line does not start: %s still have the password of the demo; give each a new one"
                  .formatted(String.join(", ", open))
              + " with ./arbor password NAME, or start with the demo");
    }
  }

  private void holders() throws IOException {
    try (Stream<Path> files = Files.list(Path.of(demo, "holders"))) {
      for (Path file : files.sorted().toList()) {
        for (arborline.core.stack.Component component :
            json.read(Files.readString(file), arborline.core.stack.Component[].class)) {
          components.add(component);
        }
      }
    }
  }

  /** Where the control of a machine is; empty for none. */
  private String address(Machine machine, Map<String, String> links) {
    return links.getOrDefault(machine.id(), "").replace("{shop}", shop).replace("{nodes}", nodes);
  }

  /** Machines of the demo, linked to the stand-in controls wherever those listen now. */
  private void link() throws IOException {
    Map<String, String> links =
        json.read(
            Files.readString(Path.of(demo, "controls.json")),
            new TypeReference<Map<String, String>>() {});
    try (Stream<Path> files = Files.list(Path.of(demo, "machines"))) {
      for (Path file : files.filter(path -> path.toString().endsWith(".json")).sorted().toList()) {
        Machine machine = json.read(Files.readString(file), Machine.class);
        machines.link(machine, address(machine, links));
      }
    }
  }
}
