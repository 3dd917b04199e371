package org.grenu.formats;

import java.util.List;
import org.grenu.core.record.Shot;

/**
 * A shot read from a file.
 *
 * @param shot        record and log
 * @param assumptions what the file left open and how it was read, a sentence each
 */
public record ParsedShot(Shot shot, List<String> assumptions) {

    public ParsedShot {
        assumptions = List.copyOf(assumptions);
    }
}
