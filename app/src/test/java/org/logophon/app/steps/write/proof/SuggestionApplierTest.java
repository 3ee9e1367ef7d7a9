package org.logophon.app.steps.write.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.people.Workspace;
import org.logophon.app.services.direction.MarkService;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Picture;
import org.logophon.app.services.project.PlaceReading;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.ReadingRepository;
import org.logophon.app.services.project.RoleRepository;
import org.logophon.app.services.project.ScriptParsing;
import org.logophon.app.services.project.ScriptShape;
import org.logophon.app.services.script.ScriptSaving;
import org.logophon.app.services.script.ScriptStateReader;
import org.logophon.core.direction.Direction;
import org.logophon.core.review.proof.FindingKind;
import org.logophon.core.review.proof.Suggestion.Act;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.script.CueNumbers;
import org.logophon.core.text.script.HandCuts;
import org.logophon.core.text.script.Splitting;
import org.logophon.speech.NativeVoices;
import org.mockito.ArgumentCaptor;

/** What becomes of a script and its readings when suggestions are taken. */
class SuggestionApplierTest {

    private static final String SCRIPT = "The the lamp weighs 2.3 t.\n\nHe read the log, and the lead was there.";
    private static final int VERSION = 4;

    private final UUID id = UUID.randomUUID();
    private final List<UUID> cues = List.of(UUID.randomUUID(), UUID.randomUUID());
    private final Projects projects = mock(Projects.class);
    private final ReadingRepository readings = mock(ReadingRepository.class);
    private final RoleRepository roles = mock(RoleRepository.class);
    private final ScriptSaving saving = mock(ScriptSaving.class);
    private final SuggestionApplier applier = new SuggestionApplier(
            projects,
            readings,
            roles,
            saving,
            mock(ScriptStateReader.class),
            NativeVoices.catalogue(),
            new ScriptParsing(),
            mock(MarkService.class));

    SuggestionApplierTest() {
        ScriptShape shape = new ScriptShape(Splitting.DEFAULT, HandCuts.NONE, CueNumbers.DEFAULT, false);
        Project project = new Project(
                id,
                Workspace.FIRST,
                null,
                "A",
                "en-GB",
                null,
                SCRIPT,
                VERSION,
                shape,
                Direction.NONE,
                0,
                -19.0,
                "{number}",
                Picture.NONE,
                Instant.EPOCH,
                0,
                0,
                0);
        List<CueView> views = new ArrayList<>();
        for (UUID cue : cues) {
            CueView view = mock(CueView.class);
            when(view.id()).thenReturn(cue);
            views.add(view);
        }
        when(projects.view(id)).thenReturn(new ProjectView(project, List.of(), views, Map.of()));
    }

    private SuggestionApplier.Item item(int cue, String written, FindingKind kind, Act act, String text) {
        String words = SCRIPT.split("\n\n")[cue];
        int from = words.indexOf(written);
        return new SuggestionApplier.Item(cues.get(cue), from, from + written.length(), written, kind, act, text, from);
    }

    private String written() {
        ArgumentCaptor<String> text = ArgumentCaptor.forClass(String.class);
        verify(saving).replace(eq(id), text.capture(), any(), eq(VERSION), any());
        return text.getValue();
    }

    @Test
    void severalPlacesAreWrittenAtOnceEachWhereItStood() {
        SuggestionApplier.Done done = applier.take(
                id,
                VERSION,
                List.of(
                        item(0, "2.3 t", FindingKind.UNIT, Act.WRITE, "2.3 tonnes"),
                        item(0, "the", FindingKind.DOUBLED_WORD, Act.REMOVE, ""),
                        item(1, "log", FindingKind.UNKNOWN_WORD, Act.WRITE, "log book")));
        assertThat(written()).isEqualTo("The lamp weighs 2.3 tonnes.\n\nHe read the log book, and the lead was there.");
        assertThat(done.sentence()).isEqualTo("3 places changed in the script.");
        verifyNoInteractions(readings);
    }

