package org.logophon.app.services.script;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.logophon.app.platform.upkeep.Upkeep;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * States of scripts are thinned as they grow old: all of a day, the last of each hour for a week, the last of each day
 * after. Named and delivered ones stay, and the newest of each script.
 */
@Component
class VersionUpkeep implements Upkeep {

    static final Duration ALL = Duration.ofDays(1);
    static final Duration HOURLY = Duration.ofDays(7);

    private final JdbcClient jdbc;

    VersionUpkeep(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    public List<Held> held() {
        return jdbc.sql("select count(*) as things, coalesce(sum(length(packed)), 0) as bytes from script_version")
                .query(Held.counted(
                        "Versions of scripts",
                        "All for a day, hourly for a week, then daily; named and delivered ones are kept."))
                .list();
    }

    @Override
    @Transactional
    public List<Removed> remove(Instant now) {
        return jdbc.sql("""
                with old as (
                  select v.project_id, v.version,
                         row_number() over (partition by v.project_id, case when v.at < :hourly then date_trunc('day',
                         v.at) else date_trunc('hour', v.at) end
                                            order by v.version desc) as back
                  from script_version v join project p on p.id = v.project_id
                  where v.at < :all and v.name is null and v.version <> p.script_version
                  and not exists (select 1 from delivery d where d.project_id = v.project_id
                  and d.script_version = v.version)),
                gone as (
                  delete from script_version v using old o where o.back > 1 and v.project_id = o.project_id
                  and v.version = o.version returning length(v.packed) as bytes)
                select count(*) as things, coalesce(sum(bytes), 0) as bytes from gone""")
                .param("all", time(now.minus(ALL)))
                .param("hourly", time(now.minus(HOURLY)))
                .query((row, at) -> new Removed("versions of scripts", row.getLong("things"), row.getLong("bytes")))
                .list();
    }
}
