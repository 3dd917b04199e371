package org.grenu.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;
import org.grenu.library.LibraryException;
import picocli.CommandLine;

/**
 * Says in one line what a file system or a library refused, for any command; what is a fault of ours keeps its
 * trace.
 */
public final class PlainFailures implements CommandLine.IExecutionExceptionHandler {

    @Override
    public int handleExecutionException(Exception failure, CommandLine command, CommandLine.ParseResult arguments)
            throws Exception {
        Exception cause = failure instanceof UncheckedIOException unchecked ? unchecked.getCause() : failure;
        if (!(cause instanceof IOException) && !(cause instanceof LibraryException)) {
            throw failure;
        }
        command.getErr().println(words(cause));
        command.getErr().flush();
        return 1;
    }

    private static String words(Exception cause) {
        if (cause instanceof AccessDeniedException denied) {
            return denied.getFile() + ": this is not allowed for you. Check the rights of the folder.";
        }
        if (cause instanceof NoSuchFileException missing) {
            return missing.getFile() + ": there is no such file or folder. Check the path.";
        }
        return cause instanceof FileSystemException file && file.getReason() == null && file.getFile() != null
                ? file.getFile() + ": could not be written or read. Is there a file where a folder is meant?"
                : cause.getMessage();
    }
}
