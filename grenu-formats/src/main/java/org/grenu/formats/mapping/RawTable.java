package org.grenu.formats.mapping;

import java.util.List;

/**
 * A table before anything is made of its cells.
 *
 * @param headings one a column; numbers from 1 where there are none
 * @param rows     cells as written; shorter rows lack their last cells
 * @param lines    line of each row in the file; 0 where lines mean nothing
 */
record RawTable(List<String> headings, List<String[]> rows, int[] lines) {

    String cell(int row, int column) {
        String[] cells = rows.get(row);
        return column < cells.length ? cells[column] : "";
    }

    int column(String heading) {
        for (int i = 0; i < headings.size(); i++) {
            if (headings.get(i).equalsIgnoreCase(heading)) {
                return i;
            }
        }
        return -1;
    }
}
