package org.logophon.app.services.project;

import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.reading.ReadingList;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Tables {@code reading} and {@code place_reading}. */
@Repository
public class ReadingRepository {

    private final JdbcClient jdbc;
    private final Clock clock;

    ReadingRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A reading with its row's id. @param house true for the house's list */
    public record StoredReading(UUID id, boolean house, Reading reading) {}

    public ProjectReadings of(UUID project) {
        return readings(project, places(project));
    }

    /** The same, with the places of one cue only. */
    ProjectReadings of(UUID project, UUID cue) {
        return readings(project, places("p.cue_id = :id", cue));
    }

    private ProjectReadings readings(UUID project, List<PlaceReading> places) {
        List<StoredReading> kept = kept(project);
        List<Reading> own = kept.stream()
                .filter(k -> !k.house())
                .map(StoredReading::reading)
                .toList();
        List<Reading> house = kept.stream()
                .filter(StoredReading::house)
                .map(StoredReading::reading)
                .toList();
        Map<UUID, List<PlaceReading>> byCue = new HashMap<>();
        places.forEach(place ->
                byCue.computeIfAbsent(place.cue(), cue -> new ArrayList<>()).add(place));
        return new ProjectReadings(
                own.isEmpty() && house.isEmpty() ? ReadingList.NONE : new ReadingList(List.of(own, house)), byCue);
    }

    /** Those of the project and of the house, by what is written. */
    public List<StoredReading> kept(UUID project) {
        return jdbc.sql("select * from reading where project_id = :project or workspace_id = (select "
                        + "workspace_id from project where id = :project) order by lower(written), written")
                .param("project", project)
                .query(ReadingRepository::kept)
                .list();
    }

    /** Adds a reading of a project, or replaces the one of the same form. */
    public void put(UUID project, Reading reading) {
        put(project, false, reading);
    }

    /** For every project of the workspace that this one is in. */
    public void putForHouse(UUID project, Reading reading) {
        put(project, true, reading);
    }

    private void put(UUID project, boolean house, Reading reading) {
        jdbc.sql("""
                insert into reading (id, project_id, workspace_id, written, said, said_as, language, match_case, at)
                values (:id, case when :house then null else :project end, case
                when :house then (select workspace_id from project where id = :project) end, :written, :said, :as,
                :language, :case, :now)
                on conflict (coalesce(project_id, workspace_id), written, coalesce(language, ''), match_case)
                do update set said = excluded.said, said_as = excluded.said_as""")
                .param("id", UUID.randomUUID())
                .param("project", project)
                .param("house", house)
                .param("written", reading.written())
                .param("said", reading.said())
                .param("as", reading.kind().id())
                .param("language", reading.language())
                .param("case", reading.matchCase())
                .param("now", time(clock.instant()))
                .update();
    }

    /** @return false when it is gone already */
    public boolean remove(UUID id) {
        return jdbc.sql("delete from reading where id = :id").param("id", id).update() == 1;
    }

    public List<PlaceReading> places(UUID project) {
        return places("c.project_id = :id", project);
    }

    private List<PlaceReading> places(String which, UUID id) {
        return jdbc.sql("select p.* from place_reading p join cue c on c.id = p.cue_id where " + which
                        + " order by p.cue_id, p.start_index")
                .param("id", id)
                .query((row, at) -> new PlaceReading(
                        uuid(row, "cue_id"),
                        row.getInt("start_index"),
                        new Reading(
                                row.getString("written"),
                                row.getString("said"),
                                PronunciationKind.of(row.getString("said_as")),
                                null,
                                true)))
                .list();
    }

    public void put(PlaceReading place) {
        jdbc.sql("""
                insert into place_reading (cue_id, start_index, written, said, said_as)
                values (:cue, :start, :written, :said, :as)
                on conflict (cue_id, start_index) do update set written = excluded.written, said = excluded.said,
                said_as = excluded.said_as""")
                .param("cue", place.cue())
                .param("start", place.start())
                .param("written", place.reading().written())
                .param("said", place.reading().said())
                .param("as", place.reading().kind().id())
                .update();
    }

    public void removePlace(UUID cue, int start) {
        jdbc.sql("delete from place_reading where cue_id = :cue and start_index = :start")
                .param("cue", cue)
                .param("start", start)
                .update();
    }

    private static StoredReading kept(ResultSet row, int at) throws SQLException {
        return new StoredReading(
                uuid(row, "id"),
                uuid(row, "project_id") == null,
                new Reading(
                        row.getString("written"),
                        row.getString("said"),
                        PronunciationKind.of(row.getString("said_as")),
                        row.getString("language"),
                        row.getBoolean("match_case")));
    }
}
