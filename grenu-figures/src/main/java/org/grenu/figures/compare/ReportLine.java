package org.grenu.figures.compare;

import java.util.List;

/** A line of a report's pages. */
sealed interface ReportLine {

    /** {@return its height, px} */
    double height();

    /** The heading of a part. */
    record Heading(String words) implements ReportLine {

        @Override
        public double height() {
            return 34;
        }
    }

    /** What stands over the whole report, a line of it. */
    record Title(String words) implements ReportLine {

        @Override
        public double height() {
            return 26;
        }
    }

    /** A line of prose, broken to the page's width already. */
    record Prose(String words, boolean quiet) implements ReportLine {

        @Override
        public double height() {
            return 16;
        }
    }

    /**
     * A line of a row of a table; a row whose cells are broken has several.
     *
     * @param starts where its cells begin, px
     * @param last   whether it is the row's last
     */
    record Row(List<String> cells, List<Double> starts, boolean heading, boolean last) implements ReportLine {

        @Override
        public double height() {
            return last ? 16 : 13;
        }
    }

    /** Some room. */
    record Gap() implements ReportLine {

        @Override
        public double height() {
            return 8;
        }
    }
}
