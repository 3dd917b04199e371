package org.grenu.desktop.ledger;

import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ChangeListener;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.Attachment;
import org.grenu.library.Target;

/** The files that are kept with the open shot. */
public final class AttachmentsViewModel {

    private final StudyDesk desk;
    private final ReadOnlyStringWrapper log = new ReadOnlyStringWrapper("");
    private final ObservableList<Attachment> files = FXCollections.observableArrayList();

    /** The files of whatever shot the desk has open. */
    public AttachmentsViewModel(StudyDesk desk) {
        this.desk = desk;
        ChangeListener<Object> changing = (o, was, is) -> read();
        desk.openProperty().addListener(changing);
        desk.editDepthProperty().addListener(changing);
        read();
    }

    /** {@return the files, in the order they were added} */
    public ObservableList<Attachment> files() {
        return files;
    }

    /** {@return the name of the file that the log came in; empty without one} */
    ReadOnlyStringProperty logProperty() {
        return log.getReadOnlyProperty();
    }

    /** {@return whether it is a picture that can be shown} */
    static boolean picture(Attachment file) {
        return file.name().toLowerCase(Locale.ROOT).matches(".*\\.(png|jpe?g|gif|bmp)");
    }

    /** Hands the file's bytes over once they are read. */
    void read(Attachment file, Consumer<byte[]> then) {
        desk.background().run(() -> desk.library().read(tx -> tx.attachments().bytes(file.id())), then, desk::failed);
    }

    /** Puts the file into the bin. */
    void bin(Attachment file) {
        desk.step(
                () -> desk.library()
                        .write(tx -> tx.bin()
                                .put(Target.ATTACHMENT, List.of(file.id()), file.name() + " put into the bin")),
                step -> {});
    }

    private void read() {
        log.set(desk.openProperty().get() == null ? ""
                : desk.openProperty().get().summary().record().text(RecordField.FILE).orElse(""));
        long shot = desk.openProperty().get() == null ? -1 : desk.openProperty().get().summary().id();
        if (shot < 0) {
            files.clear();
            return;
        }
        desk.background().run(() -> desk.library().read(tx -> tx.attachments().of(shot)), found -> {
            if (desk.openProperty().get() != null && desk.openProperty().get().summary().id() == shot
                    && !files.equals(found)) {
                files.setAll(found);
            }
        }, desk::failed);
    }
}
