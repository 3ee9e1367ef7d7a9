package org.logophon.app.services.deliveries;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.logophon.app.services.project.CaptionRepository;
import org.logophon.app.services.project.CaptionRepository.Corrected;
import org.logophon.app.services.project.CueScore;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectReadings;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.ReadingRepository;
import org.logophon.app.services.project.Role;
import org.logophon.app.services.project.bed.LaidOut;
import org.logophon.app.services.project.review.Note;
import org.logophon.app.services.project.review.NoteRepository;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.SpeechRepository.Timed;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.project.take.TakeWordTimes;
import org.logophon.app.services.rendering.Layers;
import org.logophon.core.delivery.ClipOrigin;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.FileNames;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.input.digest.Sha256;
import org.logophon.core.signal.loudness.Loudness;
import org.logophon.core.time.coding.SoundFormat;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.finish.Clip;
import org.logophon.core.voice.take.TakeScore;
import org.springframework.stereotype.Component;

/** From a project to what is delivered of it. */
@Component
public class DeliveredProject {

    private static final int MOST_SCORES = 10_000;

    private record ScoreKey(UUID take, Map<String, String> cast, String language) {}

    private final TakeRepository takes;
    private final SpeechRepository speeches;
    private final CaptionRepository corrections;
    private final NoteRepository notes;
    private final ReadingRepository readings;
    private final VoiceCatalogue voices;
    private final Layers layers;
    private final Cache<ScoreKey, SsmlCue> scores =
            Caffeine.newBuilder().maximumSize(MOST_SCORES).build();

    DeliveredProject(
            TakeRepository takes,
            SpeechRepository speeches,
            CaptionRepository corrections,
            NoteRepository notes,
            ReadingRepository readings,
            VoiceCatalogue voices,
            Layers layers) {
        this.takes = takes;
        this.speeches = speeches;
        this.corrections = corrections;
        this.notes = notes;
        this.readings = readings;
        this.voices = voices;
        this.layers = layers;
    }

    /**
     * The options that clips follow from.
     *
     * @param lufs null for as rendered.
     * @param inClips with sounds and beds in the clips
     */
    public record ClipOptions(String pattern, Double lufs, SoundFormat format, boolean inClips) {

        public static ClipOptions of(String pattern, Double lufs, Choice choice) {
            return new ClipOptions(pattern, lufs, choice.sound(), choice.inClips());
        }
    }

    /** The cue, take and file name of a clip. */
    public record ClipSource(CueView cue, Take take, FileNames.Name name, String madeOf) {

        String file() {
            return name.path();
        }
    }

    /** Clips in their places, by what they are made of; those without a take are left out. */
    Programme<ClipSource> programme(ProjectView view, ClipOptions asked) {
        List<CueView> delivered = ClipNames.delivered(view);
        Map<UUID, FileNames.Name> names =
                ClipNames.names(view, asked.pattern(), asked.format().kind().extension());
        Map<UUID, Take> kept = new HashMap<>();
        takes.all(delivered.stream().map(CueView::keptTake).toList()).forEach(take -> kept.put(take.id(), take));
        Programme<CueView> placed =
                view.programme(delivered, cue -> cue.status().sound().length());
        LaidOut laid = asked.inClips() ? layers.laidOut(view, placed, asked.lufs()) : null;
        String bed = laid == null || laid.empty() ? "" : laid.stamp();
        return placed.with(cue -> {
            Take take = kept.get(cue.keptTake());
            return new ClipSource(cue, take, names.get(cue.id()), madeOf(cue, take, asked, bed));
        });
    }

    /** What lies under it. */
    LaidOut laidOut(ProjectView view, Programme<ClipSource> programme, Double lufs) {
        return layers.laidOut(view, programme.with(ClipSource::cue), lufs);
    }

    /**
     * A project as it would be delivered now, but for its finished sound.
     *
     * @param delivered the same clips as the programme, in the same order
     * @param laid      what lies under them
     */
    public record Prepared(ProjectView view, Programme<ClipSource> programme, Delivered delivered, LaidOut laid) {

        /** Where only names are asked for. */
        ProjectSounds names() {
            return DeliverySounds.names(laid, delivered);
        }
    }

    /** @throws org.logophon.core.input.InvalidInput when the names can't be made */
    public Prepared prepared(ProjectView view, ClipOptions asked) {
        Programme<ClipSource> programme = programme(view, asked);
        return new Prepared(view, programme, delivered(view, programme, null), laidOut(view, programme, asked.lufs()));
    }

