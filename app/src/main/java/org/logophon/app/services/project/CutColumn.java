package org.logophon.app.services.project;

import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.logophon.core.text.script.HandCuts;

/** Cuts made by hand as an array of integers: a place, then 0 for a split or 1 for a join. */
public final class CutColumn {

    private CutColumn() {}

    public static HandCuts read(ResultSet row, String column) throws SQLException {
        Array array = row.getArray(column);
        Integer[] pairs = (Integer[]) array.getArray();
        TreeSet<Integer> splits = new TreeSet<>();
        TreeSet<Integer> joins = new TreeSet<>();
        for (int i = 0; i + 1 < pairs.length; i += 2) {
            (pairs[i + 1] == 0 ? splits : joins).add(pairs[i]);
        }
        return new HandCuts(splits, joins);
    }

    public static Integer[] write(HandCuts cuts) {
        List<Integer> pairs = new ArrayList<>();
        cuts.splits().forEach(place -> pairs.addAll(List.of(place, 0)));
        cuts.joins().forEach(place -> pairs.addAll(List.of(place, 1)));
        return pairs.toArray(Integer[]::new);
    }
}
