package org.logophon.app.services.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.review.CueReview;
import org.logophon.app.services.rendering.ProgrammeReader.Answer;
import org.logophon.app.services.rendering.ProgrammeReader.CountedRate;
import org.logophon.app.services.rendering.ProgrammeReader.ProgrammeCue;

class ProgrammeDeltaTest {

    private static ProgrammeCue cue(int id, CueState state, double start, double seconds) {
        return new ProgrammeCue(
                new UUID(1, id),
                "0" + id,
                "Narrator",
                0,
                "Words",
                state,
                state.label(),
                start,
                seconds,
                state == CueState.READY,
                0.4,
                null,
                null,
                0,
                "abc",
                CueReview.State.UNHEARD,
                "not heard",
                0);
    }

    private static Answer answer(String stamp, ProgrammeCue... cues) {
        return new Answer(stamp, List.of(cues), 0, new CountedRate(25, 1, 25, false, 0), 9);
    }

    @Test
    void onlyTheCuesThatDifferAreTold() {
        Answer before = answer("1", cue(1, CueState.NEW, 0, 2), cue(2, CueState.NEW, 2.4, 3));
        Answer after = answer("2", cue(1, CueState.RENDERING, 0, 2), cue(2, CueState.NEW, 2.4, 3));
        ProgrammeDelta delta = ProgrammeDelta.between(before, after);
        assertThat(delta.all()).isFalse();
        assertThat(delta.cues()).extracting(ProgrammeCue::number).containsExactly("01");
        assertThat(delta.starts()).as("nothing has moved").isNull();
        assertThat(delta.stamp()).isEqualTo("2");
    }

    @Test
    void aCueThatIsLongerNowMovesTheOthersWithoutTellingThemAnew() {
        Answer before = answer("1", cue(1, CueState.NEW, 0, 2), cue(2, CueState.NEW, 2.4, 3));
        Answer after = answer("2", cue(1, CueState.READY, 0, 2.5), cue(2, CueState.NEW, 2.9, 3));
        ProgrammeDelta delta = ProgrammeDelta.between(before, after);
        assertThat(delta.cues()).hasSize(1);
        assertThat(delta.starts()).containsExactly(0, 2_900);
    }

    @Test
    void otherCuesOrAnotherOrderAreReadWhole() {
        ProgrammeCue one = cue(1, CueState.NEW, 0, 2);
        ProgrammeCue two = cue(2, CueState.NEW, 2.4, 3);
        assertThat(ProgrammeDelta.between(null, answer("1", one)).all()).isTrue();
        assertThat(ProgrammeDelta.between(answer("1", one), answer("2", one, two))
                        .all())
                .isTrue();
        assertThat(ProgrammeDelta.between(answer("1", one, two), answer("2", two, one))
                        .all())
                .isTrue();
    }

    /** Two thousand cues of which one has changed are told in a few hundred bytes. */
    @Test
    void aLongProgrammeIsToldBriefly() {
        List<ProgrammeCue> cues = new ArrayList<>();
        for (int i = 0; i < 2_000; i++) {
            cues.add(cue(i, CueState.NEW, i * 2.4, 2));
        }
        Answer before = new Answer("1", List.copyOf(cues), 0, new CountedRate(25, 1, 25, false, 0), 9);
        cues.set(1_000, cue(1_000, CueState.RENDERING, 2_400, 2));
        ProgrammeDelta delta =
                ProgrammeDelta.between(before, new Answer("2", cues, 1, new CountedRate(25, 1, 25, false, 0), 9));
        String json = tools.jackson.databind.json.JsonMapper.builder().build().writeValueAsString(delta);
        assertThat(json.length()).isLessThan(600);
        assertThat(json).contains("\"rendering\"");
    }

    @Test
    void whatAnotherVersionTellsIsPassedOver() {
        assertThat(Change.parse("content 3f0c1f5e-0b1d-4f0a-9a51-6c1d6c5f0001"))
                .hasValueSatisfying(change -> assertThat(change.kind()).isEqualTo(Change.Kind.CONTENT));
        assertThat(Change.parse("house"))
                .hasValueSatisfying(change -> assertThat(change.project()).isNull());
        assertThat(Change.parse("weather now")).isEmpty();
        assertThat(Change.parse("content nonsense")).isEmpty();
    }
}
