package org.logophon.app.steps.language;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.failure.Stale;
import org.logophon.app.services.project.Cue;
import org.logophon.app.services.project.CueRepository;
import org.logophon.app.services.project.DistinctNumbers;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.ProjectVersions;
import org.logophon.app.services.project.ProjectVersions.Link;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.bed.BedCopies;
import org.logophon.app.services.script.ScriptSaving;
import org.logophon.core.review.translation.Pairing;
import org.logophon.core.text.script.HandCuts;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.Splitting;
import org.logophon.core.text.script.TextDiff;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.documents.ScriptText;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes versions of a project in other languages, and keeps them in step with it. */
@Service
public class Versions {

    private final Projects projects;
    private final ProjectRepository table;
    private final ProjectVersions versions;
    private final CueRepository cues;
    private final DistinctNumbers numbers;
    private final ScriptSaving saving;
    private final VoiceCatalogue voices;
    private final VersionCasting casting;
    private final BedCopies beds;

    Versions(
            Projects projects,
            ProjectRepository table,
            ProjectVersions versions,
            CueRepository cues,
            DistinctNumbers numbers,
            ScriptSaving saving,
            VoiceCatalogue voices,
            VersionCasting casting,
            BedCopies beds) {
        this.projects = projects;
        this.table = table;
        this.versions = versions;
        this.cues = cues;
        this.numbers = numbers;
        this.saving = saving;
        this.voices = voices;
        this.casting = casting;
        this.beds = beds;
    }

    /** A version with the project that it is one of. */
    record Pair(Project version, Project first) {}

    /** @throws NotFound for a project that is no version, or of one that is gone */
    Pair pair(UUID version) {
        Project project = projects.require(version);
        if (project.versionOf() == null) {
            throw new NotFound("This project isn't a translation. See Languages on Write.");
        }
        return new Pair(project, projects.require(project.versionOf()));
    }

    /** In English, as people read it here. */
    static String named(String language) {
        return Locale.forLanguageTag(language).getDisplayLanguage(Locale.ENGLISH);
    }

    /** Languages that some voice speaks, but for the project's own, by their names. */
    Map<String, String> offered(Project first) {
        Set<String> taken = versions.of(first.id()).stream()
                .map(id -> base(projects.require(id).language()))
                .collect(Collectors.toCollection(HashSet::new));
        taken.add(base(first.language()));
        return voices.all().stream()
                .map(Voice::language)
                .map(Versions::base)
                .distinct()
                .filter(language -> !taken.contains(language))
                .collect(Collectors.toMap(language -> language, Versions::named, (a, b) -> a));
    }

    private static String base(String language) {
        return language.split("-")[0];
    }

    /** Same cues, numbers, slots, roles and direction; the words are still those of the first language. */
    @Transactional
    public UUID make(UUID firstId, String language) {
        // two that are asked for at once come one after the other
        table.hold(firstId);
        Project first = projects.require(firstId);
        if (first.versionOf() != null) {
            throw new Refused("This is a translation itself. Add languages from the original.");
        }
        if (!offered(first).containsKey(language)) {
            throw new Refused("That language exists already, or no voice speaks it.");
        }
        List<Cue> all = cues.of(firstId);
        if (all.isEmpty()) {
            throw new Refused("There is nothing to translate yet. Write the script first.");
        }
        UUID id = table.create(first.workspace(), name(first.name(), language), language, first.targetSeconds())
                .id();
        versions.setFirst(id, firstId);
        table.setFinish(id, first.targetLufs(), first.namePattern());
        table.direct(id, first.direction(), 0);
        table.setPicture(id, first.picture());
        write(projects.require(id), all, Map.of(), "Made from " + first.name());
        versions.takeDirection(id);
        beds.version(firstId, id);
        casting.cast(firstId, id, language);
        return id;
    }

    static String name(String first, String language) {
        String suffix = " (" + named(language) + ")";
        return first.substring(0, Math.min(first.length(), Project.LONGEST_NAME - suffix.length())) + suffix;
    }

    /** Which cue stands for which, with what is known and what follows from its place. */
    Map<UUID, UUID> paired(UUID version, List<Cue> first, List<Cue> own) {
        Map<UUID, UUID> known = new HashMap<>();
        versions.links(version).values().forEach(link -> known.put(link.cue(), link.first()));
        return Pairing.of(
                first.stream().map(Cue::id).toList(), own.stream().map(Cue::id).toList(), known);
    }

    /**
     * Writes the version's script anew: the first language's cues in their order, each with its own words where there
     * are some.
     *
     * @param said by the cues of the first language: the words, and what they were made from
     */
    private void write(Project version, List<Cue> first, Map<UUID, Said> said, String what) {
        List<VersionScript.TranslatedCue> lines = first.stream()
                .map(cue -> new VersionScript.TranslatedCue(
                        cue.number(),
                        cue.scene(),
                        cue.role(),
                        said.containsKey(cue.id()) ? said.get(cue.id()).text() : cue.text()))
                .toList();
        saving.replace(
                version.id(),
                VersionScript.of(lines),
                version.shape().with(Splitting.DEFAULT).with(HandCuts.NONE),
                version.scriptVersion(),
                what);
        table.freezeNumbers(version.id());
        List<Cue> now = cues.of(version.id());
        List<Link> links = new ArrayList<>();
        for (int i = 0; i < now.size(); i++) {
            Said words = said.get(first.get(i).id());
            links.add(new Link(now.get(i).id(), first.get(i).id(), words == null ? null : words.madeFrom()));
        }
        versions.link(links);
        takeStructure(version.id());
    }

