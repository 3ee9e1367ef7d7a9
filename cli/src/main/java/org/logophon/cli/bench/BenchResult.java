package org.logophon.cli.bench;

/**
 * One budget.
 *
 * @param ratio  how many times better than what it is held against
 * @param wanted the ratio at least
 */
record BenchResult(String what, String against, double ours, double theirs, String unit, double wanted) {

    double ratio() {
        return theirs / ours;
    }

    boolean met() {
        return ratio() >= wanted;
    }
}
