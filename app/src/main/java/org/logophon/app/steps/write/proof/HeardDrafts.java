package org.logophon.app.steps.write.proof;

import static org.logophon.app.platform.table.Columns.uuid;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.core.review.proof.Finding;
import org.logophon.core.review.proof.FindingKind;
import org.logophon.core.text.script.TextDiff;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * Table {@code heard_draft}: words that a recogniser wrote down without being sure. They stay doubtful until they are
 * written anew.
 */
@Repository
class HeardDrafts {

    static final Draft NONE = new Draft("", new Integer[0]);

    private final JdbcClient jdbc;

    HeardDrafts(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param doubtful pairs of places in the text as it was heard */
    record Draft(String text, Integer[] doubtful) {

        List<Finding> doubts(String now) {
            if (doubtful.length == 0) {
                return List.of();
            }
            TextDiff edit = TextDiff.of(text, now);
            List<Finding> found = new ArrayList<>();
            for (int i = 0; i < doubtful.length; i += 2) {
                String word = text.substring(doubtful[i], doubtful[i + 1]);
                int start = edit.movedWord(doubtful[i]);
                if (start >= 0 && now.startsWith(word, start)) {
                    found.add(new Finding(
                            start,
                            start + word.length(),
                            word,
                            FindingKind.DOUBTFUL_WORD,
                            "Recognised with little certainty. Listen, and type what is said.",
                            "",
                            List.of(),
                            false));
                }
            }
            return found;
        }
    }

    /** By cue. */
    Map<UUID, Draft> of(UUID project) {
        Map<UUID, Draft> drafts = new HashMap<>();
        jdbc.sql("select h.* from heard_draft h join cue c on c.id = h.cue_id where c.project_id = :project")
                .param("project", project)
                .query(row -> {
                    drafts.put(uuid(row, "cue_id"), new Draft(row.getString("text"), (Integer[])
                            row.getArray("doubtful").getArray()));
                });
        return drafts;
    }
}
