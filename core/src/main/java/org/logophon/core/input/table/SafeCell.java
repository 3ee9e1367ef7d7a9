package org.logophon.core.input.table;

/** Cells that no spreadsheet takes for a formula. */
public final class SafeCell {

    private static final String FORMULA = "=+-@\t\r";

    private SafeCell() {}

    /** A leading = + - @ (or a tab or return before it) starts a formula in a spreadsheet; an apostrophe stops that. */
    public static String of(String cell) {
        return !cell.isEmpty() && FORMULA.indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }

    /** What was made safe, as it was. */
    public static String plain(String cell) {
        return cell.length() > 1 && cell.charAt(0) == '\'' && FORMULA.indexOf(cell.charAt(1)) >= 0
                ? cell.substring(1)
                : cell;
    }
}
