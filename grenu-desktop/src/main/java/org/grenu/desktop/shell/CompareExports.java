package org.grenu.desktop.shell;

import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Executor;
import org.grenu.app.Product;
import org.grenu.app.export.ComparisonExport;
import org.grenu.core.compare.Comparison;
import org.grenu.core.record.Shot;
import org.grenu.desktop.compare.Answered;
import org.grenu.desktop.compare.CompareViewModel;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.figures.compare.ReportHead;
import org.grenu.figures.theme.TreatmentScale;
import org.grenu.library.AtomicFile;
import org.grenu.library.ShotSummary;

/** Writes what is shown of a comparison to files, off the interface thread. */
public final class CompareExports implements AutoCloseable {

    private final StudyDesk desk;
    private final CompareViewModel compare;
    private final Appearance appearance;
    private final Clock clock;
    private final Background worker;

    /** Exports what that model has answered. */
    public CompareExports(StudyDesk desk, CompareViewModel compare, Appearance appearance, Executor interfaceThread,
            Clock clock) {
        this.desk = desk;
        this.compare = compare;
        this.appearance = appearance;
        this.clock = clock;
        this.worker = new Background("grenu-compare-export", interfaceThread);
    }

    /** Writes the file and says so. */
    public void export(ComparisonExport wanted, Path file) {
        Answered answered = compare.answeredProperty().get();
        TreatmentScale scale = appearance.scale().get();
        List<ShotSummary> all = List.copyOf(desk.shots());
        ReportHead head = new ReportHead(desk.settingsProperty().get().author(), LocalDate.now(clock),
                Product.VERSION);
        worker.run(() -> {
            AtomicFile.replace(file,
                    wanted.of(new ComparisonExport.Subject(answered.comparison(), answered.sheet(scale), head,
                            () -> logged(answered.comparison(), all))));
            return file;
        }, done -> desk.noticeProperty().set(Notice.done("Saved " + done)), failure -> desk.noticeProperty()
                .set(
                        Notice.failed(
                                file + " could not be written (" + failure.getMessage() + "). Choose another place.")));
    }

    private Map<String, Shot> logged(Comparison comparison, List<ShotSummary> all) {
        Set<String> names = new HashSet<>();
        comparison.shots().forEach(shot -> names.add(shot.name()));
        comparison.faulty().forEach(shot -> names.add(shot.name()));
        Map<String, Shot> shots = new HashMap<>();
        for (ShotSummary summary : all) {
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
