package org.logophon.app.steps.cast;

import org.logophon.core.voice.figures.Clearness;

/** A band of clearness, in steps that an ear tells apart. The borders are ours. */
enum ClearBand {
    CLEAR("90 % and more", 90),
    FAIR("75 to 89 %", 75),
    BLURRED("under 75 %", 0),
    UNKNOWN("not measured", -1);

    private final String title;
    private final int leastPercent;

    ClearBand(String title, int leastPercent) {
        this.title = title;
        this.leastPercent = leastPercent;
    }

    /** @param clearness null for one that isn't known */
    static ClearBand of(Clearness clearness) {
        if (clearness == null) {
            return UNKNOWN;
        }
        for (ClearBand band : values()) {
            if (clearness.percent() >= band.leastPercent) {
                return band;
            }
        }
        throw new IllegalStateException("Every share of words lies in a band.");
    }

    /** For people. */
    public String title() {
        return title;
    }

    /** For style sheets. */
    public String id() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }
}
