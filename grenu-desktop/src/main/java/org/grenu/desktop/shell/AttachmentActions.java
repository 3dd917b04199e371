package org.grenu.desktop.shell;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.grenu.formats.BoundedFile;
import org.grenu.library.AtomicFile;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.Attachment;
import org.grenu.library.LibraryException;

/** Keeps files with the open shot, and gives copies of them. */
public record AttachmentActions(StudyDesk desk) {

    /** Largest file that is kept, bytes. */
    static final long LARGEST = 32L << 20;

    /** Attaches the files to the open shot, each a step of its own. */
    public void attach(List<Path> files) {
        if (files.isEmpty()) {
            return;
        }
        if (desk.openProperty().get() == null) {
            desk.noticeProperty()
                    .set(Notice.failed("A photo needs an open shot to belong to. Import or open one first."));
            return;
        }
        long shot = desk.openProperty().get().summary().id();
        for (Path file : files) {
            attach(shot, file);
        }
    }

    private void attach(long shot, Path file) {
        desk.step(
                () -> desk.library()
                        .write(tx -> tx.attachments().attach(shot, file.getFileName().toString(), bytes(file))),
                step -> desk.noticeProperty().set(Notice.done(file.getFileName() + " is kept with the shot.")));
    }

    private static byte[] bytes(Path file) {
        try {
            if (Files.size(file) > LARGEST) {
                throw new LibraryException(file.getFileName()
                        + " is larger than 32 MB. Make it smaller, or keep it beside the library and note where.");
            }
            return BoundedFile.bytes(file);
        } catch (IOException unreadable) {
            throw new LibraryException(file + " cannot be read (" + unreadable.getMessage() + "). Check the path.",
                    unreadable);
        }
    }

    /** Writes a copy of the attachment and says so. */
    void save(Path target, Attachment attachment) {
        desk.background().run(() -> {
            byte[] bytes = desk.library().read(tx -> tx.attachments().bytes(attachment.id()));
            AtomicFile.replace(target, bytes);
            return target;
        }, done -> desk.noticeProperty().set(Notice.done("Saved " + done)), failure -> desk.noticeProperty()
                .set(
                        Notice.failed(target + " could not be written (" + failure.getMessage()
                                + "). Choose another place.")));
    }
}
