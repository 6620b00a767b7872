package arborline.server.link;

import arborline.server.job.Jobs;
import java.util.Set;
import org.springframework.stereotype.Component;

/** From which library a job takes tools. */
@Component
class JobLibrarySetter implements LinkSetter {

  private final Jobs jobs;

  JobLibrarySetter(Jobs jobs) {
    this.jobs = jobs;
  }

  @Override
  public LinkKind from() {
    return LinkKind.JOB;
  }

  @Override
  public Set<LinkKind> to() {
    return Set.of(LinkKind.LIBRARY);
  }

  @Override
  public void set(String from, String old, LinkKind kind, String id) {
    jobs.taking(LinkSetter.number(from), LinkSetter.number(old), LinkSetter.number(id));
  }
}
