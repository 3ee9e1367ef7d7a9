package org.logophon.app.steps.transfer;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What things of a file are called here. Nothing but what came with the file can be named by it. */
final class ImportedIds {

    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}");
    /** Columns that name another row. */
    private static final Set<String> REFERENCES = Set.of(
            "project_id",
            "cue_id",
            "take_id",
            "done_take",
            "delivery_id",
            "sound_file_id",
            "sound_id",
            "speech_id",
            "cleaned_from_id",
            "from_cue",
            "to_cue");

    private final JsonMapper json;
    /** Voices that are somebody's own, and the row that they are. */
    private static final Pattern OWN_VOICE = Pattern.compile("(house-|recording:|recast:)(" + ID.pattern() + ")");

    private final Map<String, String> here = new HashMap<>();
    private final Set<String> come = new HashSet<>();
    private final Map<String, String> nobodys = new HashMap<>();

    ImportedIds(JsonMapper json) {
        this.json = json;
    }

    static boolean isId(String typed) {
        return ID.matcher(typed).matches();
    }

    /** @param why it is broken when this is no id */
    static UUID id(String typed, String why) {
        if (!isId(typed)) {
            throw ProjectZip.broken(why);
        }
        return UUID.fromString(typed);
    }

    /** Gives a thing of the file another id, so that it can come in twice. */
    void own(String table, ObjectNode row) {
        String why = "a row of " + table + " has no id of its own";
        if (!become(id(row.path("id").asString(""), why), UUID.randomUUID())) {
            throw ProjectZip.broken(why);
        }
    }

    /** @return false when it was called something already */
    boolean become(UUID there, UUID called) {
        come.add(called.toString());
        return here.put(there.toString(), called.toString()) == null;
    }

    /** Another id for what was called one already. */
    void again(UUID called, UUID now) {
        here.replaceAll((there, id) -> id.equals(called.toString()) ? now.toString() : id);
        come.add(now.toString());
    }

    Optional<UUID> of(String there) {
        return Optional.ofNullable(here.get(there)).map(UUID::fromString);
    }

    boolean came(String id) {
        return come.contains(id);
    }

    /**
     * A row with the ids that its things have here, wherever in it they stand. A voice that didn't come with the file,
     * and isn't this workspace's, gets an id that nobody has: it may be another workspace's.
     */
    ObjectNode renamed(ObjectNode row) {
        String text = ID.matcher(row.toString())
                .replaceAll(id -> Matcher.quoteReplacement(here.getOrDefault(id.group(), id.group())));
        text = OWN_VOICE
                .matcher(text)
                .replaceAll(voice -> Matcher.quoteReplacement(voice.group(1) + known(voice.group(2))));
        return (ObjectNode) json.readTree(text);
    }

    private String known(String id) {
        return came(id)
                ? id
                : nobodys.computeIfAbsent(id, unknown -> UUID.randomUUID().toString());
    }

    /** What this workspace has of its own, and a file may name. */
    void own(List<UUID> ids) {
        ids.forEach(id -> come.add(id.toString()));
    }

    /** Nothing of another project is named, whatever a file says. */
    void check(ObjectNode row) {
        for (String column : REFERENCES) {
            JsonNode to = row.path(column);
            if (!to.isMissingNode() && !to.isNull() && !came(to.asString(""))) {
                throw ProjectZip.broken("something is missing that a row names");
            }
        }
    }
}
