package arborline.server.link;

import static arborline.server.link.LinkSetter.number;

import arborline.server.job.Jobs;
import arborline.server.post.Posts;
import arborline.server.stack.PartReplacement;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What leads to one kind of thing that can be another one. */
@Configuration
class KindSetters {

  @Bean
  LinkSetter jobMachine(Jobs jobs) {
    return new KindSetter(
        LinkKind.JOB, LinkKind.MACHINE, (job, old, machine) -> jobs.running(number(job), machine));
  }

  @Bean
  LinkSetter jobLibrary(Jobs jobs) {
    return new KindSetter(
        LinkKind.JOB,
        LinkKind.LIBRARY,
        (job, old, library) -> jobs.taking(number(job), number(old), number(library)));
  }

  @Bean
  LinkSetter postMachine(Posts posts) {
    return new KindSetter(
        LinkKind.POST,
        LinkKind.MACHINE,
        (post, old, machine) -> posts.serving(number(post), machine));
  }

  @Bean
  LinkSetter stackHolder(PartReplacement parts) {
    return new KindSetter(
        LinkKind.STACK,
        LinkKind.HOLDER,
        (stack, old, holder) -> parts.replace(number(stack), number(old), number(holder)));
  }
}
