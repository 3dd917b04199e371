package org.grenu.figures.compare;

import java.util.ArrayList;
import java.util.List;

/** Lines of equal value on a grid, by marching squares; NaN breaks them. */
final class Contours {

    private Contours() {
    }

    /** {@return pieces of the line, each x1 y1 x2 y2 in grid steps (column, row)} */
    static List<double[]> of(double[][] values, double level) {
        List<double[]> pieces = new ArrayList<>();
        for (int r = 0; r + 1 < values.length; r++) {
            for (int c = 0; c + 1 < values[0].length; c++) {
                cell(values, r, c, level, pieces);
            }
        }
        return pieces;
    }

    private static void cell(double[][] v, int r, int c, double level, List<double[]> pieces) {
        double[] corner = {v[r][c], v[r][c + 1], v[r + 1][c + 1], v[r + 1][c]};
        double[][] place = {{c, r}, {c + 1, r}, {c + 1, r + 1}, {c, r + 1}};
        List<double[]> crossings = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            double a = corner[i];
            double b = corner[(i + 1) % 4];
            if (Double.isNaN(a) || Double.isNaN(b)) {
                return;
            }
            if (a < level != b < level) {
                double share = (level - a) / (b - a);
                crossings.add(new double[] {place[i][0] + share * (place[(i + 1) % 4][0] - place[i][0]),
                        place[i][1] + share * (place[(i + 1) % 4][1] - place[i][1])});
            }
        }
        for (int i = 0; i + 1 < crossings.size(); i += 2) {
            pieces.add(new double[] {crossings.get(i)[0], crossings.get(i)[1], crossings.get(i + 1)[0],
                    crossings.get(i + 1)[1]});
        }
    }
}
