package org.grenu.desktop.shell;

import java.awt.Color;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import org.grenu.app.export.ShotExport;
import org.grenu.library.AtomicFile;
import org.grenu.core.extraction.Brew;
import org.grenu.core.quantity.Reported;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.read.ReadViewModel;
import org.grenu.figures.export.ReadSheet;
import org.grenu.figures.read.StripPainter;
import org.grenu.figures.theme.Theme;

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

    /** {@return a name for the file} */
    public String suggestedName(ShotExport wanted) {
        OpenShot open = desk.openProperty().get();
        return wanted.suggestedName(open == null ? 0 : open.summary().number());
    }

    /** Writes the file and says so. */
    public void export(ShotExport wanted, Path file) {
        OpenShot open = desk.openProperty().get();
        ShotExport.Subject subject = new ShotExport.Subject(desk.opened(), open == null ? null : open.analysis(),
                open == null ? null : sheet(open), List.copyOf(desk.shots()));
        save(file, () -> wanted.of(subject));
    }

    /** Writes a text and says so. */
    void save(Path file, String text) {
        save(file, () -> text.getBytes(StandardCharsets.UTF_8));
    }

    private void save(Path file, Callable<byte[]> content) {
        worker.run(() -> {
            AtomicFile.replace(file, content.call());
            return file;
        }, done -> desk.noticeProperty().set(Notice.done("Saved " + done)), failure -> desk.noticeProperty()
                .set(
                        Notice.failed(
                                file + " could not be written (" + failure.getMessage() + "). Choose another place.")));
    }

    @Override
    public void close() {
        worker.close();
    }

    /** Paper is light: figures are saved in the light theme, whatever the window wears. */
    private ReadSheet sheet(OpenShot open) {
        Color treatment = appearance.scale().get().color(open.summary().record(), Theme.LIGHT);
        String yield = open.measures()
                .masses()
                .brew()
                .map(Brew::asDosed)
                .map(y -> "EY " + Reported.of(y.percent()).text() + " % as dosed, k = 2")
                .orElse("EY unknown");
        return new ReadSheet(read.title(), read.recipe() + "   " + yield, read.figureProperty().get(),
                read.viewProperty().get(),
                new StripPainter.Inks(treatment, Theme.LIGHT.color("slate")));
    }
}
