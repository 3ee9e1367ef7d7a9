package org.logophon.app.deliver;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.IntPredicate;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.logophon.app.audio.AudioStore;
import org.logophon.app.project.CueView;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.review.Note;
import org.logophon.app.project.review.NoteRepository;
import org.logophon.app.project.take.SpeechRepository;
import org.logophon.app.project.take.StoredSpeech;
import org.logophon.app.project.take.Take;
import org.logophon.app.project.take.TakeRepository;
import org.logophon.app.web.NotFound;
import org.logophon.core.delivery.ClipFile;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.Markers;
import org.logophon.core.delivery.Markers.Marker;
import org.logophon.core.delivery.PackagePart;
import org.logophon.core.finish.Clip;
import org.logophon.core.finish.ClipFinisher;
import org.logophon.core.finish.FinishSettings;
import org.logophon.core.programme.Programme;
import org.logophon.core.programme.Programme.PlacedClip;
import org.logophon.core.script.WordSpread;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.springframework.stereotype.Component;

/** Writes a project's kept takes as a ZIP: its clips one after another, then the files that tell of the whole programme. */
@Component
class PackageWriter {

    private final TakeRepository takes;
    private final SpeechRepository speeches;
    private final AudioStore audio;
    private final ClipFinisher finisher;
    private final VoiceCatalogue voices;
    private final NoteRepository notes;

    PackageWriter(
            TakeRepository takes,
            SpeechRepository speeches,
            AudioStore audio,
            ClipFinisher finisher,
            VoiceCatalogue voices,
            NoteRepository notes) {
        this.takes = takes;
        this.speeches = speeches;
        this.audio = audio;
        this.finisher = finisher;
        this.voices = voices;
        this.notes = notes;
    }

    /**
     * @param goOn told the number of clips written; false stops
     * @return false when it was stopped
     */
    boolean write(ProjectView view, Delivery delivery, OutputStream to, IntPredicate goOn) throws IOException {
        Map<CueView, String> names = ClipNames.names(view, delivery.namePattern());
        Programme<CueView> programme = view.programme(
                List.copyOf(names.keySet()), cue -> cue.status().sound().length());
        LocalDateTime made = LocalDateTime.ofInstant(delivery.createdAt(), ZoneOffset.UTC);
        ZipOutputStream zip = new ZipOutputStream(to, StandardCharsets.UTF_8);
        zip.setLevel(Deflater.BEST_SPEED);
        List<DeliveredClip> written = new ArrayList<>();
        for (PlacedClip<CueView> placed : programme.clips()) {
            String file = names.get(placed.cue());
            Take take = takes.find(placed.cue().keptTake())
                    .orElseThrow(() -> new NotFound(
                            "The kept take of cue " + placed.cue().number() + " is gone. Render it again."));
            StoredSpeech speech = speeches.find(take.speech()).orElseThrow();
            Clip clip = finisher.finish(
                    audio.source(take.sound()),
                    speech.timed(),
                    FinishSettings.to(delivery.targetLufs()),
                    placed.cue().direction().loudnessDb());
            zip.putNextEntry(new ZipEntry(file));
            ClipFile.write(clip, placed.cue().number(), take.text(), placed.start(), made, zip);
            zip.closeEntry();
            written.add(told(placed.cue(), take, file, clip));
            if (!goOn.test(written.size())) {
                return false;
            }
        }
        Iterator<DeliveredClip> clips = written.iterator();
        Programme<DeliveredClip> told = programme.with(cue -> clips.next());
        for (PackagePart part : parts(view, told)) {
            zip.putNextEntry(new ZipEntry(part.fileName()));
            part.write(told, zip);
            zip.closeEntry();
        }
        zip.finish();
        return true;
    }

    /** Open notes go along as markers. */
    private List<PackagePart> parts(ProjectView view, Programme<DeliveredClip> programme) {
        Map<UUID, String> numbers = new HashMap<>();
        view.cues().forEach(cue -> numbers.put(cue.id(), cue.number()));
        Map<String, DeliveredClip> clips = new HashMap<>();
        programme.clips().forEach(clip -> clips.put(clip.cue().number(), clip.cue()));
        List<Marker> markers = new ArrayList<>();
        for (Note note : notes.of(view.id())) {
            DeliveredClip clip = clips.get(numbers.get(note.cue()));
            if (note.open() && clip != null) {
                note.place()
                        .in(clip.text())
                        .ifPresent(place -> markers.add(new Marker(
                                clip.number(), secondsOf(clip, place.start()), place.word(), note.remark())));
            }
        }
        List<PackagePart> parts = new ArrayList<>(PackagePart.ALL);
        if (!markers.isEmpty()) {
            parts.add(new Markers(
                    markers,
                    view.project().picture().counting(),
                    view.project().picture().startFrame()));
        }
        return parts;
    }

    private static double secondsOf(DeliveredClip clip, int place) {
        return clip.words().stream()
                .filter(word -> word.end() > place)
                .findFirst()
                .map(Clip.TimedWord::startSeconds)
                .orElse(0.0);
    }

    private DeliveredClip told(CueView cue, Take take, String file, Clip clip) {
        String voice = take.origin().voice() == null
                ? ""
                : voices.find(take.origin().voice().id())
                        .map(Voice::name)
                        .orElse(take.origin().voice().id());
        return new DeliveredClip(
                cue.number(),
                file,
                cue.cue().scene(),
                cue.cue().role(),
                voice,
                take.text(),
                timed(take, clip),
                clip.loudness(),
                clip.truePeakDbtp());
    }

    /** Words that nothing has timed are spread over the clip. */
    private static List<Clip.TimedWord> timed(Take take, Clip clip) {
        if (!clip.words().isEmpty()) {
            return clip.words();
        }
        double seconds = clip.sound().length() / (double) clip.sound().rate();
        return WordSpread.over(take.text(), seconds).stream()
                .map(word -> new Clip.TimedWord(word.start(), word.end(), word.fromSeconds(), word.toSeconds()))
                .toList();
    }
}