    public static String madeOf(CueView cue, Take take, ClipOptions asked, String bed) {
        return new MadeOf(
                        Sha256.hex(String.join("\n", take.sound().id().toString(), take.text(), cue.number())),
                        asked.lufs() + "/" + cue.direction().loudnessDb(),
                        asked.format().toString().replace(' ', '_'),
                        bed)
                .written();
    }

    /** @param clips finished ones, in the order of the programme; null where nothing is asked of their sound */
    Delivered delivered(ProjectView view, Programme<ClipSource> programme, List<Clip> clips) {
        ProjectReadings said = readings.of(view.id());
        Iterator<Clip> finished = clips == null ? null : clips.iterator();
        Map<UUID, Timed> timed = speeches.timed(
                programme.clips().stream()
                        .map(placed -> placed.cue().take().speech())
                        .toList(),
                clips != null);
        Map<UUID, Corrected> corrected = corrections.of(view.id());
        Map<String, String> cast = view.roles().stream()
                .filter(role -> role.voiceId() != null)
                .collect(Collectors.toMap(Role::name, Role::voiceId));
        Programme<DeliveredClip> told = programme.with(
                made -> told(view, made, finished == null ? null : finished.next(), said, timed, corrected, cast));
        return new Delivered(
                view.project().name(),
                view.project().language(),
                view.project().picture().counting(),
                view.project().picture().startFrame(),
                told,
                notes(view, told),
                readings.kept(view.id()).stream()
                        .map(ReadingRepository.StoredReading::reading)
                        .toList());
    }

    private DeliveredClip told(
            ProjectView view,
            ClipSource made,
            Clip clip,
            ProjectReadings said,
            Map<UUID, Timed> timed,
            Map<UUID, Corrected> corrected,
            Map<String, String> cast) {
        CueView cue = made.cue();
        String voice = made.take().origin().voice() == null
                ? ""
                : voices.find(made.take().origin().voice().id())
                        .map(Voice::name)
                        .orElse(made.take().origin().voice().id());
        Timed spoken = timed.getOrDefault(made.take().speech(), Timed.NONE);
        return new DeliveredClip(
                cue.number(),
                made.file(),
                cue.cue().scene(),
                cue.cue().role(),
                voice,
                made.take().text(),
                TakeWordTimes.of(made.take(), spoken),
                clip == null ? new Loudness(Double.NaN, false) : clip.loudness(),
                clip == null ? Double.NaN : clip.truePeakDbtp(),
                corrected
                        .getOrDefault(cue.id(), Corrected.NONE)
                        .shownFor(made.take().text()),
                made.take().origin().voice() == null
                        ? CueScore.of(view, cue, said)
                        : score(
                                made.take(),
                                cast,
                                cue.voice() == null
                                        ? view.project().language()
                                        : cue.voice().language()),
                spoken.phones(),
                new ClipOrigin(view.id(), cue.id(), made.take().id()));
    }

    /** A take never changes: what it says is worked out once for a cast. */
    private SsmlCue score(Take take, Map<String, String> cast, String language) {
        return scores.get(new ScoreKey(take.id(), cast, language), none -> TakeScore.of(take.origin(), cast, language));
    }

    /** Open ones go along. */
    private List<Delivered.Note> notes(ProjectView view, Programme<DeliveredClip> programme) {
        Map<UUID, String> numbers = new HashMap<>();
        view.cues().forEach(cue -> numbers.put(cue.id(), cue.number()));
        Map<String, DeliveredClip> clips = new HashMap<>();
        programme.clips().stream().map(PlacedClip::cue).forEach(clip -> clips.put(clip.number(), clip));
        List<Delivered.Note> open = new ArrayList<>();
        for (Note note : notes.of(view.id())) {
            DeliveredClip clip = clips.get(numbers.get(note.cue()));
            if (note.open() && clip != null) {
                note.place()
                        .in(clip.text())
                        .ifPresent(place -> open.add(new Delivered.Note(
                                clip.number(), secondsOf(clip, place.start()), place.word(), note.remark())));
            }
        }
        return open;
    }

    private static double secondsOf(DeliveredClip clip, int place) {
        return clip.words().stream()
                .filter(word -> word.end() > place)
                .findFirst()
                .map(Clip.TimedWord::startSeconds)
                .orElse(0.0);
    }
}
