package org.logophon.core.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.delivery.Manifest.Entry;
import org.logophon.core.input.InvalidInput;

/** What has become of files since an earlier delivery. */
class ManifestTest {

    private static Entry clip(
            String number, String path, String sha, String content, String said, String voice, long start) {
        return new Entry(path, 10, sha, number, "new", "", said, voice, content, start);
    }

    private static Entry text(String path, String sha) {
        return new Entry(path, 10, sha, "", "new", "", "", "", sha, -1);
    }

    @Test
    void newChangedMovedSameAndGoneAreToldApart() {
        Manifest before = Manifest.first(
                "T",
                List.of(
                        clip("010", "010.wav", "a", "A", "w1", "Isla", 0),
                        clip("020", "020.wav", "b", "B", "w2", "Isla", 100),
                        clip("030", "030.wav", "c", "C", "w3", "Isla", 200),
                        clip("040", "040.wav", "d", "D", "w4", "Isla", 300),
                        clip("050", "050.wav", "e", "E", "w5", "Isla", 400),
                        text("cue-sheet.csv", "s1"),
                        text("markers.csv", "m")));
        Manifest now = Manifest.first(
                        "T",
                        List.of(
                                clip("010", "010.wav", "a", "A", "w1", "Isla", 0),
                                clip("020", "020.wav", "b2", "B2", "other", "Isla", 100),
                                clip("030", "030.wav", "c2", "C", "w3", "Isla", 250),
                                clip("040", "040_new.wav", "d", "D", "w4", "Isla", 300),
                                clip("060", "060.wav", "f", "F", "w6", "Isla", 500),
                                text("cue-sheet.csv", "s2"),
                                text("markers.csv", "m")))
                .since(Manifest.read(before.json()));
        assertThat(now.files())
                .extracting(file -> (file.path() + " " + file.change() + " " + file.why()).strip())
                .containsExactly(
                        "010.wav same",
                        "020.wav changed words",
                        "030.wav moved",
                        "040_new.wav changed name",
                        "060.wav new",
                        "cue-sheet.csv changed content",
                        "markers.csv same",
                        "050.wav gone");
        // what was gone then isn't gone once more
        assertThat(now.since(now).files()).extracting(Entry::change).doesNotContain("gone");
    }

    @Test
    void whatIsNoListIsASentence() {
        for (String wrong : List.of("", "{", "[]", "{\"files\":null}", "{\"files\":[null]}", "{\"files\":7}")) {
            assertThatThrownBy(() -> Manifest.read(wrong)).as(wrong).isInstanceOf(InvalidInput.class);
        }
        assertThat(Manifest.read("{\"files\":[{\"path\":\"a.wav\"}]}")
                        .files()
                        .get(0)
                        .sha256())
                .isEmpty();
    }
}
