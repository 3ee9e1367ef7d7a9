package org.logophon.app.services.script;

import static org.logophon.app.platform.table.Columns.instant;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;
import static org.logophon.app.platform.table.Columns.whole;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.Deflater;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.logophon.app.services.project.CutColumn;
import org.logophon.core.text.script.HandCuts;
import org.logophon.core.text.script.Splitting;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Tables {@code script_version} and {@code script_draft}: every state that a script has had. */
@Repository
public class ScriptVersions {

    private final JdbcClient jdbc;
    private final Clock clock;

    ScriptVersions(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A state in a list. @param what made it. @param forward where redo leads, null when nothing was undone */
    public record VersionEntry(
            int version, int words, int cues, String what, Integer back, Integer forward, Instant at) {}

    /** A state with its text. */
    public record State(String text, HandCuts cuts, Splitting splitting, Integer back, Integer forward) {}

    /** A text that could not be saved over a newer one. */
    public record Draft(UUID id, int words, Instant at) {}

    void add(UUID project, int version, State state, int cues, String what) {
        jdbc.sql("""
                insert into script_version (project_id, version, packed, cuts, splitting, words, cues, what, back,
                forward, at)
                values (:project, :version, :packed, :cuts, :splitting, :words, :cues, :what, :back, :forward, :now)
                on conflict do nothing""")
                .param("project", project)
                .param("version", version)
                .param("packed", pack(state.text()))
                .param("cuts", CutColumn.write(state.cuts()))
                .param("splitting", state.splitting().id())
                .param("words", count(state.text()))
                .param("cues", cues)
                .param("what", what)
                .param("back", state.back())
                .param("forward", state.forward())
                .param("now", now())
                .update();
    }

    /** A state, or where it was thinned out, the newest one before it. */
    Optional<State> findOrBefore(UUID project, int version) {
        return jdbc.sql("select max(version) from script_version where project_id = :project and version <= :version")
                .param("project", project)
                .param("version", version)
                .query((row, at) -> row.getObject(1, Integer.class))
                .optional()
                .flatMap(kept -> find(project, kept));
    }

    public Optional<State> find(UUID project, int version) {
        return jdbc.sql("select * from script_version where project_id = :project and version = :version")
                .param("project", project)
                .param("version", version)
                .query((row, at) -> new State(
                        unpack(row.getBytes("packed")),
                        CutColumn.read(row, "cuts"),
                        Splitting.parse(row.getString("splitting")),
                        whole(row, "back"),
                        whole(row, "forward")))
                .optional();
    }

    Optional<VersionEntry> line(UUID project, int version) {
        return jdbc.sql("select version, words, cues, what, back, forward, at from script_version where "
                        + "project_id = :project and version = :version")
                .param("project", project)
                .param("version", version)
                .query(ScriptVersions::line)
                .optional();
    }

    /** The newest first. */
    public List<VersionEntry> of(UUID project, int most) {
        return jdbc.sql("select version, words, cues, what, back, forward, at from script_version where "
                        + "project_id = :project order by version desc limit :most")
                .param("project", project)
                .param("most", most)
                .query(ScriptVersions::line)
                .list();
    }

    public int count(UUID project) {
        return jdbc.sql("select count(*) from script_version where project_id = :project")
                .param("project", project)
                .query(Integer.class)
                .single();
    }

    public UUID keepDraft(UUID project, String text) {
        UUID id = UUID.randomUUID();
        jdbc.sql("insert into script_draft (id, project_id, packed, words, at) values (:id, "
                        + ":project, :packed, :words, :now)")
                .param("id", id)
                .param("project", project)
                .param("packed", pack(text))
                .param("words", count(text))
                .param("now", now())
                .update();
        return id;
    }

    public List<Draft> drafts(UUID project) {
        return jdbc.sql("select id, words, at from script_draft where project_id = :project order by at desc limit 50")
                .param("project", project)
                .query((row, at) -> new Draft(uuid(row, "id"), row.getInt("words"), instant(row, "at")))
                .list();
    }

    public Optional<String> draft(UUID project, UUID id) {
        return jdbc.sql("select packed from script_draft where project_id = :project and id = :id")
                .param("project", project)
                .param("id", id)
                .query((row, at) -> unpack(row.getBytes("packed")))
                .optional();
    }

    private static VersionEntry line(ResultSet row, int at) throws SQLException {
        return new VersionEntry(
                row.getInt("version"),
                row.getInt("words"),
                row.getInt("cues"),
                row.getString("what"),
                whole(row, "back"),
                whole(row, "forward"),
                instant(row, "at"));
    }

    /** Written words, near enough for a list: counting by the rules of Unicode would take longer than saving. */
    private static int count(String text) {
        int words = 0;
        boolean space = true;
        for (int i = 0; i < text.length(); i++) {
            boolean now = Character.isWhitespace(text.charAt(i));
            words += space && !now ? 1 : 0;
            space = now;
        }
        return words;
    }

    private OffsetDateTime now() {
        return time(clock.instant());
    }

    private static byte[] pack(String text) {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(packed, 1 << 16) {
            {
                // a save waits for it: three quarters of the packing in a quarter of the time
                def.setLevel(Deflater.BEST_SPEED);
            }
        }) {
            out.write(text.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return packed.toByteArray();
    }

    private static String unpack(byte[] packed) {
        try (GZIPInputStream in = new GZIPInputStream(new ByteArrayInputStream(packed))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
