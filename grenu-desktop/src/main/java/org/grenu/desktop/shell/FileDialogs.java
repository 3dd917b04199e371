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

    /** {@return the files to read, at most one unless several are wanted; none when the dialog is closed} */
    List<Path> filesToOpen(FilesWanted wanted);

    /** {@return where to save under that name or another, nothing when the dialog is closed} */
    Optional<Path> fileToSave(String suggestedName);

    /** {@return the system's dialogs over that window} */
    static FileDialogs of(Window window) {
        return new FileDialogs() {
            @Override
            public List<Path> filesToOpen(FilesWanted wanted) {
                FileChooser chooser = new FileChooser();
                chooser.setTitle(wanted.title());
                chooser.getExtensionFilters()
                        .addAll(new ExtensionFilter(wanted.kind(), wanted.patterns()),
                                new ExtensionFilter("All files", "*"));
                if (!wanted.several()) {
                    return Optional.ofNullable(chooser.showOpenDialog(window)).map(File::toPath).stream().toList();
                }
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
