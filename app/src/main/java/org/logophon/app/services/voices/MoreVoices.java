package org.logophon.app.services.voices;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import org.logophon.app.platform.failure.Refused;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.VoiceOffer;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Voices of a language that sound better and aren't on every machine: offered where the language is looked at, and
 * fetched by the launcher, which alone knows how packages are installed.
 */
@Component
public class MoreVoices {

    private static final long MOST_MINUTES = 10;
    private static final int MOST_WORDS = 400;

    private final String launcher;
    private final HouseCatalogue catalogue;
    private final VoiceMeasuring measuring;
    private final JdbcTemplate jdbc;
    private final ReentrantLock fetching = new ReentrantLock();

    /** @param launcher path of the command that people type; empty for none */
    MoreVoices(
            @Value("${logophon.launcher}") String launcher,
            HouseCatalogue catalogue,
            VoiceMeasuring measuring,
            JdbcTemplate jdbc) {
        this.launcher = launcher;
        this.catalogue = catalogue;
        this.measuring = measuring;
        this.jdbc = jdbc;
    }

    /**
     * What could be had.
     *
     * @param language in English; nothing is offered for English, whose voice comes with the start
     */
    public Optional<VoiceOffer> offer(String language) {
        return launcher.isBlank() || language.equals("English")
                ? Optional.empty()
                : NativeVoices.offers().stream()
                        .filter(offer -> offer.languageName().equals(language))
                        .findFirst();
    }

    /**
     * Fetches what is offered for a language, which takes from seconds to minutes.
     *
     * @param language BCP 47
     * @return a sentence
     * @throws Refused with a sentence when it can't be had
     */
    public String get(String language) {
        VoiceOffer offer = NativeVoices.offers().stream()
                .filter(one -> one.language().equals(language) && !launcher.isBlank())
                .findFirst()
                .orElseThrow(() -> new Refused("There are no more voices for this language."));
        if (!fetching.tryLock()) {
            throw new Refused("A download of voices is running. Wait until it is done.");
        }
        try {
            run(offer);
        } finally {
            fetching.unlock();
        }
        NativeVoices.lookAgain();
        catalogue.changed();
        measuring.start();
        jdbc.execute("select pg_notify('logophon', 'house')");
        return offer.voices() == 1
                ? "1 more voice for " + offer.languageName() + " is here."
                : offer.voices() + " more voices for " + offer.languageName() + " are here.";
    }

    private void run(VoiceOffer offer) {
        String itself = "./logophon voices --get " + offer.language();
        Path said = null;
        try {
            said = Files.createTempFile("logophon-get", ".txt");
            ProcessBuilder builder = new ProcessBuilder(launcher, "voices", "--get", offer.language())
                    .redirectErrorStream(true)
                    .redirectInput(Path.of("/dev/null").toFile())
                    .redirectOutput(said.toFile());
            // who installs packages needs none of our secrets
            builder.environment()
                    .keySet()
                    .removeIf(name -> !List.of("PATH", "HOME", "LANG", "USER").contains(name));
            Process process = builder.start();
            if (!process.waitFor(MOST_MINUTES, TimeUnit.MINUTES)) {
                process.descendants().forEach(ProcessHandle::destroy);
                process.destroy();
                throw new Refused("The download took more than %d minutes and was stopped. Try %s on the command line."
                        .formatted(MOST_MINUTES, itself));
            }
            if (process.exitValue() != 0) {
                String words = Files.readString(said).strip().replaceAll("\\s+", " ");
                throw new Refused("The voices can't be downloaded now; installed ones work as before. Reason: "
                        + words.substring(Math.max(0, words.length() - MOST_WORDS)));
            }
        } catch (IOException gone) {
            throw new Refused("The voices can't be downloaded from here. Try " + itself + " on the command line.");
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new Refused("The download was interrupted.");
        } finally {
            remove(said);
        }
    }

    private static void remove(Path file) {
        if (file != null) {
            file.toFile().delete();
        }
    }
}
