package org.logophon.speech.hired;

import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.WavReader;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.Utterance.PhonemeStart;
import org.logophon.core.voice.render.Utterance.WordStart;
import org.logophon.speech.outside.ServiceRefused;
import tools.jackson.databind.JsonNode;

/**
 * A hired voice as an engine. It is asked for its plain voice, or one of its styles; pace, pitch and range are made in
 * the signal.
 */
public final class HiredEngine implements SpeechEngine {

    /** 60 dB under full scale: nobody is heard. */
    private static final double SILENT = 0.001;
    /** Word times are never quite exact; of a sound that was cut off whole words are missing. */
    private static final double MOST_WORDS_MISSING = 0.25;

    private static final String AGAIN = " Render it again: the same words aren't charged a second time.";

    private final HiredService service;
    private final Charges charges;

    public HiredEngine(HiredService service, Charges charges) {
        this.service = service;
        this.charges = charges;
    }

    @Override
    public String version(Voice voice) {
        return "hired " + voice.engineVoice();
    }

    @Override
    public Utterance speak(SpeechRequest request) {
        HiredRequest paid = HiredRequest.of(request);
        return charges.paid(paid.key()).orElseGet(() -> pay(request, paid));
    }

    private Utterance pay(SpeechRequest request, HiredRequest asked) {
        Voice voice = request.voice();
        SentText sent = SentText.of(request.text(), voice.language());
        charges.asked(asked.key(), voice, asked.characters(), request.agreement());
        JsonNode answer;
        try {
            answer = service.speech(asked.key(), voice.engineVoice().replaceFirst("@.*$", ""), sent, request.style());
        } catch (ServiceRefused refused) {
            charges.refused(asked.key());
            throw refused;
        }
        charges.charged(asked.key(), voice, answer.path("characters").asInt(asked.characters()));
        Utterance utterance = utterance(answer, sent);
        charges.keep(asked.key(), voice, utterance);
        return utterance;
    }

    private static Utterance utterance(JsonNode answer, SentText sent) {
        Sound sound = sound(answer.path("audio").asString(""));
        requireWhole(sound, answer.path("words"));
        List<WordStart> words = new ArrayList<>();
        List<PhonemeStart> silences = new ArrayList<>();
        for (JsonNode word : answer.path("words")) {
            words.add(new WordStart(
                    sent.spoken(word.path("at").asInt(0)),
                    sample(word.path("from").asDouble(0), sound)));
            silences.add(new PhonemeStart(sample(word.path("from").asDouble(0), sound), false));
            silences.add(new PhonemeStart(sample(word.path("to").asDouble(0), sound), true));
        }
        return new Utterance(sound, words, silences);
    }

    /** What isn't kept is asked for again; what is kept would be heard in every take. */
    private static void requireWhole(Sound sound, JsonNode words) {
        // no sound at all has no level either
        if (!(sound.rms(0, sound.samples().length) >= SILENT)) {
            throw new SpeechFailed("The service of the hired voices gave silence for this text." + AGAIN);
        }
        int missing = 0;
        for (JsonNode word : words) {
            missing += word.path("from").asDouble(0) > sound.seconds() ? 1 : 0;
        }
        if (missing > MOST_WORDS_MISSING * words.size()) {
            throw new SpeechFailed(
                    "The service of the hired voices gave a sound for this text that ends before its words do."
                            + AGAIN);
        }
    }

    private static int sample(double seconds, Sound sound) {
        return Math.max(0, Math.min(sound.samples().length, (int) Math.round(seconds * sound.rate())));
    }

    private static Sound sound(String base64) {
        try {
            return WavReader.read(Base64.getDecoder().decode(base64));
        } catch (IllegalArgumentException none) {
            throw new SpeechFailed(
                    "The service of the hired voices gave no sound for this text that can be read.", none);
        }
    }
}
