package org.grenu.library;

import java.util.List;
import java.util.Optional;
import org.grenu.core.shelf.Shelf;

/**
 * A step as it took effect.
 *
 * @param words   what it did
 * @param changes what it changed, in order
 * @param shots   the shots it changed, as they are after it
 * @param naming shots that name a thing it changed: of them nothing was changed, but how the thing is called
 * @param gone    keys of shots that it put into the bin
 * @param shelf   the shelf after it; empty when it left that alone
 */
public record StoredStep(String words, List<Change> changes, List<ShotSummary> shots, List<ShotSummary> naming,
        List<Long> gone,
        Optional<Shelf> shelf) {

    public StoredStep {
        changes = List.copyOf(changes);
        shots = List.copyOf(shots);
        naming = List.copyOf(naming);
        gone = List.copyOf(gone);
    }

    /** {@return the first shot it changed} */
    public ShotSummary shot() {
        return shots.get(0);
    }
}
