package org.grenu.desktop.shell;

import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.Region;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.records.JoinViewModel;

/** What is done with the library as a whole. */
final class LibraryMenu extends MenuButton {

    LibraryMenu(Bench bench, FileDialogs dialogs, JoinViewModel join, Runnable openBin) {
        super("Library");
        setId("library-menu");
        getStyleClass().add(Styles.ACTION);
        setMinWidth(Region.USE_PREF_SIZE);
        LibraryActions actions = bench.library();
        getItems().addAll(
                item("library-export", "Save all as a data package…", () -> dialogs.fileToSave("grenu-library.zip").ifPresent(file -> actions.exportPackage(file, bench.desk().shots()))),
                item("library-export-shown", "Save the shots shown as a data package…", () -> dialogs.fileToSave("grenu-study.zip").ifPresent(file -> actions.exportPackage(file, bench.rack().shown()))),
                item("library-workbook", "Save all for spreadsheets…", () -> dialogs.fileToSave("grenu-library.xlsx").ifPresent(file -> actions.exportWorkbook(file, bench.desk().shots()))),
                new SeparatorMenuItem(),
                item("library-merge", "Take in a package or another library…", () -> dialogs.filesToOpen(FilesWanted.PACKAGE).stream().findFirst().ifPresent(actions::merge)),
                item("library-join", "Join a table to the shots…", () -> dialogs.filesToOpen(FilesWanted.TABLE).stream().findFirst().ifPresent(join::open)),
                new SeparatorMenuItem(),
                item("library-backup", "Back up…", () -> dialogs.fileToSave("grenu-backup.sqlite").ifPresent(actions::backUp)),
                item("library-restore", "Restore a backup…", () -> dialogs.filesToOpen(FilesWanted.BACKUP).stream().findFirst().ifPresent(actions::restore)),
                new SeparatorMenuItem(),
                item("library-bin", "Bin…", openBin));
    }

    private static MenuItem item(String id, String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setId(id);
        item.setOnAction(event -> action.run());
        return item;
    }
}
