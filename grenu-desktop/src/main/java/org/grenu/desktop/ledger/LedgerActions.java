package org.grenu.desktop.ledger;

import org.grenu.library.Attachment;

/** What the ledger asks of the window: places to look and to save, and other views. */
public interface LedgerActions {

    /** Leads through a series of strength readings. */
    void takeReadings();

    /** Shows the calculator with the open shot's numbers. */
    void calculate();

    /** Asks for a place and saves the open shot's log there as it came in. */
    void saveLog();

    /** Shows what copying from the previous shot would write. */
    void copyPrevious();

    /** Asks for files and attaches them to the open shot. */
    void attach();

    /** Asks for a place and saves a copy of the attachment there. */
    void save(Attachment attachment);
}
