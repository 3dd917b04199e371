package org.grenu.library;

import java.util.function.Supplier;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.JdbiException;

/** Runs work in one transaction and turns the database's complaints into the library's. */
final class Storing {

    private Storing() {
    }

    static <T> T inTransaction(Handle handle, String what, Supplier<T> work) {
        try {
            return handle.inTransaction(transaction -> work.get());
        } catch (JdbiException failed) {
            Throwable root = failed;
            while (root.getCause() != null) {
                root = root.getCause();
            }
            throw new LibraryException("The library could not " + what + " (" + root.getMessage()
                    + "). Nothing was changed; check the disk and try again.", failed);
        }
    }

    static void inTransaction(Handle handle, String what, Runnable work) {
        inTransaction(handle, what, () -> {
            work.run();
            return null;
        });
    }
}
