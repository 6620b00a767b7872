package arborline.server.link;

import static arborline.server.link.LinkSetter.number;

import arborline.server.machine.MachineLibraries;
import arborline.server.outlet.OutletAims;
import arborline.server.post.Posts;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What works with a library that can be another one. */
@Configuration
class LibrarySetters {

  @Bean
  LinkSetter machineLibrary(LibraryAims aims, MachineLibraries machines) {
    return new LibrarySetter(LinkKind.MACHINE, aims, machines::choose);
  }

  @Bean
  LinkSetter postLibrary(LibraryAims aims, Posts posts) {
    return new LibrarySetter(
        LinkKind.POST,
        aims,
        (post, library, edition) -> posts.bringing(number(post), library, edition));
  }

  @Bean
  LinkSetter outletLibrary(LibraryAims aims, OutletAims outlets) {
    return new LibrarySetter(
        LinkKind.OUTLET,
        aims,
        (outlet, library, edition) -> outlets.write(number(outlet), library, edition));
  }
}
