package org.logophon.cli.bench;

import com.fasterxml.jackson.annotation.JsonProperty;

/**
 * One budget.
 *
 * @param ratio  how many times better than what it is held against
 * @param wanted the ratio at least
 */
record BenchResult(String what, String against, double ours, double theirs, String unit, double wanted) {

    @JsonProperty
    double ratio() {
        return theirs / ours;
    }

    @JsonProperty
    boolean met() {
        return ratio() >= wanted;
    }
}
