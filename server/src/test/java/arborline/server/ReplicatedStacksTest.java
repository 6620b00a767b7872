package arborline.server;

import org.springframework.test.context.ContextConfiguration;

/** Holders and stacks on a replicated database. */
@ContextConfiguration(initializers = OnReplicatedDatabase.class)
class ReplicatedStacksTest extends StackTest {}
