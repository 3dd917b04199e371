package org.grenu.desktop.importing;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.grenu.app.importing.SavedMappings;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.formats.BoundedFile;
import org.grenu.formats.ShotReader;
import org.grenu.formats.mapping.MappingJson;
import org.grenu.formats.mapping.TableMapping;

/** The mappings that the library keeps, to rename, share, take from others and delete. */
public final class KeptMappingsViewModel implements AutoCloseable {

    /**
     * What the list shows.
     *
     * @param kept    the mappings, in the order of their names
     * @param deleted the one that was deleted last; it can be put back
     */
    record Listed(List<TableMapping> kept, Optional<TableMapping> deleted) {
    }

    private final StudyDesk desk;
    private final SavedMappings saved;
    private final Background worker;
    private final ReadOnlyObjectWrapper<Listed> listed = new ReadOnlyObjectWrapper<>(
            new Listed(List.of(), Optional.empty()));

    /** Those of that desk's library. */
    public KeptMappingsViewModel(StudyDesk desk, Executor interfaceThread) {
        this.desk = desk;
        this.saved = new SavedMappings(desk.library());
        this.worker = new Background("grenu-mappings", interfaceThread);
    }

    /** {@return what the list shows; read when it is opened} */
    ReadOnlyObjectProperty<Listed> listedProperty() {
        return listed.getReadOnlyProperty();
    }

    /** Reads what is kept. */
    void read() {
        change(Optional.empty(), () -> Optional.empty());
    }

    /** Gives it another name; one that is taken is refused in words. */
    void rename(TableMapping mapping, String name) {
        change(listed.get().deleted(), () -> saved.rename(mapping, name.strip()) ? Optional.empty()
                : Optional.of(name.isBlank() ? "A mapping needs a name. It is still “" + mapping.name() + "”."
                        : "Another mapping is called “" + name.strip() + "”. This one is still “" + mapping.name()
                                + "”."));
    }

    /** Forgets it; until the list is read anew it can be put back. */
    void delete(TableMapping mapping) {
        change(Optional.of(mapping), () -> {
            saved.delete(mapping);
            return Optional.empty();
        });
    }

    /** Keeps again the one that was deleted last. */
    void putBack() {
        TableMapping deleted = listed.get().deleted().orElseThrow();
        change(Optional.empty(), () -> {
            saved.replace(deleted.named(saved.freeName(deleted.name())));
            return Optional.empty();
        });
    }

    /** Keeps the mapping of a file that somebody shared; where its name is taken, under a name like it. */
    void takeFrom(Path file) {
        change(listed.get().deleted(), () -> {
            TableMapping shared = MappingJson.read(file.getFileName().toString(),
                    ShotReader.text(file.getFileName().toString(), BoundedFile.bytes(file)));
            String name = shared.name().isBlank() ? file.getFileName().toString().replaceFirst("\\.json$", "")
                    : shared.name();
            if (saved.keep(shared.named(name))) {
                return Optional.empty();
            }
            String free = saved.freeName(name);
            saved.replace(shared.named(free));
            return Optional.of("Another mapping is called “" + name + "”: the one of the file is kept as “" + free
                    + "”.");
        });
    }

    /** {@return the mapping as a file to share} */
    String asFile(TableMapping mapping) {
        return MappingJson.write(mapping);
    }

    @Override
    public void close() {
        worker.close();
    }

    /** Does it beside the window, then shows what is kept and says what there is to say. */
    private void change(Optional<TableMapping> deleted, Callable<Optional<String>> work) {
        worker.run(() -> {
            Optional<String> words = work.call();
            List<TableMapping> kept = saved.all();
            worker.onInterface(() -> listed.set(new Listed(kept, deleted)));
            return words;
        }, words -> words.ifPresent(said -> desk.noticeProperty().set(Notice.failed(said))), desk::failed);
    }
}
