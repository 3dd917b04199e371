package org.grenu.cli;

import java.util.Arrays;
import java.util.List;

/** Rows of cells as aligned text: the first column to the left, the others to the right. */
final class TextTable {

    private TextTable() {
    }

    static String aligned(List<List<String>> rows) {
        int[] widths = new int[rows.get(0).size()];
        for (List<String> row : rows) {
            Arrays.setAll(widths, column -> Math.max(widths[column], row.get(column).length()));
        }
        StringBuilder out = new StringBuilder();
        for (List<String> row : rows) {
            out.append(line(row, widths)).append('\n');
        }
        return out.toString();
    }

    private static String line(List<String> row, int[] widths) {
        StringBuilder line = new StringBuilder();
        for (int c = 0; c < row.size(); c++) {
            String pad = " ".repeat(widths[c] - row.get(c).length());
            line.append(c == 0 ? row.get(c) + pad : "  " + pad + row.get(c));
        }
        return line.toString().stripTrailing();
    }
}
