package org.grenu.core.shelf;

import java.time.LocalDate;
import java.util.Optional;
import org.grenu.core.entry.Entries;

/**
 * A thing as it is between two changes of its parts.
 *
 * @param id      key in the library
 * @param number  from 1
 * @param since   first day; empty for the first version
 * @param changed what was changed, in words; may be empty
 * @param entries what is known of it
 */
public record ShelfVersion(long id, int number, Optional<LocalDate> since, String changed, Entries entries) {

    /** {@return how a shot's record calls it} */
    public String label() {
        return "v" + number + (changed.isBlank() ? "" : ": " + changed);
    }
}