    /** A cue that only the version has gives way where the first language has its number. */
    private void takeStructure(UUID version) {
        versions.takeStructure(version);
        Set<UUID> linked = versions.links(version).keySet();
        numbers.settle(version, cue -> linked.contains(cue.id()));
    }

    /** @param madeFrom words of the first language; null for nobody knows: then they are to be looked at */
    private record Said(String text, String madeFrom) {}

    /** @return what was done, for people */
    @Transactional
    public String bringOver(UUID id) {
        Pair pair = pair(id);
        table.hold(id);
        List<Cue> first = cues.of(pair.first().id());
        List<Cue> own = cues.of(id);
        Map<UUID, UUID> pairs = paired(id, first, own);
        Map<UUID, Link> links = versions.links(id);
        Map<UUID, Said> said = new HashMap<>();
        for (Cue cue : own) {
            UUID of = pairs.get(cue.id());
            Link link = links.get(cue.id());
            boolean translated = link == null || link.text() != null;
            if (of != null && translated) {
                said.put(of, new Said(cue.text(), link == null ? "" : link.text()));
            }
        }
        Project version = projects.require(id);
        table.setPicture(id, pair.first().picture());
        write(version, first, said, "Updated from " + pair.first().name());
        long gone = own.stream().filter(cue -> !pairs.containsKey(cue.id())).count();
        return "The cues are those of " + pair.first().name() + " again"
                + (gone == 0
                        ? "."
                        : "; " + gone + " that it no longer has "
                                + (gone == 1
                                        ? "was removed. Versions has its words."
                                        : "were removed. Versions has their words."));
    }

    /**
     * Words for one cue.
     *
     * @param was what the page showed there
     * @throws Stale when it has other words by now
     */
    @Transactional
    public void say(UUID id, UUID cue, String was, String text) {
        Pair pair = pair(id);
        table.hold(id);
        Project version = projects.require(id);
        List<Cue> own = cues.of(id);
        int index = own.stream().map(Cue::id).toList().indexOf(cue);
        if (index < 0) {
            throw new NotFound("This cue is no longer in the script.");
        }
        if (!own.get(index).text().equals(was)) {
            throw new Stale("Cue " + own.get(index).number()
                    + " was changed in another window meanwhile. Nothing was overwritten.");
        }
        if (ScriptText.oneLine(text).isEmpty()) {
            throw new Refused("A cue needs words. To remove it, remove it from the original.");
        }
        List<Cue> first = cues.of(pair.first().id());
        Map<UUID, UUID> pairs = paired(id, first, own);
        Map<UUID, String> firstTexts = first.stream().collect(Collectors.toMap(Cue::id, Cue::text));
        Map<UUID, Link> links = versions.links(id);
        if (!ScriptText.oneLine(text).equals(was)) {
            HandCuts cuts = version.shape().cuts();
            String changed = VersionScript.with(
                    script -> Script.parse(
                            script,
                            version.shape().splitting(),
                            cuts.moved(TextDiff.of(version.script(), script)::moved),
                            version.language()),
                    version.script(),
                    index,
                    own.get(index).number(),
                    text);
            saving.save(
                    id,
                    changed,
                    version.scriptVersion(),
                    "Words of cue " + own.get(index).number());
        }
        // a cue that has no word in common with what it was has come anew: its place says which it is
        List<Cue> now = cues.of(id);
        List<Link> kept = new ArrayList<>();
        for (int i = 0; i < now.size() && now.size() == own.size(); i++) {
            UUID of = pairs.get(own.get(i).id());
            Link before = links.get(own.get(i).id());
            if (of != null) {
                kept.add(new Link(
                        now.get(i).id(), of, i == index ? firstTexts.get(of) : before == null ? "" : before.text()));
            }
        }
        versions.link(kept);
        takeStructure(id);
    }

    /** Words for many cues at once, by the cues of the version. @return how many changed */
    @Transactional
    public int sayAll(UUID id, Map<UUID, String> texts, String what) {
        Pair pair = pair(id);
        table.hold(id);
        List<Cue> first = cues.of(pair.first().id());
        List<Cue> own = cues.of(id);
        Map<UUID, UUID> pairs = paired(id, first, own);
        if (pairs.size() != first.size() || own.size() != first.size()) {
            throw new Refused(
                    "The cues differ from those of " + pair.first().name() + ". Update from the original first.");
        }
        Map<UUID, String> firstTexts = first.stream().collect(Collectors.toMap(Cue::id, Cue::text));
        Map<UUID, Link> links = versions.links(id);
        Map<UUID, Said> said = new HashMap<>();
        int changed = 0;
        for (Cue cue : own) {
            UUID of = pairs.get(cue.id());
            String text = texts.get(cue.id());
            Link link = links.get(cue.id());
            if (text != null && !ScriptText.oneLine(text).isEmpty()) {
                said.put(of, new Said(text, firstTexts.get(of)));
                changed += cue.text().equals(ScriptText.oneLine(text)) ? 0 : 1;
            } else if (link == null || link.text() != null) {
                said.put(of, new Said(cue.text(), link == null ? "" : link.text()));
            }
        }
        if (changed > 0 || !texts.isEmpty()) {
            write(projects.require(id), first, said, what);
        }
        return changed;
    }

    /** Somebody has looked, and the words are still right. */
    @Transactional
    public void seen(UUID id, UUID cue) {
        Pair pair = pair(id);
        List<Cue> first = cues.of(pair.first().id());
        UUID of = paired(id, first, cues.of(id)).get(cue);
        if (of == null) {
            throw new NotFound("The original no longer has this cue. Update from the original.");
        }
        first.stream()
                .filter(one -> one.id().equals(of))
                .findFirst()
                .ifPresent(one -> versions.link(List.of(new Link(cue, of, one.text()))));
    }
}
