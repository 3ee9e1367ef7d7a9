package org.logophon.app.rendering;

import java.util.List;
import java.util.UUID;
import org.logophon.app.hired.Paying;
import org.logophon.app.hired.Prices;
import org.logophon.app.web.NotFound;
import org.logophon.core.finish.ClipFinisher;
import org.logophon.core.finish.FinishSettings;
import org.logophon.core.render.Narrator;
import org.logophon.core.render.Recipe;
import org.springframework.stereotype.Service;

/** Lines that are heard without becoming takes: voices on trial, readings by ear. Made once, kept. */
@Service
public class AuditionAudio {

    private final Narrator narrator;
    private final SpeechRepository speeches;
    private final Prices prices;
    private final ClipFinisher finishing;
    private final TakeSound sound;

    AuditionAudio(
            Narrator narrator, SpeechRepository speeches, Prices prices, ClipFinisher finishing, TakeSound sound) {
        this.narrator = narrator;
        this.speeches = speeches;
        this.prices = prices;
        this.finishing = finishing;
        this.sound = sound;
    }

    /**
     * The line as it is spoken.
     *
     * @param agreed characters of hired voices that may be paid for it
     * @throws org.logophon.app.web.PriceFirst when it costs more than was agreed to
     * @throws org.logophon.core.render.SpeechFailed when the voice can't say it
     */
    public StoredSpeech say(UUID project, Recipe recipe, int agreed) {
        return speeches.find(recipe.hash()).orElseGet(() -> {
            UUID agreement = prices.agree(project, List.of(recipe), agreed);
            StoredSpeech made = StoredSpeech.of(Paying.under(agreement, () -> narrator.render(recipe)), recipe);
            speeches.save(recipe, made);
            return made;
        });
    }

    /** Where its sound is. */
    public static String address(UUID project, Recipe recipe) {
        return "/projects/" + project + "/lines/" + recipe.hash() + ".wav";
    }

    /**
     * WAV, at one loudness for all voices so that the louder one doesn't win.
     *
     * @param targetLufs null for the default
     */
    byte[] wav(String recipe, Double targetLufs) {
        StoredSpeech speech =
                speeches.find(recipe).orElseThrow(() -> new NotFound("This line isn't kept any more. Play it again."));
        FinishSettings settings = FinishSettings.to(
                        targetLufs == null ? FinishSettings.DEFAULT_TARGET_LUFS : targetLufs)
                .atRate(speech.rate());
        return sound.wav(finishing.finish(speech.speech(), settings, 0));
    }
}
