package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.logophon.app.services.project.CueRepository;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.StoredSpeech;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.project.take.TakeSource;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.take.TakeOrigin;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** What the store promises of itself, and of takes that no engine made. */
class StoreTest extends ApplicationTest {

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private SpeechRepository speeches;

    @Autowired
    private TakeRepository takes;

    @Autowired
    private CueRepository cues;

    /** An index that begins with a foreign key's columns is what a deletion of the other row looks through. */
    @Test
    void everyForeignKeyHasAnIndex() {
        List<String> bare = jdbc.queryForList("""
                select c.conrelid::regclass || ' ' || c.conname from pg_constraint c
                where c.contype = 'f' and c.connamespace = 'public'::regnamespace and not exists (
                    select 1 from pg_index i where i.indrelid = c.conrelid
                    and (string_to_array(i.indkey::text, ' ')::int2[])[1:cardinality(c.conkey)] @>
                    c.conkey)""", String.class);
        assertThat(bare).isEmpty();
        assertThat(jdbc.queryForObject("select count(*) from pg_constraint where contype = 'f'", Integer.class))
                .isGreaterThan(20);
    }

    /** Columns that name a row of another table by its key are held to it. */
    @Test
    void everyReferenceIsAForeignKey() {
        assertThat(jdbc.queryForList("""
                select table_name || '.' || column_name from information_schema.columns k
                where table_schema = 'public' and column_name in ('project_id', 'cue_id', 'take_id', 'speech_id',
                'sound_id', 'batch_id', 'delivery_id',
                    'agreement_id', 'kept_take', 'report_id')
                and not exists (select 1 from information_schema.key_column_usage u join
                information_schema.referential_constraints r using (constraint_name)
                    where u.table_name = k.table_name and u.column_name = k.column_name)""", String.class)).isEmpty();
    }

    @Test
    void whatHappenedToATakeIsOnlyAddedTo() {
        String project = server.project("Events", "Words to speak.");
        server.post(project + "/render", Map.of("step", "DIRECT"));
        Server.await("rendered", () -> server.ready(project) == 1);
        String cue = server.cues(project).get(0).get("id").asString();
        assertThat(events(cue)).containsExactly("made", "kept");
        server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "80", "version", "0"));
        server.post(project + "/cues/" + cue + "/render", Map.of());
        Server.await("again", () -> server.ready(project) == 1);
        String first = server.get(project + "/direct?cue=" + cue)
                .body()
                .replaceAll("(?s).*/takes/([0-9a-f-]+)/delete.*", "$1");
        server.post(project + "/takes/" + first + "/delete", Map.of());
        server.post(project + "/takes/" + first + "/restore", Map.of());
        assertThat(events(cue)).containsExactly("made", "kept", "made", "kept", "deleted", "restored");
        assertThatThrownBy(() -> jdbc.update("update take_event set what = 'made'"))
                .hasMessageContaining("only added to");
        assertThatThrownBy(() -> jdbc.update("delete from take_event")).hasMessageContaining("only added to");
        assertThat(jdbc.update("delete from project where id = ?", id(project)))
                .as("but it goes with its project")
                .isEqualTo(1);
    }

    private List<String> events(String cue) {
        return jdbc.queryForList(
                "select what from take_event e join take t on t.id = e.take_id where t.cue_id = ? order by e.id",
                String.class,
                UUID.fromString(cue));
    }

    private static UUID id(String project) {
        return UUID.fromString(project.substring(project.lastIndexOf('/') + 1));
    }

    @Test
    void aTakeKeepsWhatMadeItAsData() {
        String project = server.project("Origin", "The lens weighs 2.3 t.");
        String cue = server.cues(project).get(0).get("id").asString();
        server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "90", "pitch", "-1", "version", "0"));
        server.post(
                project + "/cues/" + cue + "/marks", Map.of("start", "4", "end", "8", "kind", "pause", "value", "300"));
        server.post(project + "/render", Map.of("step", "DIRECT"));
        Server.await("rendered", () -> server.ready(project) == 1);
        TakeOrigin origin = takes.of(UUID.fromString(cue)).get(0).origin();
        assertThat(origin.text()).isEqualTo("The lens weighs 2.3 t.");
        assertThat(origin.ofCue().pacePercent()).isEqualTo(90);
        assertThat(origin.paceFactor()).isEqualTo(0.9);
        assertThat(origin.voice().name()).isNotBlank();
        assertThat(origin.standing().all()).hasSize(1);
        assertThat(origin.standing().all().get(0).instruction().value()).isEqualTo("300");
        assertThat(origin.engineVersion()).contains("flite");
    }

    /** One second of a hum, as if somebody had said the words. */
    private UUID recorded(String project, String words) {
        float[] samples = new float[48_000];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) (0.2 * Math.sin(i * 0.02));
        }
        UUID cue = UUID.fromString(server.cues(project).get(0).get("id").asString());
        StoredSpeech speech = speeches.save(new Sound(samples, 48_000), null, List.of());
        UUID take = takes.spoken(cue, TakeSource.RECORDED, speech.id(), TakeOrigin.spoken(words, "Narrator", null));
        cues.keep(cue, take, null);
        return take;
    }

    @Test
    void aTakeWithoutARecipeAndWithoutWordTimesIsShownPlayedAndDelivered() {
        String project = server.project("Recorded", "KEEPER: Wind from the west, and rain.");
        UUID take = recorded(project, "Wind from the west, and rain.");
        JsonNode cue = server.cues(project).get(0);
        assertThat(cue.get("state").asString())
                .as("nobody is cast, and nobody need be")
                .isEqualTo("ready");
        assertThat(cue.get("seconds").asDouble()).isEqualTo(1.0);
        assertThat(server.bytes(cue.get("sound").asString())).hasSize(44 + 96_000);
        JsonNode score = server.json(project + "/takes/" + take + "/score");
        assertThat(score.get("words")).isEmpty();
        assertThat(score.get("peaks").size()).isGreaterThan(90);
        assertThat(server.get(project + "/direct").body())
                .contains("recorded")
                .contains("LUFS")
                .doesNotContain(">pace</th");
        server.post(project + "/deliveries", Map.of("pattern", "{number}", "target", "-19"));
        Server.await("packed", () -> server.get(project + "/deliveries").body().contains("/file"));
        String captions = Packages.of(server, project).get("captions.srt");
        assertThat(captions).startsWith("1\r\n00:00:00,000 --> 00:00:01,").contains("Wind from the west, and rain.");
        server.save(project, "KEEPER: Wind from the east, and rain.", 1);
        assertThat(server.cues(project).get(0).get("state").asString())
                .as("other words than were said")
                .isNotEqualTo("ready");
    }
}
