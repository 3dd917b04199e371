package org.grenu.formats;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.grenu.core.numbers.Samples;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Unit;

/** One column of a table while it is being read: its cells as numbers, then in the canonical unit. */
final class TableColumn {

    private static final Pattern CLOCK = Pattern
            .compile("(?:.*[T ])?(?:(\\d{1,2}):)?(\\d{1,2}):(\\d{1,2}(?:[.,]\\d{1,9})?)(?:Z|[+-]\\d{2}:?\\d{2})?");

    private final int index;
    private final ColumnHeading heading;
    private double[] values = new double[256];
    private int size;
    private boolean clock;

    TableColumn(int index, ColumnHeading heading) {
        this.index = index;
        this.heading = heading;
    }

    int index() {
        return index;
    }

    ColumnHeading heading() {
        return heading;
    }

    int size() {
        return size;
    }

    boolean isTime() {
        return heading.meaning().orElse(null) instanceof ColumnHeading.TimeColumn;
    }

    /** {@return whether the cell could be read; an empty cell is a missing sample, but never a missing time} */
    boolean add(String cell) {
        String text = cell.strip();
        OptionalDouble number = DecimalText.parse(text);
        if (number.isEmpty() && isTime()) {
            number = clockSeconds(text);
        }
        if (number.isEmpty() && (isTime() || !isMissing(text))) {
            return false;
        }
        if (size == values.length) {
            values = Arrays.copyOf(values, 2 * size);
        }
        values[size++] = number.orElse(Double.NaN);
        return true;
    }

    private static boolean isMissing(String text) {
        return text.isEmpty() || text.equalsIgnoreCase("nan") || text.equalsIgnoreCase("null");
    }

    private OptionalDouble clockSeconds(String text) {
        Matcher matcher = text.length() > 40 ? null : CLOCK.matcher(text);
        if (matcher == null || !matcher.matches()) {
            return OptionalDouble.empty();
        }
        clock = true;
        double hours = matcher.group(1) == null ? 0 : Double.parseDouble(matcher.group(1));
        return OptionalDouble.of(3600 * hours + 60 * Double.parseDouble(matcher.group(2))
                + Double.parseDouble(matcher.group(3).replace(',', '.')));
    }

    Samples inCanonicalUnit(List<String> assumptions) {
        double[] read = Arrays.copyOf(values, size);
        Unit unit = heading.unit().orElseGet(() -> guess(read, assumptions));
        return Samples.of(clock ? read : Arrays.stream(read).map(unit::toCanonical).toArray());
    }

    private Unit guess(double[] read, List<String> assumptions) {
        if (clock) {
            return Unit.SECOND;
        }
        UsualUnit usual = UsualUnit.of(heading.meaning().orElseThrow().quantity(), read);
        if (usual.unit() != Unit.NUMBER) {
            assumptions.add("Column “" + heading.heading() + "” names no unit; its numbers were read as "
                    + usual.unit().symbol()
                    + (usual.inDoubt() ? ", though that makes no usual length of a shot. Is that right?" : "."));
        }
        return usual.unit();
    }
}
