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

    /** A line of prose, broken to the page's width already. */
    record Prose(String words, boolean quiet) implements ReportLine {

        @Override
        public double height() {
            return 16;
        }
    }

    /**
     * A row of a table.
     *
     * @param starts where its cells begin, px
     */
    record Row(List<String> cells, List<Double> starts, boolean heading) implements ReportLine {

        @Override
        public double height() {
            return 16;
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
