package org.logophon.core.voice.recording;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Phone;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.Utterance.PhonemeStart;
import org.logophon.core.voice.render.Utterance.WordStart;
import org.logophon.core.voice.render.WordTime;

/** The engine of {@link RecordedVoice}s; every other voice is its engine's, as before. */
public final class RecordedEngine implements SpeechEngine {

    private static final String CHANGED =
            "The words have changed since they were recorded. Record the cue again, or let its voice say it.";

    private final SpeechEngine others;
    private final Narrator narrator;
    private final Recorded.Store recordings;
    private final Function<String, Optional<Voice>> voices;

    /**
     * @param others   speaks for all other voices
     * @param narrator renders them, tuned as they are
     */
    public RecordedEngine(
            SpeechEngine others,
            Narrator narrator,
            Recorded.Store recordings,
            Function<String, Optional<Voice>> voices) {
        this.others = others;
        this.narrator = narrator;
        this.recordings = recordings;
        this.voices = voices;
    }

    @Override
    public String version(Voice voice) {
        RecordedVoice recorded = RecordedVoice.of(voice.id()).orElse(null);
        if (recorded == null) {
            return others.version(voice);
        }
        return recorded.recast()
                ? "recording 1, "
                        + voices.apply(recorded.voice()).map(others::version).orElse("gone")
                : "recording 1";
    }

    @Override
    public double paceToAsk(Voice voice, double paceFactor) {
        return voice.engine().equals(RecordedVoice.ENGINE) ? paceFactor : others.paceToAsk(voice, paceFactor);
    }

    @Override
    public Utterance speak(SpeechRequest request) {
        RecordedVoice asked = RecordedVoice.of(request.voice().id()).orElse(null);
        if (asked == null) {
            return others.speak(request);
        }
        Recorded recorded = recordings
                .find(asked.recording())
                .orElseThrow(() -> new SpeechFailed(
                        "The recording isn't there any more. Record the cue again, or let its voice say it."));
        SpokenText text = request.text();
        if (!asked.recast()) {
            if (!text.text().equals(recorded.text())) {
                throw new SpeechFailed(CHANGED);
            }
            return utterance(recorded.sound(), recorded.words(), recorded.phones(), recorded.text());
        }
        Voice voice = voices.apply(asked.voice())
                .orElseThrow(() -> new SpeechFailed(
                        "The voice that says this recording isn't here any more. Choose another one."));
        Speech said = narrator.render(
                Recipe.of(text.text(), List.of(), voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL));
        Speech made = Recast.of(said, anchors(said, text, recorded), recorded, asked);
        return utterance(made.sound(), made.words(), made.phones(), text.text());
    }

    /**
     * For each word of the recording the said words that stand for it: "2.3 t" is one written word and four said ones.
     */
    private static List<Recast.Anchor> anchors(Speech said, SpokenText text, Recorded recorded) {
        List<Recast.Anchor> anchors = new ArrayList<>();
        String spoken = text.text();
        for (WordTime word : recorded.words()) {
            WordTime first = null;
            WordTime last = null;
            for (WordTime other : said.words()) {
                int written = text.writtenAt(spoken.codePointCount(0, other.start()));
                if (written >= word.start() && written < word.end()) {
                    first = first == null ? other : first;
                    last = other;
                }
            }
            if (first != null) {
                anchors.add(
                        new Recast.Anchor(first.startSample(), last.endSample(), word.startSample(), word.endSample()));
            }
        }
        if (anchors.isEmpty()) {
            throw new SpeechFailed(CHANGED);
        }
        return anchors;
    }

    private static Utterance utterance(Sound sound, List<WordTime> words, List<Phone> phones, String text) {
        List<WordStart> starts = new ArrayList<>();
        List<PhonemeStart> sounds = new ArrayList<>();
        for (int i = 0; i < words.size(); i++) {
            WordTime word = words.get(i);
            starts.add(new WordStart(text.codePointCount(0, word.start()), word.startSample()));
            double length = word.endSample() - word.startSample();
            boolean told = false;
            for (Phone phone : phones) {
                if (phone.word() == word.start()) {
                    sounds.add(new PhonemeStart(
                            (int) Math.round(word.startSample() + phone.from() * length), false, phone.ipa()));
                    told = true;
                }
            }
            if (!told) {
                sounds.add(new PhonemeStart(word.startSample(), false));
            }
            int next = i + 1 < words.size() ? words.get(i + 1).startSample() : sound.samples().length;
            if (next > word.endSample()) {
                sounds.add(new PhonemeStart(word.endSample(), true));
            }
        }
        sounds.sort(Comparator.comparingInt(PhonemeStart::sample));
        return new Utterance(sound, starts, sounds);
    }
}
