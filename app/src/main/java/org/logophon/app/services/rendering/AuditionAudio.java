package org.logophon.app.services.rendering;

import java.util.List;
import java.util.UUID;
import org.logophon.app.services.hired.Prices;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.StoredSpeech;
import org.logophon.core.voice.render.Recipe;
import org.springframework.stereotype.Service;

/** Lines that are heard without becoming takes: voices on trial, readings by ear. Made once, kept for a while. */
@Service
public class AuditionAudio {

    private final SpeechRepository speeches;
    private final SpeechMaker maker;
    private final Prices prices;

    AuditionAudio(SpeechRepository speeches, SpeechMaker maker, Prices prices) {
        this.speeches = speeches;
        this.maker = maker;
        this.prices = prices;
    }

    /**
     * The line as it is spoken.
     *
     * @param agreed characters of hired voices that may be paid for it
     * @throws org.logophon.app.platform.failure.PriceFirst when it costs more than was agreed to
     * @throws org.logophon.core.voice.render.SpeechFailed when the voice can't say it
     */
    public StoredSpeech say(UUID project, Recipe recipe, int agreed) {
        StoredSpeech speech = speeches.ofRecipe(recipe.hash())
                .orElseGet(() -> maker.make(recipe, prices.agree(project, List.of(recipe), agreed)));
        speeches.heard(speech.id());
        return speech;
    }

    /** Where its sound is. */
    public static String address(UUID project, Recipe recipe) {
        return "/projects/" + project + "/lines/" + recipe.hash() + ".wav";
    }
}
