package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;
import org.logophon.speech.WorkerPool;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What it costs when workers and the database are torn away in the middle: other tests would meet that too. */
@Isolated
class LostDatabaseTest extends ApplicationTest {

    private static final int CUES = 60;

    @Autowired
    private WorkerPool workers;

    @Autowired
    private JdbcClient jdbc;

    @Test
    void killedWorkersAndALostDatabaseCostOnlyAWait() {
        StringBuilder script = new StringBuilder();
        for (int i = 0; i < CUES; i++) {
            script.append("The keeper wrote line ")
                    .append(i)
                    .append(" of a log that was lost, one for the weather and one for the lamp.\n\n");
        }
        String project = server.project("Faults", script.toString());
        server.post(project + "/render", Map.of("step", "DIRECT"));
        Server.await("both workers speak", () -> workers.pids().size() == 2 && server.ready(project) > 2);
        workers.pids().forEach(pid -> ProcessHandle.of(pid).ifPresent(ProcessHandle::destroyForcibly));
        // what a restart of the database does to its clients: every connection is cut
        jdbc.sql("select pg_terminate_backend(pid) from pg_stat_activity where pid <> "
                        + "pg_backend_pid() and datname = current_database()")
                .query(Boolean.class)
                .list();
        Server.await(CUES + " cues ready", () -> server.ready(project) == CUES);
        int takes = jdbc.sql("select count(*) from take t join cue c on c.id = t.cue_id where c.project_id = :project")
                .param("project", UUID.fromString(project.substring(10)))
                .query(Integer.class)
                .single();
        assertThat(takes).isEqualTo(CUES);
    }
}
