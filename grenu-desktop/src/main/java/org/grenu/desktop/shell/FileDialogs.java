package org.grenu.desktop.shell;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.stage.FileChooser;
import javafx.stage.FileChooser.ExtensionFilter;
import javafx.stage.Window;

/** Asks for files by the system's dialogs; tests give their own answers. */
public interface FileDialogs {

    /** {@return the files to import, none when the dialog is closed} */
    List<Path> filesToImport();

    /** {@return where to save under that name or another, nothing when the dialog is closed} */
    Optional<Path> fileToSave(String suggestedName);

    /** {@return the system's dialogs over that window} */
    static FileDialogs of(Window window) {
        return new FileDialogs() {
            @Override
            public List<Path> filesToImport() {
                FileChooser chooser = new FileChooser();
                chooser.setTitle("Import shots");
                chooser.getExtensionFilters().addAll(new ExtensionFilter("Shot logs", "*.csv", "*.tsv", "*.txt", "*.json"),
                        new ExtensionFilter("All files", "*"));
                List<File> files = chooser.showOpenMultipleDialog(window);
                return files == null ? List.of() : files.stream().map(File::toPath).toList();
            }

            @Override
            public Optional<Path> fileToSave(String suggestedName) {
                FileChooser chooser = new FileChooser();
                chooser.setTitle("Save as");
                chooser.setInitialFileName(suggestedName);
                return Optional.ofNullable(chooser.showSaveDialog(window)).map(File::toPath);
            }
        };
    }
}
