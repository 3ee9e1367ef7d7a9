package org.logophon.app.services.hired;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * A quoted price.
 *
 * @param characters that would be charged: what was paid for before isn't
 * @param allowance  characters of the month; null while the service doesn't say
 * @param left       of them, before this
 * @param until      day on which the month of the service ends, as 2026-12-01
 */
public record Quote(int characters, BigDecimal price, String currency, Long allowance, Long left, String until) {

    static final Quote NOTHING = new Quote(0, BigDecimal.ZERO, "", null, null, "");

    public boolean free() {
        return characters == 0;
    }

    /** True when the allowance is known not to reach. */
    public boolean over() {
        return left != null && characters > left;
    }

    /** As in "0.97 EUR"; at least one of the smallest coins that differ from nothing. */
    public String money() {
        BigDecimal rounded = price.setScale(2, RoundingMode.HALF_UP);
        return (rounded.signum() == 0 ? price.stripTrailingZeros().toPlainString() : rounded.toPlainString()) + " "
                + currency;
    }

    /** What it costs and what will be left. */
    public String sentence() {
        String cost = (characters == 1 ? "1 character" : "%,d characters".formatted(characters)) + " of hired voices, "
                + money() + ".";
        if (left == null) {
            return cost + " The service doesn’t say now what is left of the allowance.";
        }
        return over()
                ? cost + " %,d of this month’s %,d are left, so the allowance doesn’t reach.".formatted(left, allowance)
                : cost + " %,d of this month’s %,d are left after it.".formatted(left - characters, allowance);
    }
}
