package org.logophon.app.services.hired;

import java.util.List;
import org.logophon.app.platform.upkeep.Upkeep;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The upkeep of paid speech, which stays until its owner deletes it. */
@Component
class PaidUpkeep implements Upkeep {

    private final JdbcClient jdbc;

    PaidUpkeep(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    public List<Held> held() {
        return jdbc.sql("""
                select count(*) as things, coalesce(sum(w.samples * w.bits / 8), 0) as bytes from paid_speech p
                join sound w on w.id = p.sound_id""")
                .query(Held.counted("Answers of hired voices", "Kept: they were paid for."))
                .list();
    }
}
