package arborline.server;

import org.springframework.test.context.ContextConfiguration;

/** Plans and tool tables on a replicated database. */
@ContextConfiguration(initializers = OnReplicatedDatabase.class)
class ReplicatedTablesTest extends TableTest {}
