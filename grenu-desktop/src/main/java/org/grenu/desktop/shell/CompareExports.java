package org.grenu.desktop.shell;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Executor;
import org.grenu.app.Product;
import org.grenu.core.compare.Comparison;
import org.grenu.core.study.Shot;
import org.grenu.desktop.compare.Answered;
import org.grenu.desktop.compare.CompareViewModel;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.figures.compare.CompareSheet;
import org.grenu.figures.compare.ReportPages;
import org.grenu.figures.export.FigureExport;
import org.grenu.figures.export.FigureFormat;
import org.grenu.figures.theme.Theme;
import org.grenu.figures.theme.TreatmentScale;
import org.grenu.formats.ComparisonPackage;
import org.grenu.formats.EffectTableWriter;
import org.grenu.library.AtomicFile;
import org.grenu.library.ShotSummary;

/** Writes what is shown of a comparison to files, off the interface thread. */
public final class CompareExports implements AutoCloseable {

    private final StudyDesk desk;
    private final CompareViewModel compare;
    private final Appearance appearance;
    private final Background worker;

    /** Exports what that model has answered. */
    public CompareExports(StudyDesk desk, CompareViewModel compare, Appearance appearance, Executor interfaceThread) {
        this.desk = desk;
        this.compare = compare;
        this.appearance = appearance;
        this.worker = new Background("grenu-compare-export", interfaceThread);
    }

    /** What can be written. */
    public enum Kind {
        FIGURE_PNG("Figures as PNG…", "comparison.png"), FIGURE_SVG("Figures as SVG…", "comparison.svg"), FIGURE_PDF("Figures as PDF…", "comparison.pdf"),
        EFFECTS_CSV("Table of effects as CSV…", "effects.csv"), EFFECTS_XLSX("Table of effects as XLSX…", "effects.xlsx"),
        REPORT("Report as PDF…", "report.pdf"), PACKAGE("Data package, to compute it again…", "comparison.zip");

        private final String title;
        private final String suggestedName;

        Kind(String title, String suggestedName) {
            this.title = title;
            this.suggestedName = suggestedName;
        }

        /** {@return the words on the menu} */
        public String title() {
            return title;
        }

        /** {@return a name for the file} */
        public String suggestedName() {
            return suggestedName;
        }
    }

    /** Writes the file and says so. */
    public void export(Kind kind, Path file) {
        Answered answered = compare.answeredProperty().get();
        TreatmentScale scale = appearance.scale().get();
        worker.run(() -> {
            AtomicFile.replace(file, content(kind, answered, scale));
            return file;
        }, done -> desk.noticeProperty().set(Notice.done("Saved " + done)), failure -> desk.noticeProperty().set(
                Notice.failed(file + " could not be written (" + failure.getMessage() + "). Choose another place.")));
    }

    private byte[] content(Kind kind, Answered answered, TreatmentScale scale) throws IOException {
        CompareSheet sheet = answered.sheet(scale);
        return switch (kind) {
            case FIGURE_PNG -> FigureExport.write(sheet, Theme.LIGHT, FigureFormat.PNG);
            case FIGURE_SVG -> FigureExport.write(sheet, Theme.LIGHT, FigureFormat.SVG);
            case FIGURE_PDF -> FigureExport.write(sheet, Theme.LIGHT, FigureFormat.PDF);
            case EFFECTS_CSV -> EffectTableWriter.csv(answered.comparison()).getBytes(StandardCharsets.UTF_8);
            case EFFECTS_XLSX -> EffectTableWriter.xlsx(answered.comparison());
            case REPORT -> FigureExport.pdf(ReportPages.of(sheet, Product.VERSION), sheet.title(), Theme.LIGHT);
            case PACKAGE -> ComparisonPackage.write(answered.comparison(), logged(answered.comparison()));
        };
    }

    private Map<String, Shot> logged(Comparison comparison) {
        Set<String> names = new HashSet<>();
        comparison.shots().forEach(shot -> names.add(shot.name()));
        comparison.faulty().forEach(shot -> names.add(shot.name()));
        Map<String, Shot> shots = new HashMap<>();
        for (ShotSummary summary : List.copyOf(desk.shots())) {
            String name = Integer.toString(summary.number());
            if (names.contains(name)) {
                shots.put(name, desk.analyses().of(summary).shot());
            }
        }
        return shots;
    }

    @Override
    public void close() {
        worker.close();
    }
}
