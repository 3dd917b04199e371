package org.grenu.figures.compare;

import java.awt.Font;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.grenu.figures.paint.Words;

/** A table that fits a report's page: columns as wide as their words, narrowed and their cells broken where need be. */
final class ReportTable {

    private static final double GAP = 10;
    /** A column that has to give way keeps room for a short word, px. */
    private static final double LEAST = 34;

    private final List<String> heading;
    private final List<List<String>> rows = new ArrayList<>();

    ReportTable(List<String> heading) {
        this.heading = List.copyOf(heading);
    }

    void row(List<String> cells) {
        rows.add(List.copyOf(cells));
    }

    /** {@return its lines, the heading first} */
    List<ReportLine> lines() {
        double[] widths = widths();
        List<Double> starts = new ArrayList<>();
        double x = 0;
        for (double width : widths) {
            starts.add(x);
            x += width + GAP;
        }
        List<ReportLine> lines = new ArrayList<>();
        add(lines, heading, starts, widths, true);
        rows.forEach(row -> add(lines, row, starts, widths, false));
        return lines;
    }

    private static void add(List<ReportLine> lines, List<String> cells, List<Double> starts, double[] widths,
            boolean heading) {
        List<List<String>> broken = new ArrayList<>();
        for (int i = 0; i < cells.size(); i++) {
            broken.add(broken(cells.get(i), font(heading), widths[i]));
        }
        int height = broken.stream().mapToInt(List::size).max().orElse(1);
        for (int line = 0; line < height; line++) {
            List<String> words = new ArrayList<>();
            for (List<String> cell : broken) {
                words.add(line < cell.size() ? cell.get(line) : "");
            }
            lines.add(new ReportLine.Row(words, starts, heading, line == height - 1));
        }
    }

    /** In lines that fit: between words, and within one that is longer than the column. */
    private static List<String> broken(String words, Font font, double room) {
        List<String> lines = new ArrayList<>();
        for (String line : Words.wrapped(words, font, room)) {
            String rest = line;
            while (Words.width(rest, font) > room && rest.length() > 1) {
                int fits = rest.length() - 1;
                while (fits > 1 && Words.width(rest.substring(0, fits), font) > room) {
                    fits--;
                }
                lines.add(rest.substring(0, fits));
                rest = rest.substring(fits);
            }
            lines.add(rest);
        }
        return lines;
    }

    private double[] widths() {
        int columns = heading.size();
        double[] wanted = new double[columns];
        double[] least = new double[columns];
        for (int i = 0; i < columns; i++) {
            wanted[i] = Words.width(heading.get(i), font(true));
            least[i] = longestWord(heading.get(i), true);
            for (List<String> row : rows) {
                wanted[i] = Math.max(wanted[i], Words.width(row.get(i), font(false)));
                least[i] = Math.max(least[i], longestWord(row.get(i), false));
            }
            // Rounding of glyphs on the page must not break what just fits.
            wanted[i] += 1;
            least[i] = Math.min(least[i] + 1, wanted[i]);
        }
        double room = ReportPage.ROOM - GAP * (columns - 1);
        if (Arrays.stream(wanted).sum() <= room) {
            return wanted;
        }
        return Arrays.stream(least).sum() <= room ? between(least, wanted, room)
                : between(shortest(columns, room), least, room);
    }

    private static double[] shortest(int columns, double room) {
        double[] shortest = new double[columns];
        Arrays.fill(shortest, Math.min(LEAST, room / columns));
        return shortest;
    }

    /** From the one towards the other as far as the room goes. */
    private static double[] between(double[] low, double[] high, double room) {
        double least = Arrays.stream(low).sum();
        double share = Math.max(0, Math.min(1, (room - least) / Math.max(1e-9, Arrays.stream(high).sum() - least)));
        double[] widths = new double[low.length];
        Arrays.setAll(widths, i -> low[i] + share * (high[i] - low[i]));
        return widths;
    }

    private static double longestWord(String words, boolean heading) {
        return Arrays.stream(words.split(" ")).mapToDouble(word -> Words.width(word, font(heading))).max().orElse(0);
    }

    private static Font font(boolean heading) {
        return heading ? ReportPage.CELL_HEADING : ReportPage.CELL;
    }
}
