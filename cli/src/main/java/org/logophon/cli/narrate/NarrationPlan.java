package org.logophon.cli.narrate;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.logophon.cli.input.ScriptFile;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.text.reading.CueReadings;
import org.logophon.core.text.reading.PlacedReading;
import org.logophon.core.text.reading.ReadingList;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.finish.FinishSettings;
import org.logophon.core.voice.render.CueRecipe;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speaker;
import org.logophon.core.voice.render.Speakers;
import org.logophon.core.voice.render.SpokenSounds;
import org.logophon.core.voice.take.TakeScore;
import org.logophon.speech.NativeVoices;

/**
 * Everything asked for on the command line.
 *
 * @param language of the scripts, BCP 47
 * @param cast     role in lower case to voice
 */
record NarrationPlan(
        Voice voice,
        String language,
        Map<String, Voice> cast,
        Direction asked,
        ReadingList readings,
        String namePattern,
        FinishSettings finish,
        SpokenSounds sounds) {

    /** The same, where it is known what other languages sound like. */
    NarrationPlan with(SpokenSounds known) {
        return new NarrationPlan(voice, language, cast, asked, readings, namePattern, finish, known);
    }

    Voice voiceOf(String role) {
        return cast.getOrDefault(role.toLowerCase(Locale.ROOT), voice);
    }

    /** Who speaks a cue: the cast first, then a voice that the script itself names. */
    Voice voiceOf(ScriptFile file, int at) {
        String role = file.script().cues().get(at).role().toLowerCase(Locale.ROOT);
        if (cast.containsKey(role) || file.directed().isEmpty()) {
            return voiceOf(role);
        }
        return named(file.directed().get(at).voice()).orElse(this.voice);
    }

    /** A cue as it is delivered with its direction: as the script has it, else as was asked for all. */
    SsmlCue score(ScriptFile file, int at) {
        String text = file.script().cues().get(at).text();
        String voiceId = voiceOf(file, at).id();
        if (file.directed().isEmpty()) {
            List<PlacedReading> placed = readings.said(text, voiceOf(file, at).language()).stream()
                    .map(place -> TakeScore.placed(text, place))
                    .toList();
            return new SsmlCue(text, voiceId, asked, Marks.NONE, placed, Map.of());
        }
        SsmlCue directed = file.directed().get(at);
        return new SsmlCue(
                text,
                voiceId,
                directed.direction().phrasingPercent() == null
                        ? directed.direction().phrased(asked.phrasingPercent())
                        : directed.direction(),
                directed.marks(),
                directed.readings(),
                directed.cast(),
                directed.places());
    }

    /** What is rendered of a cue. @param engineVersion of its voice */
    Recipe recipe(ScriptFile file, int at, Function<Voice, String> engineVersion) {
        return made(file, at, engineVersion).recipe();
    }

    /** Roles and languages that nobody here speaks, as sentences. */
    List<String> missing(ScriptFile file, int at) {
        return made(file, at, voice -> "").missing();
    }

    private CueRecipe made(ScriptFile file, int at, Function<Voice, String> engineVersion) {
        Voice speaks = voiceOf(file, at);
        String text = file.script().cues().get(at).text();
        SsmlCue directed = file.directed().isEmpty() ? null : file.directed().get(at);
        // a document says how much of its own phrasing is to be heard
        ResolvedDirection spoken = directed == null ? direction() : ResolvedDirection.of(asked, directed.direction());
        Speaker own = new Speaker(speaks, engineVersion.apply(speaks), spoken);
        CueReadings said = new CueReadings(readings, directed == null ? List.of() : directed.readings());
        return CueRecipe.of(
                text,
                directed == null ? List.of() : casting(file, directed, speaks),
                own,
                speakers(engineVersion),
                voice -> said.said(text, voice.language()),
                sounds,
                directed == null ? Score.NONE : new Score(directed.marks().heard(), PauseDefaults.NONE, 0, 0));
    }

    /** The language of the whole document holds where nobody chose a voice and nothing inside says otherwise. */
    private static List<Mark> casting(ScriptFile file, SsmlCue cue, Voice speaks) {
        List<Mark> marks = new ArrayList<>(cue.marks().heard());
        if (!file.language().isEmpty() && speaks.id().equals(NativeVoices.DEFAULT_ID)) {
            marks.add(Mark.own(0, Math.max(1, cue.text().length()), new Instruction.Language(file.language())));
        }
        return marks;
    }

    private Speakers speakers(Function<Voice, String> engineVersion) {
        return new Speakers() {
            @Override
            public Optional<Speaker> ofRole(String role) {
                Voice casted = cast.get(role.toLowerCase(Locale.ROOT));
                return (casted == null ? named(role) : Optional.of(casted))
                        .map(voice -> new Speaker(voice, engineVersion.apply(voice), direction()));
            }

            @Override
            public Optional<Speaker> inLanguage(String tag, Speaker instead) {
                return NativeVoices.catalogue()
                        .inLanguage(tag, instead.voice())
                        .map(voice -> new Speaker(voice, engineVersion.apply(voice), direction()));
            }
        };
    }

    private static Optional<Voice> named(String name) {
        return NativeVoices.catalogue().all().stream()
                .filter(voice ->
                        voice.id().equalsIgnoreCase(name) || voice.name().equalsIgnoreCase(name))
                .findFirst();
    }

    /** Every voice that is cast. */
    Set<Voice> voices() {
        Set<Voice> voices = new LinkedHashSet<>(cast.values());
        voices.add(voice);
        return voices;
    }

    ResolvedDirection direction() {
        return ResolvedDirection.of(asked);
    }
}