    @Test
    void aPlaceThatHoldsOtherWordsByNowIsLeftAlone() {
        SuggestionApplier.Item right = item(0, "lamp", FindingKind.UNKNOWN_WORD, Act.WRITE, "light");
        SuggestionApplier.Item old =
                new SuggestionApplier.Item(cues.get(1), 0, 3, "She", FindingKind.UNKNOWN_WORD, Act.WRITE, "They", 0);
        SuggestionApplier.Item far = new SuggestionApplier.Item(
                cues.get(1), 900, 903, "She", FindingKind.UNKNOWN_WORD, Act.WRITE, "They", 0);
        SuggestionApplier.Item gone = new SuggestionApplier.Item(
                UUID.randomUUID(), 0, 3, "The", FindingKind.UNKNOWN_WORD, Act.WRITE, "They", 0);
        assertThat(applier.take(id, VERSION, List.of(right, old, far, gone)).sentence())
                .isEqualTo("1 place changed in the script, 3 skipped: the words there have changed.");
        assertThat(written()).startsWith("The the light").endsWith(SCRIPT.split("\n\n")[1]);
    }

    @Test
    void twoSuggestionsForTheSameWordsWriteOne() {
        applier.take(
                id,
                VERSION,
                List.of(
                        item(0, "lamp", FindingKind.UNKNOWN_WORD, Act.WRITE, "light"),
                        item(0, "lamp weighs", FindingKind.UNKNOWN_WORD, Act.WRITE, "lamp has")));
        assertThat(written()).isEqualTo(SCRIPT.replace("lamp", "light"));
    }

    @Test
    void aHomographIsKeptAtItsPlaceAndOtherWordsForTheProject() {
        SuggestionApplier.Item lead = item(1, "lead", FindingKind.HOMOGRAPH, Act.SAY, "led");
        assertThat(applier.take(
                                id,
                                VERSION,
                                List.of(lead, item(0, "lamp", FindingKind.ACRONYM, Act.LETTERS, "ignored")))
                        .sentence())
                .isEqualTo("2 readings kept.");
        verify(readings)
                .put(new PlaceReading(
                        cues.get(1), lead.from(), new Reading("lead", "led", PronunciationKind.WORDS, null, false)));
        verify(readings).put(id, new Reading("lamp", "", PronunciationKind.LETTERS, null, true));
        verifyNoInteractions(saving);
    }

    @Test
    void aCutStartsACueAtItsWord() {
        String words = SCRIPT.split("\n\n")[1];
        SuggestionApplier.Item cut = new SuggestionApplier.Item(
                cues.get(1), 0, words.length(), words, FindingKind.LONG_SENTENCE, Act.CUT, "", words.indexOf("and"));
        applier.take(id, VERSION, List.of(cut));
        ArgumentCaptor<ScriptShape> shape = ArgumentCaptor.forClass(ScriptShape.class);
        verify(saving).replace(eq(id), eq(SCRIPT), shape.capture(), anyInt(), any());
        assertThat(new ScriptParsing()
                        .of(SCRIPT, shape.getValue(), "en-GB")
                        .cues()
                        .get(2)
                        .text())
                .startsWith("and the lead");
    }

    @Test
    void anotherLanguageGetsARoleOfItsOwnWithItsVoice() {
        applier.take(id, VERSION, List.of(item(0, "The", FindingKind.LANGUAGE, Act.CAST, voice("fr"))));
        assertThat(written()).isEqualTo("FRENCH: " + SCRIPT.replace("He read", "NARRATOR: He read"));
        verify(roles).cast(eq(id), eq("French"), any());
    }

    @Test
    void aVoiceThatThereIsNotIsRefused() {
        List<SuggestionApplier.Item> items = List.of(item(0, "The", FindingKind.LANGUAGE, Act.CAST, "Nobody at all"));
        assertThatThrownBy(() -> applier.take(id, VERSION, items))
                .isInstanceOf(Refused.class)
                .hasMessage("There is no voice Nobody at all.");
        verifyNoInteractions(saving);
    }

    private static String voice(String language) {
        return NativeVoices.catalogue().all().stream()
                .filter(voice -> voice.language().startsWith(language))
                .findFirst()
                .orElseThrow()
                .name();
    }
}
