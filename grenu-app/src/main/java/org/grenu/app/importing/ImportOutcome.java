package org.grenu.app.importing;

import java.util.List;

/** What became of one file of a batch. */
public sealed interface ImportOutcome {

    /** {@return the file's name} */
    String file();

    /** {@return whether the file went in without anything worth telling} */
    default boolean withoutRemark() {
        return this instanceof Imported imported && imported.assumptions().isEmpty();
    }

    /** A new shot; {@code assumptions} say what the file left open. */
    record Imported(String file, int number, List<String> assumptions) implements ImportOutcome {
    }

    /** The very same samples are in the library already. */
    record Duplicate(String file, int number) implements ImportOutcome {
    }

    /** The file could not be read; nothing of it was stored. */
    record Failed(String file, String message) implements ImportOutcome {
    }
}
