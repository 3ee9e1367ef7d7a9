package org.logophon.app.services.rendering;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.bed.BedRepository;
import org.logophon.app.services.project.bed.LaidOut;
import org.logophon.app.services.project.bed.LaidOut.BedAt;
import org.logophon.app.services.project.bed.LaidOut.SoundAt;
import org.logophon.app.services.project.bed.LaidOut.Used;
import org.logophon.app.services.project.bed.OwnSound;
import org.logophon.app.services.project.bed.OwnSoundRepository;
import org.logophon.app.services.project.bed.ProjectBed;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.SpeechRepository.Timed;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.project.take.TakeWordTimes;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.signal.loudness.EnergyProfile;
import org.logophon.core.signal.sound.ConvertedSource;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.time.bed.Bed;
import org.logophon.core.time.bed.GapSound;
import org.logophon.core.time.bed.HeardSound;
import org.logophon.core.time.bed.Layer;
import org.logophon.core.time.bed.VoiceSpans;
import org.logophon.core.time.coding.Stretch;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.finish.Clip.TimedWord;
import org.logophon.core.voice.finish.FinishSettings;
import org.springframework.stereotype.Component;

/** From a project's beds, and its marks of sounds, to what is heard under its programme. */
@Component
public class Layers {

    private static final int MOST_PROFILES = 200;

    private final OwnSoundRepository sounds;
    private final BedRepository beds;
    private final TakeRepository takes;
    private final SpeechRepository speeches;
    private final AudioStore audio;
    private final Resampler resampler;
    private final Cache<Used, EnergyProfile> profiles =
            Caffeine.newBuilder().maximumSize(MOST_PROFILES).build();

    private final Cache<Content, List<ProjectBed>> bedsOf =
            Caffeine.newBuilder().maximumSize(MOST_PROFILES).build();

    /** What a project had at a version of its content. */
    private record Content(UUID project, long version) {}

    Layers(
            OwnSoundRepository sounds,
            BedRepository beds,
            TakeRepository takes,
            SpeechRepository speeches,
            AudioStore audio,
            Resampler resampler) {
        this.sounds = sounds;
        this.beds = beds;
        this.takes = takes;
        this.speeches = speeches;
        this.audio = audio;
        this.resampler = resampler;
    }

    /**
     * When the words of takes are said.
     *
     * @param takes by id
     * @param timed by the takes' speeches
     */
    private record Said(Map<UUID, Take> takes, Map<UUID, Timed> timed) {

        List<TimedWord> of(UUID take) {
            Take found = takes.get(take);
            return found == null ? List.of() : TakeWordTimes.of(found, timed.getOrDefault(found.speech(), Timed.NONE));
        }
    }

    private Said said(List<UUID> kept) {
        List<Take> found = takes.all(kept);
        return new Said(
                found.stream().collect(Collectors.toMap(Take::id, take -> take, (one, same) -> one)),
                speeches.timed(found.stream().map(Take::speech).toList(), false));
    }

    /**
     * What lies under a programme of a project's cues.
     *
     * @param lufs that its clips are brought to; null for as they were made
     */
    public LaidOut laidOut(ProjectView view, Programme<CueView> programme, Double lufs) {
        Project project = view.project();
        // whatever changes a bed, or a sound that is used, raises the content's version
        List<ProjectBed> own =
                bedsOf.get(new Content(project.id(), project.contentVersion()), content -> beds.of(content.project()));
        boolean marked = programme.clips().stream()
                .anyMatch(clip -> !clip.cue().marks().sounds().isEmpty());
        if (own.isEmpty() && !marked) {
            return LaidOut.NOTHING;
        }
        List<OwnSound> known = sounds.of(view.id());
        return new LaidOut(
                lufs == null ? FinishSettings.DEFAULT_TARGET_LUFS : lufs,
                bedsAt(view, programme, own, known),
                marked ? soundsAt(programme, known) : List.of());
    }

    /** As the project is heard now. */
    public LaidOut laidOut(ProjectView view) {
        return laidOut(view, view.heard(), view.project().targetLufs());
    }

    /** Where a bed lies in the project as it is heard now; empty where nothing is heard of it. */
    public Optional<BedAt> at(ProjectView view, ProjectBed bed, List<OwnSound> known) {
        return bedsAt(view, view.heard(), List.of(bed), known).stream().findFirst();
    }

    private static List<BedAt> bedsAt(
            ProjectView view, Programme<CueView> programme, List<ProjectBed> own, List<OwnSound> known) {
        Map<UUID, Integer> order = new HashMap<>();
        view.cues().forEach(cue -> order.put(cue.id(), order.size()));
        Map<UUID, OwnSound> byId = known.stream().collect(Collectors.toMap(OwnSound::id, sound -> sound));
        List<BedAt> laid = new ArrayList<>();
        for (ProjectBed bed : own) {
            Integer first = bed.fromCue() == null ? Integer.valueOf(-1) : order.get(bed.fromCue());
            Integer last = bed.toCue() == null ? Integer.valueOf(order.size()) : order.get(bed.toCue());
            OwnSound sound = byId.get(bed.sound());
            if (first != null && last != null && sound != null) {
                over(programme, order, first, last)
                        .map(span -> new BedAt(sound.used(), span[0], span[1], bed.settings()))
                        .ifPresent(laid::add);
            }
        }
        return laid;
    }

