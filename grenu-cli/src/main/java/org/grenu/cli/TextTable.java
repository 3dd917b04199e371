package org.grenu.cli;

import java.util.List;

/** Rows of cells as aligned text: the first column to the left, the others to the right. */
final class TextTable {

    private TextTable() {
    }

    static String aligned(List<List<String>> rows) {
        int columns = rows.get(0).size();
        StringBuilder out = new StringBuilder();
        for (List<String> row : rows) {
            StringBuilder line = new StringBuilder();
            for (int c = 0; c < columns; c++) {
                int column = c;
                int width = rows.stream().mapToInt(r -> r.get(column).length()).max().orElse(0);
                String pad = " ".repeat(width - row.get(c).length());
                line.append(c == 0 ? row.get(c) + pad : "  " + pad + row.get(c));
            }
            out.append(line.toString().stripTrailing()).append('\n');
        }
        return out.toString();
    }
}
