package org.logophon.app.moving;

import java.util.List;
import java.util.Set;

/**
 * A table of which a project's rows go with it.
 *
 * @param where  which rows, of {@code t}; :project is the project
 * @param stays  columns that don't go: what only this house knows, and what the other one counts by itself
 * @param owned  whether its {@code id} becomes another one on the way in, so that a project can come in twice
 */
record ProjectTable(String name, String where, Set<String> stays, boolean owned) {

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

    /** In an order in which each row comes after those that it names. */
    static final List<ProjectTable> ALL = List.of(
            owned(
                    "project",
                    "t.id = :project",
                    "workspace_id",
                    "version_of_id",
                    "content_version",
                    "status_version",
                    "deleted_at"),
            plain("role", OF_PROJECT),
            owned("cue", OF_PROJECT, "first_cue_id", "first_text"),
            owned("reading", OF_PROJECT, "workspace_id"),
            plain("place_reading", OF_CUE),
            plain("mark", OF_CUE),
            plain("cue_chance", OF_CUE),
            plain("caption_correction", OF_CUE),
            plain("heard_draft", OF_CUE),
            plain("dismissed", OF_PROJECT),
            plain("scene_gap", OF_PROJECT),
            owned("picture_slot", OF_PROJECT),
            owned("glossary_term", OF_PROJECT),
            plain("delivery_choice", OF_PROJECT, "folder"),
            plain(SOUND, "t.id in (" + SOUND_IDS + ")", "stored_at", "unused_since"),
            plain("speech", "t.id in (" + SPEECHES + ")"),
            plain("recording", OF_SPEECH),
            plain("check_dismissed", OF_SPEECH),
            owned("take", OF_CUE),
            plain("take_event", OF_TAKE, "id"),
            plain("approval", OF_CUE, "share_id"),
            owned("note", OF_CUE, "share_id"),
            plain("happening", OF_PROJECT, "id"),
            owned(
                    "sound_file",
                    "t.project_id = :project or t.id in (select sound_file_id from bed where project_id = :project)",
                    "workspace_id"),
            owned("bed", OF_PROJECT),
            owned("delivery", OF_PROJECT + " and t.state in ('ready', 'moved')"),
            plain("delivery_file", OF_DELIVERY),
            plain("delivered_cue", OF_DELIVERY));

    private static ProjectTable owned(String name, String where, String... stays) {
        return new ProjectTable(name, where, Set.of(stays), true);
    }

    private static ProjectTable plain(String name, String where, String... stays) {
        return new ProjectTable(name, where, Set.of(stays), false);
    }

    /** As it stands in the file. */
    String entry() {
        return "rows/" + name + ".jsonl";
    }
}
