package org.grenu.cli;

import java.util.List;

/** Rows of cells as aligned text: the first column to the left, the others to the right. */
final class TextTable {

    private TextTable() {
    }

    static String aligned(List<List<String>> rows) {
        StringBuilder out = new StringBuilder();
        for (List<String> row : rows) {
            out.append(line(row, rows)).append('\n');
        }
        return out.toString();
    }

    private static String line(List<String> row, List<List<String>> rows) {
        StringBuilder line = new StringBuilder();
        for (int c = 0; c < row.size(); c++) {
            int column = c;
            int width = rows.stream().mapToInt(r -> r.get(column).length()).max().orElse(0);
            String pad = " ".repeat(width - row.get(c).length());
            line.append(c == 0 ? row.get(c) + pad : "  " + pad + row.get(c));
        }
        return line.toString().stripTrailing();
    }
}
