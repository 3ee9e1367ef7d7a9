package org.logophon.app.steps.write.proof;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectParts;
import org.logophon.app.services.project.ProjectReadings;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.ReadingRepository;
import org.logophon.app.services.project.ScriptParsing;
import org.logophon.app.steps.write.proof.DismissedRepository.Dismissed;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.review.proof.CueToProof;
import org.logophon.core.review.proof.DetectedLanguage;
import org.logophon.core.review.proof.Finding;
import org.logophon.core.review.proof.FindingKind;
import org.logophon.core.review.proof.Proof;
import org.logophon.core.review.proof.WatchWord;
import org.logophon.core.text.reading.ReadingList;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.VoiceCatalogue;
import org.springframework.stereotype.Service;

/** Proofs a project's script. What was found in a text is kept in memory: an edit of one cue proofs one cue. */
@Service
class ProofService {

    private static final long MOST_BYTES = 32L << 20;
    private static final int BYTES_A_FINDING = 300;

    private final Projects projects;
    private final ProjectParts parts;
    private final ScriptParsing scripts;
    private final ReadingRepository readings;
    private final WatchRepository watch;
    private final DismissedRepository dismissed;
    private final VoiceCatalogue voices;
    private final HeardDrafts drafts;
    private final Cache<Key, List<Finding>> remembered = Caffeine.newBuilder()
            .maximumWeight(MOST_BYTES)
            .weigher((Key key, List<Finding> found) -> key.text().length() * 2 + BYTES_A_FINDING * (1 + found.size()))
            .build();

    ProofService(
            Projects projects,
            ProjectParts parts,
            ReadingRepository readings,
            WatchRepository watch,
            DismissedRepository dismissed,
            VoiceCatalogue voices,
            HeardDrafts drafts,
            ScriptParsing scripts) {
        this.drafts = drafts;
        this.scripts = scripts;
        this.projects = projects;
        this.parts = parts;
        this.readings = readings;
        this.watch = watch;
        this.dismissed = dismissed;
        this.voices = voices;
    }

    /** All that a cue's findings depend on. */
    private record Key(String text, String language, List<ReadingList.Match> settled, List<WatchWord> watched) {}

    /** A finding at its place. */
    record PlacedFinding(CueView cue, ScriptCue place, Finding finding) {}

    /** @param dismissed how many were left out because somebody had looked at them */
    record Result(int version, List<PlacedFinding> found, int dismissed) {}

    Result of(UUID id) {
        ProjectView view = projects.view(id);
        Script script = scripts.of(view.project());
        ProjectReadings said = readings.of(id);
        Set<Dismissed> left = dismissed.of(id);
        List<WatchWord> watched =
                watch.all().stream().map(WatchRepository.StoredWatchWord::word).toList();
        Proof proof = new Proof(watched, new DetectedLanguage(), voices.all());
        List<PlacedFinding> found = new ArrayList<>();
        int hidden = 0;
        Map<UUID, HeardDrafts.Draft> heard = drafts.of(id);
        int count = Math.min(script.cues().size(), view.cues().size());
        List<List<Finding>> findings = IntStream.range(0, count)
                .parallel()
                .mapToObj(i -> {
                    CueView cue = view.cues().get(i);
                    String text = script.cues().get(i).text();
                    String language = cue.voice() == null
                            ? view.project().language()
                            : cue.voice().language();
                    return findings(proof, new Key(text, language, said.settled(cue.id(), text, language), watched));
                })
                .toList();
        for (int i = 0; i < count; i++) {
            CueView cue = view.cues().get(i);
            ScriptCue place = script.cues().get(i);
            List<Finding> all = new ArrayList<>(findings.get(i));
            heard.getOrDefault(cue.id(), HeardDrafts.NONE).doubts(place.text()).forEach(all::add);
            for (Finding finding : all) {
                if (finding.kind() == FindingKind.UNKNOWN_WORD && inAnotherLanguage(cue, finding)) {
                    continue;
                }
                if (left.contains(new Dismissed(cue.id(), finding.kind(), finding.text()))
                        || left.contains(new Dismissed(null, finding.kind(), finding.text()))) {
                    hidden++;
                } else {
                    found.add(new PlacedFinding(cue, place, finding));
                }
            }
        }
        return new Result(view.project().scriptVersion(), found, hidden);
    }

    private static boolean inAnotherLanguage(CueView cue, Finding finding) {
        return cue.marks().heard().stream()
                .anyMatch(mark -> mark.instruction() instanceof Instruction.Language
                        && mark.start() <= finding.start()
                        && mark.end() >= finding.end());
    }

    /** Two threads may find the same at once; that costs less than one waiting for the other. */
    private List<Finding> findings(Proof proof, Key key) {
        List<Finding> known = remembered.getIfPresent(key);
        if (known == null) {
            known = proof.of(new CueToProof(
                    key.text(), Words.of(key.text()), key.language(), ScriptCue.MOST_CHARACTERS, key.settled()));
            remembered.put(key, known);
        }
        return known;
    }

    void dismiss(UUID project, UUID cue, FindingKind kind, String written) {
        projects.require(project);
        if (cue != null && !parts.belongs("cue", cue, project)) {
            throw new NotFound("That cue isn't in this project, or isn't there any more. Reload the page.");
        }
        dismissed.add(project, new Dismissed(cue, kind, written));
    }

    int showAgain(UUID project) {
        return dismissed.clear(project);
    }
}
