package org.logophon.app.steps.transfer;

import java.util.List;
import java.util.Set;
import org.logophon.core.text.script.Script;

/**
 * A table of which a project's rows go with it.
 *
 * @param most   rows that a file can have of it; older ones of a longer list don't go
 * @param where  which rows, of {@code t}; :project is the project
 * @param stays  columns that don't go: what only this house knows, and what the other one counts by itself
 * @param owned  whether its {@code id} becomes another one on the way in, so that a project can come in twice
 */
record ProjectTable(String name, int most, String where, Set<String> stays, boolean owned) {

    private static final String OF_CUE = "t.cue_id in (select id from cue where project_id = :project)";
    private static final String OF_TAKE =
            "t.take_id in (select k.id from take k join cue c on c.id = k.cue_id where c.project_id = :project)";
    private static final String SPEECHES =
            "select k.speech_id from take k join cue c on c.id = k.cue_id where c.project_id = :project";
    private static final String OF_SPEECH = "t.speech_id in (" + SPEECHES + ")";
    private static final String OF_PROJECT = "t.project_id = :project";
    private static final String OF_DELIVERY =
            "t.delivery_id in (select id from delivery where project_id = :project and state in ('ready', 'moved'))";

    /** Sounds that takes and beds are made of. */
    private static final String SOUND_IDS = "select sound_id from speech where id in (" + SPEECHES
            + ") union select f.sound_id from sound_file f where f.project_id = :project"
            + " or f.id in (select sound_file_id from bed where project_id = :project)";

    /** Its rows say which sounds there are; the sounds themselves are files. */
    static final String SOUND = "sound";

    private static final int FEW = 5_000;
    private static final int MANY = 100_000;
    /** Of the largest script, or of years of its deliveries. */
    private static final int EVERY_WORD = 400_000;

    /** In an order in which each row comes after those that it names. */
    static final List<ProjectTable> ALL = List.of(
            plain(SOUND, MANY, "t.id in (" + SOUND_IDS + ")", "stored_at", "unused_since"),
            plain("speech", MANY, "t.id in (" + SPEECHES + ")"),
            plain("recording", MANY, OF_SPEECH),
            plain("check_dismissed", MANY, OF_SPEECH),
            owned(
                    "project",
                    1,
                    "t.id = :project",
                    "workspace_id",
                    "version_of_id",
                    "content_version",
                    "status_version",
                    "deleted_at"),
            plain("role", Script.MOST_CUES, OF_PROJECT),
            owned("cue", 2 * Script.MOST_CUES, OF_PROJECT, "first_cue_id", "first_text"),
            owned("reading", Script.MOST_CUES, OF_PROJECT, "workspace_id"),
            plain("place_reading", EVERY_WORD, OF_CUE),
            plain("mark", EVERY_WORD, OF_CUE, "id"),
            plain("cue_chance", 2 * Script.MOST_CUES, OF_CUE),
            plain("caption_correction", 2 * Script.MOST_CUES, OF_CUE),
            plain("heard_draft", 2 * Script.MOST_CUES, OF_CUE),
            plain("dismissed", MANY, OF_PROJECT, "id"),
            plain("scene_gap", Script.MOST_CUES, OF_PROJECT),
            owned("picture_slot", Script.MOST_CUES, OF_PROJECT),
            owned("glossary_term", FEW, OF_PROJECT),
            plain("delivery_choice", 1, OF_PROJECT, "folder"),
            owned("take", MANY, OF_CUE),
            plain("take_event", MANY, newest("take_event", OF_TAKE), "id"),
            plain("approval", 2 * Script.MOST_CUES, OF_CUE, "share_id"),
            owned("note", MANY, OF_CUE, "share_id"),
            plain("happening", MANY, newest("happening", OF_PROJECT), "id"),
            owned(
                    "sound_file",
                    FEW,
                    "t.project_id = :project or t.id in (select sound_file_id from bed where project_id = :project)",
                    "workspace_id"),
            owned("bed", FEW, OF_PROJECT),
            owned("delivery", FEW, OF_PROJECT + " and t.state in ('ready', 'moved')"),
            plain("delivery_file", EVERY_WORD, OF_DELIVERY),
            plain("delivered_cue", EVERY_WORD, OF_DELIVERY));

    private static ProjectTable owned(String name, int most, String where, String... stays) {
        return new ProjectTable(name, most, where, Set.of(stays), true);
    }

    private static ProjectTable plain(String name, int most, String where, String... stays) {
        return new ProjectTable(name, most, where, Set.of(stays), false);
    }

    /** Of a list that grows for ever, what happened last. */
    private static String newest(String table, String where) {
        return "t.id in (select t.id from " + table + " t where " + where + " order by t.id desc limit " + MANY + ")";
    }

    /** As it stands in the file. */
    String entry() {
        return "rows/" + name + ".jsonl";
    }
}
