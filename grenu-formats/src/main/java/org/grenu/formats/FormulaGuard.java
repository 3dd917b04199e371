package org.grenu.formats;

import org.grenu.core.quantity.DecimalText;

/**
 * Words in a CSV table that a spreadsheet would compute. They get an apostrophe before them, which spreadsheets take
 * for
 * “this is text”; words that begin with apostrophes before such get one more, so that reading finds what was written.
 */
public final class FormulaGuard {

    private static final String COMPUTED = "=+-@\t\r";

    private FormulaGuard() {
    }

    /** {@return the cell as it is written} */
    public static String guarded(String cell) {
        return dangerous(cell) && DecimalText.parse(cell).isEmpty() ? "'" + cell : cell;
    }

    /** {@return the cell as it was meant} */
    public static String plain(String cell) {
        return cell.startsWith("'") && dangerous(cell) ? cell.substring(1) : cell;
    }

    /** Whether it is computed, but for apostrophes that may stand before it. */
    private static boolean dangerous(String cell) {
        int at = 0;
        while (at < cell.length() && cell.charAt(at) == '\'') {
            at++;
        }
        return at < cell.length() && COMPUTED.indexOf(cell.charAt(at)) >= 0;
    }
}
