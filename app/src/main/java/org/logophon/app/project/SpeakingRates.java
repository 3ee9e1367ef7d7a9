package org.logophon.app.project;

import java.util.HashMap;
import java.util.Map;
import org.logophon.core.estimate.SpeakingRate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * How fast each voice speaks, measured over all that it has spoken here. Kept in memory and read again after a render.
 */
@Component
public class SpeakingRates {

    /** Less speech than this says little about a voice. */
    private static final double LEAST_SECONDS = 3;

    private final JdbcClient jdbc;
    private volatile Map<String, SpeakingRate> rates;

    SpeakingRates(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Null while the voice hasn't spoken enough to be measured. */
    public SpeakingRate of(String voiceId) {
        Map<String, SpeakingRate> known = rates;
        if (known == null) {
            known = measured();
            rates = known;
        }
        return known.get(voiceId);
    }

    public void changed() {
        rates = null;
    }

    private Map<String, SpeakingRate> measured() {
        Map<String, SpeakingRate> found = new HashMap<>();
        jdbc.sql(
                        "select voice_id, sum(reference_seconds) as reference, sum(seconds * pace_reached / 100) as seconds from speech where reference_seconds > 0 group by voice_id")
                .query(row -> {
                    if (row.getDouble("seconds") >= LEAST_SECONDS) {
                        found.put(
                                row.getString("voice_id"),
                                new SpeakingRate(row.getDouble("seconds") / row.getDouble("reference")));
                    }
                });
        return found;
    }
}
