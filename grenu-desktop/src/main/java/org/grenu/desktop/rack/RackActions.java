package org.grenu.desktop.rack;

import java.util.List;
import org.grenu.library.ShotSummary;

/** What the rack asks of the window. */
public interface RackActions {

    /** Asks for an entry of those shots. */
    void edit(List<ShotSummary> shots);

    /** Puts those shots into the bin. */
    void bin(List<ShotSummary> shots);

    /** Shows the bin. */
    void openBin();
}
