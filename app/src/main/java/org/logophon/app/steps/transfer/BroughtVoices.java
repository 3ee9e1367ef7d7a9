package org.logophon.app.steps.transfer;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.services.voices.HouseVoice;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ObjectNode;

/** House voices of a file: each becomes the one that this workspace has already, or another one of it. */
@Component
class BroughtVoices {

    private static final String AGAIN = " (imported)";

    private final JdbcClient jdbc;

    BroughtVoices(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Ids of a workspace's house voices, without what stands before each. */
    List<UUID> of(UUID workspace) {
        return jdbc
                .sql("select id from house_voice where workspace_id = :workspace")
                .param("workspace", workspace)
                .query(String.class)
                .list()
                .stream()
                .map(id -> UUID.fromString(id.substring(HouseVoice.PREFIX.length())))
                .toList();
    }

    /** @return the row to insert; empty when this workspace has the same voice */
    Optional<ObjectNode> bring(ObjectNode row, UUID workspace, ImportedIds names) {
        String id = row.path("id").asString("");
        UUID there = ImportedIds.id(
                id.startsWith(HouseVoice.PREFIX) ? id.substring(HouseVoice.PREFIX.length()) : "",
                "a voice has no id of its own");
        boolean known = jdbc.sql("""
                select exists (select 1 from house_voice v where v.id = :id and v.workspace_id = :workspace
                and to_jsonb(v) @> cast(:row as jsonb) - 'changed_at')""")
                .param("id", id)
                .param("workspace", workspace)
                .param("row", row.toString())
                .query(Boolean.class)
                .single();
        if (known) {
            return Optional.empty();
        }
        UUID here = UUID.randomUUID();
        names.become(there, here);
        row.put("id", HouseVoice.PREFIX + here);
        row.put("workspace_id", workspace.toString());
        row.put("name", name(row.path("name").asString(""), workspace));
        return Optional.of(row);
    }

    /** Two of one name couldn't be told apart in a cast. */
    private String name(String name, UUID workspace) {
        boolean there = jdbc.sql("""
                select exists (select 1 from house_voice where workspace_id = :workspace
                and lower(name) = lower(:name))""")
                .param("workspace", workspace)
                .param("name", name)
                .query(Boolean.class)
                .single();
        return there
                ? name.substring(0, Math.min(name.length(), HouseVoice.LONGEST_NAME - AGAIN.length())) + AGAIN
                : name;
    }
}
