package org.logophon.app.steps.sounds;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.platform.audio.SoundFiles;
import org.logophon.app.platform.audio.StoredSound;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.StorableText;
import org.logophon.app.services.page.FieldLimits;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.bed.OwnSound;
import org.logophon.app.services.project.bed.OwnSoundRepository;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.signal.loudness.EnergyProfile;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The lists of sound files: of a project, and of its workspace. */
@Service
class SoundLists {

    private static final double SHORTEST_SECONDS = 0.05;
    private static final int MOST = 500;
    /** Of what people record. */
    private static final int BITS = 24;

    private final Projects projects;
    private final OwnSoundRepository sounds;
    private final SoundFiles files;
    private final AudioStore audio;

    SoundLists(Projects projects, OwnSoundRepository sounds, SoundFiles files, AudioStore audio) {
        this.projects = projects;
        this.sounds = sounds;
        this.files = files;
        this.audio = audio;
    }

    OwnSound require(UUID project, UUID id) {
        return sounds.find(project, id)
                .orElseThrow(() -> new NotFound("This sound is no longer in the lists. Reload the page."));
    }

    /** @param remark what was done to it, as a sentence; empty for nothing */
    record Added(OwnSound sound, String remark) {}

    /** @param sent a file of any format that is read. @param shared true for every project of the workspace */
    Added add(UUID id, String name, boolean shared, InputStream sent) throws IOException {
        Project project = projects.require(id);
        String called = name.strip();
        if (sounds.of(id).size() >= MOST) {
            throw new Refused("A project sees at most " + MOST + " sounds. Remove unused ones.");
        }
        return files.read(sent, called.isEmpty() ? "The file" : called, sound -> {
            if (EnergyProfile.of(sound).lufs() == Double.NEGATIVE_INFINITY) {
                throw new Refused(called + " is silent. Choose another file.");
            }
            StoredSound stored = audio.store(sound, BITS);
            return new Added(stored(project, free(id, called), shared, stored), sound.remark());
        });
    }

    private OwnSound stored(Project project, String name, boolean shared, StoredSound stored) {
        OwnSound sound = new OwnSound(
                UUID.randomUUID(),
                project.workspace(),
                shared ? null : project.id(),
                name,
                "",
                stored,
                0,
                stored.samples(),
                0);
        if (sound.seconds() < SHORTEST_SECONDS) {
            throw new Refused(name + " is shorter than " + SHORTEST_SECONDS + " s. Choose a longer one.");
        }
        sounds.add(sound);
        return sound;
    }

    /** A file is called as it was on its owner's disk; the second of a name gets a number. */
    private String free(UUID project, String file) {
        String plain = StorableText.of(file.replaceFirst("\\.[A-Za-z0-9]{1,5}$", ""))
                .replaceAll("[\\s\\p{Cntrl}]+", " ")
                .strip();
        String base = plain.isEmpty() ? "Sound" : plain.substring(0, Math.min(plain.length(), 50));
        List<String> taken = sounds.of(project).stream().map(OwnSound::name).toList();
        String name = base;
        for (int i = 2; taken(taken, name); i++) {
            name = base + " " + i;
        }
        return name;
    }

    private static boolean taken(List<String> names, String name) {
        return names.stream().anyMatch(name::equalsIgnoreCase);
    }

    /**
     * What is to be another; null for as it was.
     *
     * @param shared true for every project of the workspace
     * @param from   seconds of the file
     * @param to     after the last of them
     */
    record Change(String name, String licence, Boolean shared, Double from, Double to, Double ownDb) {}

    @Transactional
    public OwnSound change(UUID project, UUID id, Change change) {
        sounds.hold(id);
        OwnSound now = own(project, id);
        double rate = now.sound().rate();
        long from = change.from() == null ? now.from() : Math.round(change.from() * rate);
        long to = change.to() == null ? now.to() : Math.min(now.sound().samples(), Math.round(change.to() * rate));
        if (from < 0 || (to - from) / rate < SHORTEST_SECONDS) {
            throw new Refused("Of “%s”, which lasts %.2f s, use at least %s s: from an earlier place to a later one."
                    .formatted(now.name(), now.sound().seconds(), SHORTEST_SECONDS));
        }
        double ownDb = change.ownDb() == null ? now.ownDb() : change.ownDb();
        if (!(Math.abs(ownDb) <= FieldLimits.SOUND_LEVEL_DB)) {
            throw new Refused(
                    "A sound is made up to " + FieldLimits.SOUND_LEVEL_DB + " dB louder or quieter than others.");
        }
        OwnSound then = new OwnSound(
                now.id(),
                now.workspace(),
                change.shared() == null ? now.project() : place(now, project, change.shared()),
                change.name() == null ? now.name() : name(project, now, change.name()),
                change.licence() == null ? now.licence() : licence(change.licence()),
                now.sound(),
                from,
                to,
                ownDb);
        sounds.set(then);
        return then;
    }

    private UUID place(OwnSound now, UUID project, boolean shared) {
        if (!shared && now.project() == null && sounds.uses(now) > usesHere(now, project)) {
            throw new Refused("Other projects of the workspace use “" + now.name() + "”: it stays in the list of all.");
        }
        return shared ? null : now.project() == null ? project : now.project();
    }

    private int usesHere(OwnSound sound, UUID project) {
        return sounds.usesIn(sound, project);
    }

    private String name(UUID project, OwnSound now, String asked) {
        String name = StorableText.of(asked).replaceAll("[\\s\\p{Cntrl}]+", " ").strip();
        if (name.isEmpty() || name.length() > Instruction.OwnSound.LONGEST_NAME) {
            throw new Refused("A sound has a name of 1 to " + Instruction.OwnSound.LONGEST_NAME + " characters.");
        }
        if (name.equals(now.name())) {
            return name;
        }
        List<String> others = sounds.of(project).stream()
                .filter(other -> !other.id().equals(now.id()))
                .map(OwnSound::name)
                .toList();
        if (taken(others, name)) {
            throw new Refused("There is a sound “" + name + "” already. Choose another name.");
        }
        int marked = sounds.marks(now);
        if (marked > 0) {
            throw new Refused("“%s” stands in %s by this name. Remove it there first."
                    .formatted(now.name(), marked == 1 ? "1 gap" : marked + " gaps"));
        }
        return name;
    }

    private static String licence(String asked) {
        String licence = StorableText.of(asked).strip();
        if (licence.length() > FieldLimits.LICENCE) {
            throw new Refused("Source and licence have at most " + FieldLimits.LICENCE + " characters.");
        }
        return licence;
    }

    private OwnSound own(UUID project, UUID id) {
        OwnSound sound = require(project, id);
        if (sound.shipped()) {
            throw new Refused("“" + sound.name() + "” is built in and can't be changed.");
        }
        return sound;
    }

    @Transactional
    public OwnSound remove(UUID project, UUID id) {
        OwnSound sound = own(project, id);
        int uses = sounds.uses(sound);
        if (uses > 0) {
            throw new Refused("“%s” is used in %s. Remove it there first."
                    .formatted(sound.name(), uses == 1 ? "1 place" : uses + " places"));
        }
        sounds.remove(id, true);
        return sound;
    }

    @Transactional
    public OwnSound restore(UUID project, UUID id) {
        OwnSound sound = own(project, id);
        if (taken(
                sounds.of(project).stream()
                        .filter(other -> !other.id().equals(id))
                        .map(OwnSound::name)
                        .toList(),
                sound.name())) {
            throw new Refused("There is another sound “" + sound.name() + "” by now. Rename that one first.");
        }
        sounds.remove(id, false);
        return sound;
    }
}
