package org.grenu.formats;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Doubt;
import org.grenu.core.compare.Effect;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.compare.Verdict;
import org.grenu.core.model.Estimate;
import org.grenu.core.quantity.DecimalText;

/** Writes a comparison's effects as a table, a row an effect; numbers with all their digits, unknown cells empty. */
public final class EffectTableWriter {

    private static final List<String> HEADING = List.of("factor", "change", "response", "unit", "basis", "estimate",
            "interval_half_width", "se", "df", "p",
            "p_by_ranks", "margin", "verdict", "more_shots", "evidence", "shots", "doubts");

    private EffectTableWriter() {
    }

    /** {@return the table as CSV} */
    public static String csv(Comparison comparison) {
        StringWriter out = new StringWriter();
        try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(out)) {
            csv.writeRecord(HEADING);
            rows(comparison).forEach(row -> csv.writeRecord(row.stream().map(EffectTableWriter::text).toList()));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toString();
    }

    /** {@return the table as a spreadsheet: numbers as numbers} */
    public static byte[] xlsx(Comparison comparison) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "Grenu", "1.0")) {
            Worksheet sheet = book.newWorksheet("Effects");
            for (int c = 0; c < HEADING.size(); c++) {
                sheet.value(0, c, HEADING.get(c));
                sheet.style(0, c).bold().set();
            }
            List<List<Object>> rows = rows(comparison);
            for (int r = 0; r < rows.size(); r++) {
                for (int c = 0; c < HEADING.size(); c++) {
                    if (rows.get(r).get(c) instanceof Double number) {
                        if (Double.isFinite(number)) {
                            sheet.value(r + 1, c, number);
                        }
                    } else {
                        sheet.value(r + 1, c, rows.get(r).get(c).toString());
                    }
                }
            }
            sheet.value(rows.size() + 2, 0, comparison.sentence().text());
        }
        return out.toByteArray();
    }

    private static List<List<Object>> rows(Comparison comparison) {
        List<List<Object>> rows = new ArrayList<>();
        for (ResponseAnswer answer : comparison.answers()) {
            answer.effects().forEach(effect -> rows.add(row(comparison, answer, effect)));
        }
        return rows;
    }

    private static List<Object> row(Comparison comparison, ResponseAnswer answer, Effect effect) {
        Estimate none = new Estimate(Double.NaN, Double.NaN, Double.NaN);
        Estimate estimate = effect.estimate().orElse(none);
        double more = effect.verdict() instanceof Verdict.CannotSay cannot && cannot.likely() ? cannot.more()
                : Double.NaN;
        return List.of(effect.variable().key(), (effect.change() + " " + effect.at()).strip(), answer.response().key(),
                answer.response().differenceUnit(), comparison.question().basis().key(),
                estimate.value(), effect.halfWidth(), estimate.se(), estimate.df(), effect.p(),
                effect.rankP().orElse(Double.NaN), effect.margin(),
                effect.verdict().words(), more, effect.evidence(), (double) answer.rows().size(),
                comparison.sentence().doubts().stream().map(Doubt::words).collect(Collectors.joining(" ")));
    }

    private static String text(Object cell) {
        return cell instanceof Double number ? Double.isFinite(number) ? DecimalText.exact(number) : ""
                : FormulaGuard.guarded(cell.toString());
    }
}
