package org.logophon.app.platform.people;

import java.util.Map;
import java.util.Set;

/**
 * The table of rights by address. What isn't named here asks for the most, but for a project's, which editors work
 * on.
 */
final class Rights {

    private static final String PROJECT = "/projects/{id}";
    private static final String WORKSPACE = "/workspaces/{workspace}";

    /** Beginnings of what looks after itself. */
    private static final Set<String> OPEN = Set.of("/s/{token}", "/f/{token}", "/join/{token}", "/sign-in");

    /** Of a project, for who may hear, note and approve. */
    private static final Set<String> LISTENERS = Set.of(
            "GET /listen",
            "GET /listen/cues/{cue}",
            "GET /listen/check",
            "GET /listen/storage",
            "GET /listen/versions",
            "GET /listen/versions/{which}",
            "GET /programme",
            "GET /layer",
            "GET /layer/{stamp}.wav",
            "GET /render",
            "GET /events",
            "GET /history",
            "GET /history.csv",
            "GET /cues/{cue}/then",
            "GET /takes/{take}/sound/{stamp}.wav",
            "GET /takes/{take}/even/{stamp}.wav",
            "GET /takes/{take}/score",
            "GET /notes",
            "GET /notes.csv",
            "GET /cues/{cue}/notes",
            "POST /cues/{cue}/notes",
            "POST /notes/{note}",
            "POST /notes/{note}/delete",
            "POST /notes/{note}/restore",
            "POST /cues/{cue}/approval",
            "POST /cues/{cue}/approval/withdraw",
            "POST /here",
            "POST /here/leave");

    /** Of a project, for owners and for who keeps the machine. */
    private static final Map<String, Right> HIGHER =
            Map.of("POST /deliveries/{delivery}/feed", Right.OWN, "POST /voices/get", Right.KEEP);

    private static final Map<String, Right> HOUSE = Map.ofEntries(
            Map.entry("GET /", Right.LISTEN),
            Map.entry("GET /shelf", Right.LISTEN),
            Map.entry("GET /events", Right.LISTEN),
            Map.entry("POST /projects", Right.EDIT),
            Map.entry("POST /projects/file", Right.EDIT),
            Map.entry("POST /drafts", Right.EDIT),
            Map.entry("GET /ledger", Right.EDIT),
            Map.entry("GET /ledger.csv", Right.EDIT),
            Map.entry("GET /feed", Right.EDIT),
            Map.entry("GET /feed/items", Right.EDIT),
            Map.entry("POST /feed", Right.OWN),
            Map.entry("POST /feed/take-back", Right.OWN),
            Map.entry("POST /feed/items/{delivery}/remove", Right.OWN),
            Map.entry("GET /people", Right.LISTEN),
            Map.entry("GET /people/list", Right.LISTEN),
            Map.entry("POST /people/name", Right.OWN),
            Map.entry("POST /people/invitations", Right.OWN),
            Map.entry("POST /people/invitations/{invitation}/take-back", Right.OWN),
            Map.entry("POST /people/members/{person}", Right.OWN),
            Map.entry("POST /people/members/{person}/remove", Right.OWN),
            Map.entry("POST /people/members/{person}/phrase", Right.KEEP),
            Map.entry("POST /people/leave", Right.LISTEN),
            Map.entry("POST /people/workspaces", Right.OWN),
            Map.entry("GET /notifications/new", Right.LISTEN),
            Map.entry("GET /notifications", Right.PERSON),
            Map.entry("GET /word", Right.PERSON),
            Map.entry("POST /notifications", Right.PERSON),
            Map.entry("GET /mark-kinds", Right.PERSON),
            Map.entry("GET /me", Right.PERSON),
            Map.entry("POST /me/phrase", Right.PERSON),
            Map.entry("POST /me/sign-out", Right.PERSON),
            Map.entry("POST /me/sign-out-everywhere", Right.PERSON));

    private Rights() {}

    /** @param pattern as the address is written where it is answered */
    static Right of(String method, String pattern) {
        if (OPEN.stream().anyMatch(open -> pattern.equals(open) || pattern.startsWith(open + "/"))
                || pattern.equals("/error")) {
            return Right.ANYBODY;
        }
        String asked = method.equals("HEAD") ? "GET" : method;
        if (pattern.startsWith(PROJECT)) {
            String address = asked + " " + pattern.substring(PROJECT.length());
            return LISTENERS.contains(address) ? Right.LISTEN : HIGHER.getOrDefault(address, Right.EDIT);
        }
        String plain = pattern.startsWith(WORKSPACE) ? pattern.substring(WORKSPACE.length()) : pattern;
        return HOUSE.getOrDefault(asked + " " + (plain.isEmpty() ? "/" : plain), Right.KEEP);
    }
}