    /** From the start of the first clip of some cues to the end of the last; from the programme's own start for −1. */
    private static Optional<long[]> over(Programme<CueView> programme, Map<UUID, Integer> order, int first, int last) {
        List<PlacedClip<CueView>> under = programme.clips().stream()
                .filter(clip -> order.get(clip.cue().id()) >= first
                        && order.get(clip.cue().id()) <= last)
                .toList();
        long to = under.stream().mapToLong(clip -> clip.end().samples()).max().orElse(0);
        long from = first < 0
                ? 0
                : under.stream().mapToLong(clip -> clip.start().samples()).min().orElse(to);
        return to > from ? Optional.of(new long[] {from, to}) : Optional.empty();
    }

    /** A mark stands on the cue's words: it is found again on those that its take says. */
    private List<SoundAt> soundsAt(Programme<CueView> programme, List<OwnSound> known) {
        Map<String, OwnSound> byName = known.stream()
                .collect(Collectors.toMap(
                        sound -> sound.name().toLowerCase(Locale.ROOT), sound -> sound, (nearer, further) -> nearer));
        List<PlacedClip<CueView>> marked = programme.clips().stream()
                .filter(clip -> clip.cue().keptTake() != null
                        && !clip.cue().marks().sounds().isEmpty())
                .toList();
        Said said = said(marked.stream().map(clip -> clip.cue().keptTake()).toList());
        List<SoundAt> laid = new ArrayList<>();
        for (PlacedClip<CueView> clip : marked) {
            CueView cue = clip.cue();
            Take take = said.takes().get(cue.keptTake());
            List<TimedWord> words = said.of(cue.keptTake());
            if (take == null || words.isEmpty()) {
                continue;
            }
            for (Mark mark :
                    cue.marks().moved(cue.cue().text(), take.text()).marks().sounds()) {
                Instruction.OwnSound asked = (Instruction.OwnSound) mark.instruction();
                OwnSound sound = byName.get(asked.name().toLowerCase(Locale.ROOT));
                if (sound != null) {
                    laid.add(new SoundAt(
                            sound.used(),
                            clip.start().samples() + after(words, mark.end(), clip),
                            SampleCount.ofMillis(asked.millis()).samples(),
                            asked.levelDb()));
                }
            }
        }
        return laid;
    }

    /** Samples from the clip's start to the end of the word that a gap comes after; after the last one, its end. */
    private static long after(List<TimedWord> words, int end, PlacedClip<CueView> clip) {
        TimedWord last = words.get(words.size() - 1);
        return words.stream()
                .filter(word -> word.end() >= end && word != last)
                .findFirst()
                .map(word -> SampleCount.nearest(word.endSeconds()).samples())
                .orElse(clip.length().samples());
    }

    /** What lies under the programme, as a sound. */
    public Layer layer(LaidOut laid, Programme<CueView> programme) {
        Programme<UUID> spoken = new Programme<>(programme.clips().stream()
                .filter(clip -> clip.cue().keptTake() != null)
                .map(clip -> new PlacedClip<>(clip.cue().keptTake(), clip.start(), clip.length(), clip.gap()))
                .toList());
        return layer(laid, spoken, programme.length());
    }

    /** The same of takes in their places. @param spoken by their ids. @param length of the whole programme */
    public Layer layer(LaidOut laid, Programme<UUID> spoken, SampleCount length) {
        Said said = said(spoken.clips().stream().map(PlacedClip::cue).toList());
        return Layer.of(
                length,
                VoiceSpans.of(spoken, said::of),
                laid.voiceLufs(),
                laid.beds().stream()
                        .map(bed -> new Bed(
                                heard(bed.used()),
                                new SampleCount(bed.from()),
                                new SampleCount(bed.to()),
                                bed.settings()))
                        .toList(),
                laid.sounds().stream()
                        .map(sound -> new GapSound(
                                heard(sound.used()),
                                new SampleCount(sound.at()),
                                new SampleCount(sound.length()),
                                sound.levelDb()))
                        .toList());
    }

    /** A sound file as it is used: trimmed, at the programme's rate, measured once. */
    public HeardSound heard(OwnSound sound) {
        return heard(sound.used());
    }

    private HeardSound heard(Used used) {
        SoundSource source = ConvertedSource.of(
                new Stretch(audio.source(used.sound()), used.from(), used.to()), SampleCount.RATE, resampler);
        return new HeardSound(source, profiles.get(used, key -> EnergyProfile.of(source)), used.ownDb());
    }
}
