package org.grenu.desktop.shell;

import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import org.grenu.app.export.ComparisonExport;
import org.grenu.app.export.ShotExport;
import org.grenu.app.importing.ShotSource;
import org.grenu.desktop.records.JoinViewModel;

/** What begins with a file that the user names. */
record FileRequests(Bench bench, FileDialogs dialogs, JoinViewModel joining) {

    void importShots() {
        var files = dialogs.filesToOpen(FilesWanted.LOGS);
        if (!files.isEmpty()) {
            bench.importing().importPaths(files);
        }
    }

    void mapLog() {
        one(FilesWanted.LOG).ifPresent(file -> bench.mapping().open(ShotSource.of(file)));
    }

    void giveLog() {
        one(FilesWanted.LATE_LOG).ifPresent(file -> bench.notebook().giveLog(ShotSource.of(file)));
    }

    void save(ShotExport kind) {
        to(bench.exports().suggestedName(kind), file -> bench.exports().export(kind, file));
    }

    void save(ComparisonExport kind) {
        to(kind.suggestedName(), file -> bench.compareExports().export(kind, file));
    }

    void saveText(String suggestedName, String text) {
        to(suggestedName, file -> bench.exports().save(file, text));
    }

    void savePackage() {
        to("grenu-library.zip", file -> bench.library().exportPackage(file, bench.desk().shots()));
    }

    void savePackageOfShown() {
        to("grenu-study.zip", file -> bench.library().exportPackage(file, bench.rack().shown()));
    }

    void saveWorkbook() {
        to("grenu-library.xlsx", file -> bench.library().exportWorkbook(file, bench.desk().shots()));
    }

    void merge() {
        one(FilesWanted.PACKAGE).ifPresent(bench.library()::merge);
    }

    void join() {
        one(FilesWanted.TABLE).ifPresent(joining::open);
    }

    void backUp() {
        to("grenu-backup.sqlite", bench.library()::backUp);
    }

    void restore() {
        one(FilesWanted.BACKUP).ifPresent(bench.library()::restore);
    }

    private Optional<Path> one(FilesWanted wanted) {
        return dialogs.filesToOpen(wanted).stream().findFirst();
    }

    private void to(String suggestedName, Consumer<Path> writing) {
        dialogs.fileToSave(suggestedName).ifPresent(writing);
    }
}
