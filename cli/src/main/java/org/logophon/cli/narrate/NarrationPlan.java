package org.logophon.cli.narrate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.logophon.cli.ScriptFile;
import org.logophon.direction.Direction;
import org.logophon.direction.Effective;
import org.logophon.finish.FinishSettings;
import org.logophon.mark.Habits;
import org.logophon.mark.Score;
import org.logophon.reading.As;
import org.logophon.reading.ReadingList;
import org.logophon.reading.Said;
import org.logophon.render.Recipe;
import org.logophon.speech.NativeVoices;
import org.logophon.ssml.SsmlCue;
import org.logophon.voice.Voice;

/**
 * Everything asked for on the command line.
 *
 * @param cast role in lower case to voice
 */
record NarrationPlan(Voice voice, Map<String, Voice> cast, Direction direction, ReadingList readings, String namePattern,
                     FinishSettings finish) {

    Voice voiceOf(String role) {
        return cast.getOrDefault(role.toLowerCase(Locale.ROOT), voice);
    }

    /** Who speaks a cue: the cast first, then a voice that the script itself names. */
    Voice voiceOf(ScriptFile file, int at) {
        String role = file.script().cues().get(at).role().toLowerCase(Locale.ROOT);
        if (cast.containsKey(role) || file.directed().isEmpty()) {
            return voiceOf(role);
        }
        String named = file.directed().get(at).voice();
        return NativeVoices.catalogue().all().stream().filter(voice -> voice.id().equalsIgnoreCase(named) || voice.name().equalsIgnoreCase(named)).findFirst().orElse(this.voice);
    }

    /** What is rendered of a cue. @param engineVersion of its voice */
    Recipe recipe(ScriptFile file, int at, Function<Voice, String> engineVersion) {
        Voice speaks = voiceOf(file, at);
        String text = file.script().cues().get(at).text();
        List<Said> said = readings.said(text, speaks.language());
        if (file.directed().isEmpty()) {
            return Recipe.of(text, said, speaks, engineVersion.apply(speaks), effective());
        }
        SsmlCue cue = file.directed().get(at);
        List<Said> placed = cue.readings().stream().map(place -> new Said(place.start(), place.start() + place.reading().written().length(), place.reading().spoken(speaks.language()),
                place.reading().as() == As.IPA)).toList();
        List<Said> all = new ArrayList<>(placed);
        said.stream().filter(listed -> placed.stream().noneMatch(own -> own.start() < listed.end() && own.end() > listed.start())).forEach(all::add);
        all.sort(Comparator.comparingInt(Said::start));
        return Recipe.of(text, all, speaks, engineVersion.apply(speaks), effective()).with(new Score(cue.marks().heard(), Habits.NONE, 0, 0));
    }

    /** Every voice that is cast. */
    Set<Voice> voices() {
        Set<Voice> voices = new LinkedHashSet<>(cast.values());
        voices.add(voice);
        return voices;
    }

    Effective effective() {
        return Effective.of(direction);
    }
}
