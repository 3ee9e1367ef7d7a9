package org.logophon.cli.narrate;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.logophon.cli.narrate.NarrationReport.Charged;
import org.logophon.cli.narrate.NarrationReport.ClipEntry;
import org.logophon.cli.narrate.NarrationReport.FindingEntry;
import org.logophon.cli.narrate.NarrationReport.InPicture;
import org.logophon.cli.narrate.NarrationReport.PlaceEntry;
import org.logophon.cli.narrate.NarrationReport.WordEntry;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.direction.ssml.SsmlCue.NamedPlace;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.finish.Clip;
import org.logophon.speech.hired.Charges;

/** What was made and what went wrong, for the report. */
final class Outcome implements Charges {

    private final List<ClipEntry> clips = new ArrayList<>();
    private final List<String> warnings = new ArrayList<>();
    private List<FindingEntry> findings;
    private List<String> files;
    private final Map<String, Charged> charges = new ConcurrentHashMap<>();
    private int failed;

    @Override
    public void asked(String key, Voice voice, int characters, String agreement) {
        // what is asked for and never answered is told as a failed cue
    }

    @Override
    public void charged(String key, Voice voice, int characters) {
        charges.put(
                key,
                new Charged(
                        characters,
                        voice.terms().pricePerCharacter().multiply(BigDecimal.valueOf(characters)),
                        voice.terms().currency()));
    }

    /**
     * @param picture where it stands in it; null without one.
     * @param places that the script has named, each told with the time of the word after it
     */
    void clip(DeliveredClip clip, SampleCount length, String voiceId, List<NamedPlace> places, InPicture picture) {
        clips.add(new ClipEntry(
                clip.number(),
                clip.file(),
                clip.scene(),
                clip.role(),
                voiceId,
                clip.text(),
                rounded(length.seconds(), 1e6),
                rounded(clip.loudness().lufs(), 100),
                rounded(clip.truePeakDbtp(), 100),
                clip.words().stream().map(word -> word(clip.text(), word)).toList(),
                places.isEmpty()
                        ? null
                        : places.stream()
                                .map(place -> place(place, clip, length.seconds()))
                                .toList(),
                picture));
    }

    private static PlaceEntry place(NamedPlace place, DeliveredClip clip, double end) {
        double seconds = clip.words().stream()
                .filter(word -> word.start() >= place.at())
                .findFirst()
                .map(Clip.TimedWord::startSeconds)
                .orElse(end);
        return new PlaceEntry(place.name(), rounded(seconds, 1e4));
    }

    private static WordEntry word(String text, Clip.TimedWord word) {
        return new WordEntry(
                text.substring(word.start(), word.end()),
                rounded(word.startSeconds(), 1e4),
                rounded(word.endSeconds(), 1e4));
    }

    void finding(FindingEntry finding) {
        findings().add(finding);
    }

    /** From here on there is a picture. */
    List<FindingEntry> findings() {
        findings = findings == null ? new ArrayList<>() : findings;
        return findings;
    }

    /** A file that is no clip. */
    void file(String path) {
        files = files == null ? new ArrayList<>() : files;
        files.add(path);
    }

    void warning(String sentence) {
        warnings.add(sentence);
    }

    void failure(String sentence) {
        warnings.add(sentence);
        failed++;
    }

    int failed() {
        return failed;
    }

    NarrationReport report() {
        return new NarrationReport(clips, warnings, findings, files, charges.isEmpty() ? null : charged());
    }

    private Charged charged() {
        return new Charged(
                charges.values().stream().mapToInt(Charged::characters).sum(),
                charges.values().stream().map(Charged::price).reduce(BigDecimal.ZERO, BigDecimal::add),
                charges.values().iterator().next().currency());
    }

    private static Double rounded(double value, double per) {
        return Double.isFinite(value) ? Math.round(value * per) / per : null;
    }
}
