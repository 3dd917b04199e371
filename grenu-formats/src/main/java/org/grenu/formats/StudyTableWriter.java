package org.grenu.formats;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.extraction.Brew;
import org.grenu.core.extraction.ExtractionYield;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.hydraulics.WaterBalance;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;

/** Writes a study as one CSV table: a row per shot with its record and its measures; unknown cells are empty. */
public final class StudyTableWriter {

    private static final List<Column> MEASURES = measures();

    private StudyTableWriter() {
    }

    /** {@return the table's text} */
    public static String write(List<Row> rows) {
        StringWriter out = new StringWriter();
        try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(out)) {
            csv.writeRecord(heading());
            rows.forEach(row -> csv.writeRecord(cells(row)));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toString();
    }

    private static List<String> heading() {
        List<String> heading = new ArrayList<>(List.of("shot"));
        for (RecordField field : RecordField.values()) {
            heading.add(field.key());
        }
        MEASURES.forEach(column -> heading.add(column.name));
        return heading;
    }

    private static List<String> cells(Row row) {
        List<String> cells = new ArrayList<>(List.of(Integer.toString(row.number)));
        for (RecordField field : RecordField.values()) {
            cells.add(FormulaGuard.guarded(row.record.entry(field).orElse("")));
        }
        for (Column column : MEASURES) {
            OptionalDouble value = column.value.apply(row.measures);
            cells.add(value.isPresent() ? DecimalText.exact(value.getAsDouble()) : "");
        }
        return cells;
    }

    private static List<Column> measures() {
        List<Column> columns = new ArrayList<>();
        columns.add(new Column("beverage_used_g", m -> value(m.masses().beverage())));
        columns.add(new Column("ratio", m -> value(m.masses().ratio())));
        columns.add(new Column("strength_pct", m -> value(m.masses().strength())));
        columns.add(new Column("strength_u_pct", m -> u(m.masses().strength())));
        columns.add(new Column("solids_g", m -> value(m.masses().solids())));
        columns.add(new Column("ey_as_dosed_pct", m -> value(asDosed(m))));
        columns.add(new Column("ey_as_dosed_u_pct", m -> u(asDosed(m))));
        columns.add(new Column("ey_dry_pct", m -> value(dry(m))));
        columns.add(new Column("ey_dry_u_pct", m -> u(dry(m))));
        columns.add(new Column("first_drip_s", m -> m.curve()
                .times()
                .firstDrip()
                .map(TimedEvent::seconds)
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty())));
        for (TimeConvention convention : TimeConvention.values()) {
            columns.add(new Column("time_" + convention.key() + "_s", m -> convention.of(m.curve().times())));
        }
        columns.add(new Column("peak_pressure_bar", m -> m.curve().peakPressure()));
        columns.add(new Column("mean_pressure_bar", m -> m.curve().meanPressure()));
        columns.add(new Column("peak_resistance_bar_s_per_g", m -> value(m.hydraulics().peak())));
        columns.add(new Column("erosion_pct_per_s", m -> value(m.hydraulics().erosion())));
        columns.add(new Column("kept_water_g_per_g",
                m -> value(m.hydraulics().balance().flatMap(WaterBalance::keptPerGram))));
        return columns;
    }

    private static Optional<Measured> asDosed(ShotMeasures measures) {
        return measures.masses().brew().map(Brew::asDosed).map(ExtractionYield::percent);
    }

    private static Optional<Measured> dry(ShotMeasures measures) {
        return measures.masses().brew().flatMap(Brew::dry).map(ExtractionYield::percent);
    }

    private static OptionalDouble value(Optional<Measured> measured) {
        return measured.isPresent() ? OptionalDouble.of(measured.get().value()) : OptionalDouble.empty();
    }

    private static OptionalDouble u(Optional<Measured> measured) {
        return measured.isPresent() ? OptionalDouble.of(measured.get().u()) : OptionalDouble.empty();
    }

    /** One shot of the study with its number in it. */
    public record Row(int number, ShotRecord record, ShotMeasures measures) {
    }

    private record Column(String name, Function<ShotMeasures, OptionalDouble> value) {
    }
}
