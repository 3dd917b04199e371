package org.grenu.desktop.shell;

import java.awt.Color;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Executor;
import org.grenu.library.AtomicFile;
import org.grenu.core.extraction.Brew;
import org.grenu.core.quantity.Reported;
import org.grenu.core.study.Shot;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.read.ReadViewModel;
import org.grenu.figures.export.FigureExport;
import org.grenu.figures.export.FigureFormat;
import org.grenu.figures.export.ReadSheet;
import org.grenu.figures.read.StripPainter;
import org.grenu.figures.theme.Theme;
import org.grenu.formats.ShotCsvWriter;
import org.grenu.formats.ShotJsonWriter;
import org.grenu.formats.StudyTableWriter;
import org.grenu.library.ShotSummary;

/** Writes shots, the study's table and figures to files, off the interface thread. */
public final class ExportActions implements AutoCloseable {

    private final StudyDesk desk;
    private final ReadViewModel read;
    private final Appearance appearance;
    private final Background worker;

    /** Exports what the desk has open. */
    public ExportActions(StudyDesk desk, ReadViewModel read, Appearance appearance, Executor interfaceThread) {
        this.desk = desk;
        this.read = read;
        this.appearance = appearance;
        this.worker = new Background("grenu-export", interfaceThread);
    }

    /** What can be written. */
    public enum Kind {
        SHOT_CSV("Shot as CSV…", "csv"), SHOT_JSON("Shot as JSON…", "json"), RAW_FILE("File as it was imported…", ""),
        FIGURE_PNG("Strips as PNG…", "png"), FIGURE_SVG("Strips as SVG…", "svg"), FIGURE_PDF("Strips as PDF…", "pdf"),
        STUDY_TABLE("Table of all shots as CSV…", "csv");

        private final String title;
        private final String ending;

        Kind(String title, String ending) {
            this.title = title;
            this.ending = ending;
        }

        /** {@return the words on the menu} */
        public String title() {
            return title;
        }

        /** {@return the file ending, without the dot; empty for a file that keeps its name} */
        public String ending() {
            return ending;
        }
    }

    /** {@return a name for the file} */
    public String suggestedName(Kind kind) {
        String shot = desk.openProperty().get() == null ? "shot"
                : String.format(Locale.ROOT, "shot-%03d", desk.openProperty().get().summary().number());
        return switch (kind) {
            case STUDY_TABLE -> "shots.csv";
            case RAW_FILE -> shot + "-as-imported";
            default -> shot + "." + kind.ending;
        };
    }

    /** Writes the file and says so. */
    public void export(Kind kind, Path file) {
        OpenShot open = desk.openProperty().get();
        List<ShotSummary> all = List.copyOf(desk.shots());
        ReadSheet sheet = open == null ? null : sheet(open);
        worker.run(() -> {
            AtomicFile.replace(file, content(kind, open, all, sheet));
            return file;
        }, done -> desk.noticeProperty().set(Notice.done("Saved " + done)), failure -> desk.noticeProperty().set(
                Notice.failed(file + " could not be written (" + failure.getMessage() + "). Choose another place.")));
    }

    /** Writes a text and says so. */
    void save(Path file, String text) {
        worker.run(() -> {
            AtomicFile.replace(file, text.getBytes(StandardCharsets.UTF_8));
            return file;
        }, done -> desk.noticeProperty().set(Notice.done("Saved " + done)), failure -> desk.noticeProperty().set(
                Notice.failed(file + " could not be written (" + failure.getMessage() + "). Choose another place.")));
    }

    @Override
    public void close() {
        worker.close();
    }

    private byte[] content(Kind kind, OpenShot open, List<ShotSummary> all, ReadSheet sheet) throws IOException {
        return switch (kind) {
            case SHOT_CSV -> ShotCsvWriter.write(open.shot()).getBytes(StandardCharsets.UTF_8);
            case SHOT_JSON -> ShotJsonWriter.write(open.shot()).getBytes(StandardCharsets.UTF_8);
            case RAW_FILE -> desk.library().rawFile(open.summary().id()).bytes();
            case FIGURE_PNG -> FigureExport.write(sheet, Theme.LIGHT, FigureFormat.PNG);
            case FIGURE_SVG -> FigureExport.write(sheet, Theme.LIGHT, FigureFormat.SVG);
            case FIGURE_PDF -> FigureExport.write(sheet, Theme.LIGHT, FigureFormat.PDF);
            case STUDY_TABLE -> table(all).getBytes(StandardCharsets.UTF_8);
        };
    }

    private String table(List<ShotSummary> all) {
        List<StudyTableWriter.Row> rows = new ArrayList<>();
        for (ShotSummary shot : all) {
            rows.add(new StudyTableWriter.Row(shot.number(), shot.sheet(), desk.analyses().of(shot).measures()));
        }
        return StudyTableWriter.write(rows);
    }

    /** Paper is light: figures are saved in the light theme, whatever the window wears. */
    private ReadSheet sheet(OpenShot open) {
        Color treatment = appearance.scale().get().color(open.summary().sheet(), Theme.LIGHT);
        String yield = open.measures().masses().brew().map(Brew::asDosed)
                .map(y -> "EY " + Reported.of(y.percent()).text() + " % as dosed, k = 2").orElse("EY unknown");
        return new ReadSheet(read.title(), read.recipe() + "   " + yield, read.figureProperty().get(), read.viewProperty().get(),
                new StripPainter.Inks(treatment, Theme.LIGHT.color("slate")));
    }
}
