package org.logophon.app.steps.transfer;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.logophon.app.platform.failure.Refused;

/** Holds every row of one file against what can be stored and shown, before anything of it is stored. */
final class RowCheck {

    /** Voices of a file's workspace: not a project's, and fewer than anybody makes. */
    static final ProjectTable VOICES =
            new ProjectTable("house_voice", 1_000, "false", Set.of("workspace_id", "changed_at"), false);

    private final TableColumns tables;
    private final ScriptRules script = new ScriptRules();
    private final Map<String, Map<String, TableColumns.Column>> known = new HashMap<>();

    RowCheck(TableColumns tables) {
        this.tables = tables;
    }

    /** @throws Refused with a sentence that names the file's table and line */
    void check(ProjectTable table, ImportedRow row) {
        if (row.line() > table.most()) {
            throw row.refused("there are more than %,d rows".formatted(table.most()));
        }
        known.computeIfAbsent(table.name(), tables::of).forEach((column, kind) -> {
            if (row.has(column)) {
                ColumnRules.check(table.name(), column, kind.type(), row);
            } else if (kind.required() && !table.stays().contains(column)) {
                throw row.refused(column + " is missing");
            }
        });
        script.check(table.name(), row);
        SoundRules.check(table.name(), row);
    }
}
