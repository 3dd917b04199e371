package org.grenu.desktop.importing;

import java.util.Optional;
import java.util.function.Supplier;
import org.grenu.formats.mapping.TableShape;

/** One thing about a table of lines changed; nothing when the table cannot be so. */
record TableShapeEdit(TableShape.Lines lines) {

    Optional<TableShape> delimiter(char delimiter) {
        return tried(() -> new TableShape.Lines(delimiter, delimiter == lines.decimalMark() ? '.' : lines.decimalMark(),
                lines.headingLine(), lines.firstLine()));
    }

    Optional<TableShape> mark(char mark) {
        return tried(() -> new TableShape.Lines(lines.delimiter(), mark, lines.headingLine(), lines.firstLine()));
    }

    Optional<TableShape> heading(int line) {
        return tried(() -> new TableShape.Lines(lines.delimiter(), lines.decimalMark(), line,
                Math.max(line + 1, lines.firstLine())));
    }

    Optional<TableShape> first(int line) {
        return tried(() -> new TableShape.Lines(lines.delimiter(), lines.decimalMark(),
                Math.min(lines.headingLine(), line - 1), line));
    }

    private static Optional<TableShape> tried(Supplier<TableShape> shape) {
        try {
            return Optional.of(shape.get());
        } catch (IllegalArgumentException impossible) {
            return Optional.empty();
        }
    }
}
