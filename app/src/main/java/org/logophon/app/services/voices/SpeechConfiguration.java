package org.logophon.app.services.voices;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.logophon.app.services.hired.HiredAccess;
import org.logophon.app.services.hired.Ledger;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.time.coding.Coder;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.figures.ClearnessTable;
import org.logophon.core.voice.finish.ClipFinisher;
import org.logophon.core.voice.recording.CueCutter;
import org.logophon.core.voice.recording.Recorded;
import org.logophon.core.voice.recording.RecordedEngine;
import org.logophon.core.voice.recording.RecordingAligner;
import org.logophon.core.voice.recording.SoundCleaner;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpokenSounds;
import org.logophon.speech.Engines;
import org.logophon.speech.LanguageSounds;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;
import org.logophon.speech.coding.FfmpegCleaner;
import org.logophon.speech.coding.FfmpegCoder;
import org.logophon.speech.hired.HiredEngine;
import org.logophon.speech.own.OwnEnginesFile;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The speech side of the application: workers and engines. */
@Configuration
class SpeechConfiguration {

    private static final Logger LOG = LoggerFactory.getLogger(SpeechConfiguration.class);

    /** @param workers how many; 0 for one a core */
    @Bean(destroyMethod = "close")
    WorkerPool workerPool(@Value("${logophon.workers}") int workers) {
        return new WorkerPool(
                workers > 0 ? workers : Math.max(1, Runtime.getRuntime().availableProcessors()));
    }

    /** The engines that come with the machine. */
    @Bean
    SpeechEngine nativeEngines(WorkerPool pool) {
        return new Engines(pool);
    }

    @Bean
    Narrator narrator(
            SpeechEngine natives,
            Resampler resampler,
            HiredAccess hired,
            Ledger ledger,
            OwnEnginesFile own,
            Recorded.Store recordings,
            ObjectProvider<VoiceCatalogue> voices) {
        Engines engines = new Engines(
                natives,
                hired.service().map(service -> new HiredEngine(service, ledger)).orElse(null),
                own.engines());
        return new Narrator(
                new RecordedEngine(
                        engines,
                        new Narrator(engines, resampler),
                        recordings,
                        id -> voices.getObject().find(id)),
                resampler);
    }

    @Bean
    SpokenSounds spokenSounds(WorkerPool pool) {
        return new LanguageSounds(pool);
    }

    @Bean
    SoundCleaner soundCleaner() {
        return new FfmpegCleaner();
    }

    @Bean
    CueCutter cueCutter(SpeechEngine natives, Resampler resampler) {
        return new CueCutter(natives, NativeVoices::quick, resampler);
    }

    @Bean
    RecordingAligner recordingHolder(SpeechEngine natives) {
        return new RecordingAligner(natives, NativeVoices::saying);
    }

    /** @param file empty for none; what is wrong with it is told, and what is right with it is used */
    @Bean
    OwnEnginesFile ownEngines(@Value("${logophon.engines}") String file) {
        OwnEnginesFile own = file.isBlank() ? OwnEnginesFile.NONE : OwnEnginesFile.read(Path.of(file.strip()));
        own.wrong().forEach(sentence -> LOG.warn("{}, {}", file.strip(), sentence));
        return own;
    }

    /** What ships, and what was measured of the user's own voices. @param file need not be there */
    @Bean
    ClearnessTable clearness(@Value("${logophon.clearness}") String file) {
        Path own = Path.of(file.strip());
        if (file.isBlank() || !Files.exists(own)) {
            return ClearnessTable.shipped();
        }
        try {
            return ClearnessTable.shipped().with(Files.readString(own));
        } catch (InvalidInput | IOException bad) {
            LOG.warn("{} can't be read: {}", own, bad.getMessage());
            return ClearnessTable.shipped();
        }
    }

    @Bean
    Resampler resampler(WorkerPool pool) {
        return new WorkerResampler(pool);
    }

    @Bean
    Coder coder() {
        return new FfmpegCoder();
    }

    @Bean
    ClipFinisher finishing(Resampler resampler) {
        return new ClipFinisher(resampler);
    }
}
