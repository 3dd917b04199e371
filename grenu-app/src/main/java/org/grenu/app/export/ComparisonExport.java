package org.grenu.app.export;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.function.Supplier;
import org.grenu.core.compare.Comparison;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.Shot;
import org.grenu.figures.compare.CompareSheet;
import org.grenu.figures.compare.ReportHead;
import org.grenu.figures.compare.ReportPages;
import org.grenu.figures.export.FigureExport;
import org.grenu.figures.export.FigureFormat;
import org.grenu.figures.theme.Theme;
import org.grenu.formats.ComparisonPackage;
import org.grenu.formats.EffectTableWriter;

/** What can be written of a comparison. */
public enum ComparisonExport {
    FIGURE_PNG("Figures as PNG…", "comparison.png",
            from -> FigureExport.write(from.sheet, Theme.LIGHT, FigureFormat.PNG)),
    FIGURE_SVG("Figures as SVG…", "comparison.svg",
            from -> FigureExport.write(from.sheet, Theme.LIGHT, FigureFormat.SVG)),
    FIGURE_PDF("Figures as PDF…", "comparison.pdf",
            from -> FigureExport.write(from.sheet, Theme.LIGHT, FigureFormat.PDF)),
    EFFECTS_CSV("Table of effects as CSV…", "effects.csv",
            from -> EffectTableWriter.csv(from.canonical()).getBytes(StandardCharsets.UTF_8)),
    EFFECTS_XLSX("Table of effects as XLSX…", "effects.xlsx", from -> EffectTableWriter.xlsx(from.canonical())),
    REPORT("Report as PDF…", "report.pdf",
            from -> FigureExport.pdf(ReportPages.of(from.sheet, from.head), from.sheet.title(), Theme.LIGHT)),
    PACKAGE("Data package, to compute it again…", "comparison.zip",
            from -> ComparisonPackage.write(from.canonical(), from.shots.get()));

    private final String title;
    private final String suggestedName;
    private final Content content;

    ComparisonExport(String title, String suggestedName, Content content) {
        this.title = title;
        this.suggestedName = suggestedName;
        this.content = content;
    }

    private interface Content {
        byte[] of(Subject subject) throws IOException;
    }

    /**
     * What is exported from.
     *
     * @param sheet its figures, in the light theme
     * @param head  what stands over its report
     * @param shots by name, with their logs; read when they are wanted
     */
    public record Subject(Comparison comparison, CompareSheet sheet, ReportHead head,
            Supplier<Map<String, Shot>> shots) {

        /** Tables and packages are read by programs, which know one unit of each quantity. */
        private Comparison canonical() {
            return comparison.in(DisplayUnits.CANONICAL);
        }
    }

    /** {@return the words on the menu} */
    public String title() {
        return title;
    }

    /** {@return a name for the file} */
    public String suggestedName() {
        return suggestedName;
    }

    /** {@return the file} */
    public byte[] of(Subject subject) throws IOException {
        return content.of(subject);
    }
}
