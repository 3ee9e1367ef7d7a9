package org.logophon.core.review.translation;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Which cue of a version stands for which of the first language: those that are known, and between two of them, where
 * as many are unknown on both sides, those in their order. A cue that was rewritten whole in the version so keeps its
 * place.
 */
public final class Pairing {

    private Pairing() {}

    /**
     * @param first   cues of the first language, in order
     * @param version cues of the version, in order
     * @param known   of a version's cue the one that it stands for; of others nothing
     * @return for each cue of the version that has one: the cue that it stands for; no cue is stood for twice
     */
    public static <T> Map<T, T> of(List<T> first, List<T> version, Map<T, T> known) {
        Map<T, Integer> places = new HashMap<>();
        for (int i = 0; i < first.size(); i++) {
            places.put(first.get(i), i);
        }
        Map<T, T> pairs = new HashMap<>();
        Set<T> taken = new HashSet<>();
        version.forEach(cue -> {
            T of = known.get(cue);
            if (of != null && places.containsKey(of) && taken.add(of)) {
                pairs.put(cue, of);
            }
        });
        List<T> unknown = new ArrayList<>();
        int after = 0;
        for (int i = 0; i <= version.size(); i++) {
            T of = i < version.size() ? pairs.get(version.get(i)) : null;
            if (i < version.size() && of == null) {
                unknown.add(version.get(i));
                continue;
            }
            int upTo = of == null ? first.size() : places.get(of);
            List<T> free = new ArrayList<>();
            for (int k = after; k < upTo; k++) {
                if (!taken.contains(first.get(k))) {
                    free.add(first.get(k));
                }
            }
            if (free.size() == unknown.size()) {
                for (int k = 0; k < free.size(); k++) {
                    pairs.put(unknown.get(k), free.get(k));
                    taken.add(free.get(k));
                }
            }
            unknown.clear();
            after = Math.max(after, upTo + 1);
        }
        return pairs;
    }
}
