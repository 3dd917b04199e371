package org.grenu.desktop.plan;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import org.grenu.desktop.desk.Notice;
import org.grenu.formats.ProfileJson;
import org.grenu.library.AtomicFile;

/** Profiles as files: saved beside and moved, read with a reason where that is not possible. */
final class ProfileFiles {

    private static final long LARGEST = 1_000_000;

    private final ProfilesViewModel model;
    private final Function<String, Optional<Path>> fileToSave;
    private final Supplier<List<Path>> filesToOpen;

    ProfileFiles(ProfilesViewModel model, Function<String, Optional<Path>> fileToSave,
            Supplier<List<Path>> filesToOpen) {
        this.model = model;
        this.fileToSave = fileToSave;
        this.filesToOpen = filesToOpen;
    }

    void save() {
        KnownProfile now = model.chosenProperty().get();
        if (now == null) {
            return;
        }
        String text = new ProfileJson(now.name(), now.profile()).write();
        fileToSave.apply(now.name().replaceAll("[^\\p{L}\\p{N}]+", "-") + ".json")
                .ifPresent(file -> model.beside(() -> saved(file, text), model.desk().noticeProperty()::set));
    }

    private static Notice saved(Path file, String text) {
        try {
            AtomicFile.replace(file, text.getBytes(StandardCharsets.UTF_8));
            return Notice.done("Saved " + file);
        } catch (IOException | UnsupportedOperationException failure) {
            return Notice.failed(file + " could not be written (" + failure.getMessage() + "). Choose another place.");
        }
    }

    void open() {
        for (Path file : filesToOpen.get()) {
            model.beside(() -> read(file), Runnable::run);
        }
    }

    /** {@return what is to be done with what was read} */
    private Runnable read(Path file) {
        try {
            if (Files.size(file) > LARGEST) {
                throw new IllegalArgumentException("It is larger than a profile can be.");
            }
            ProfileJson read = ProfileJson.read(Files.readString(file));
            return () -> model.add(read.name().isBlank() ? file.getFileName().toString() : read.name(), read.profile());
        } catch (IOException | RuntimeException failure) {
            return () -> model.desk()
                    .noticeProperty()
                    .set(Notice.failed(file.getFileName() + " holds no profile: " + failure.getMessage()));
        }
    }
}
