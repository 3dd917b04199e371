package org.grenu.app.export;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import org.grenu.app.OpenLibrary;
import org.grenu.app.analysis.ShotAnalysis;
import org.grenu.figures.export.FigureExport;
import org.grenu.figures.export.FigureFormat;
import org.grenu.figures.export.ReadSheet;
import org.grenu.figures.theme.Theme;
import org.grenu.formats.ShotCsvWriter;
import org.grenu.formats.ShotJsonWriter;
import org.grenu.formats.StudyTableWriter;
import org.grenu.library.RawFile;
import org.grenu.library.ShotSummary;

/** What can be written of the shot that is read, and of the study it belongs to. */
public enum ShotExport {
    SHOT_CSV("Shot as CSV…", "shot-%03d.csv", from -> utf8(ShotCsvWriter.write(from.shot.shot()))),
    SHOT_JSON("Shot as JSON…", "shot-%03d.json", from -> utf8(ShotJsonWriter.write(from.shot.shot()))),
    RAW_FILE("File as it was imported…", "shot-%03d-as-imported", ShotExport::asImported),
    FIGURE_PNG("Strips as PNG…", "shot-%03d.png", from -> strips(from, FigureFormat.PNG)),
    FIGURE_SVG("Strips as SVG…", "shot-%03d.svg", from -> strips(from, FigureFormat.SVG)),
    FIGURE_PDF("Strips as PDF…", "shot-%03d.pdf", from -> strips(from, FigureFormat.PDF)),
    STUDY_TABLE("Table of all shots as CSV…", "shots.csv", ShotExport::table);

    private final String title;
    private final String name;
    private final Content content;

    ShotExport(String title, String name, Content content) {
        this.title = title;
        this.name = name;
        this.content = content;
    }

    private interface Content {
        byte[] of(Subject subject) throws IOException;
    }

    /**
     * What is exported from.
     *
     * @param shot   the shot that is read; null where only the study's table is wanted
     * @param strips its strips as they are shown; null as {@code shot} is
     * @param all    the study's shots
     */
    public record Subject(OpenLibrary open, ShotAnalysis shot, ReadSheet strips, List<ShotSummary> all) {
    }

    /** {@return the words on the menu} */
    public String title() {
        return title;
    }

    /** {@return a name for the file of the shot of that number} */
    public String suggestedName(int number) {
        return String.format(Locale.ROOT, name, number);
    }

    /** {@return the file} Takes a second for a hundred shots that were not measured before. */
    public byte[] of(Subject subject) throws IOException {
        return content.of(subject);
    }

    private static byte[] asImported(Subject from) throws IOException {
        return from.open.library()
                .read(tx -> tx.files().of(from.shot.summary().id()))
                .map(RawFile::bytes)
                .orElseThrow(() -> new IOException("the shot was written down by hand and came from no file"));
    }

    /** Paper is light, whatever the window wears. */
    private static byte[] strips(Subject from, FigureFormat format) throws IOException {
        return FigureExport.write(from.strips, Theme.LIGHT, format);
    }

    private static byte[] table(Subject from) {
        return utf8(StudyTableWriter.write(from.all.stream()
                .map(shot -> new StudyTableWriter.Row(shot.number(), shot.record(),
                        from.open.analyses().of(shot).measures()))
                .toList()));
    }

    private static byte[] utf8(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}
