package org.grenu.formats.mapping;

/**
 * Where the table is in the file.
 */
public sealed interface TableShape {

    /**
     * Lines of text.
     *
     * @param delimiter   between cells
     * @param decimalMark {@code .} or {@code ,}
     * @param headingLine line of the heading, the first is 1; 0 when there is none
     * @param firstLine   line of the first row
     */
    record Lines(char delimiter, char decimalMark, int headingLine, int firstLine) implements TableShape {

        /** @throws IllegalArgumentException if the rows begin before the heading */
        public Lines {
            if (headingLine < 0 || firstLine <= headingLine) {
                throw new IllegalArgumentException("The rows must begin after the heading.");
            }
            if (decimalMark != '.' && decimalMark != ',' || delimiter == decimalMark) {
                throw new IllegalArgumentException(
                        "The decimal mark is a point or a comma, and not what separates the cells.");
            }
        }
    }

    /**
     * JSON: an array of records, or an object of arrays.
     *
     * @param path keys separated by points, {@code [2]} for an element, {@code [*]} for every element as a shot of
     *             its own;
     *             empty for the root
     */
    record Json(String path) implements TableShape {
    }
}
