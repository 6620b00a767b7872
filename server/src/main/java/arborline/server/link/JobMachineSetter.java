package arborline.server.link;

import arborline.server.job.Jobs;
import java.util.Set;
import org.springframework.stereotype.Component;

/** On which machine a job runs. */
@Component
class JobMachineSetter implements LinkSetter {

  private final Jobs jobs;

  JobMachineSetter(Jobs jobs) {
    this.jobs = jobs;
  }

  @Override
  public LinkKind from() {
    return LinkKind.JOB;
  }

  @Override
  public Set<LinkKind> to() {
    return Set.of(LinkKind.MACHINE);
  }

  @Override
  public void set(String from, String old, LinkKind kind, String id) {
    jobs.running(LinkSetter.number(from), id);
  }
}
