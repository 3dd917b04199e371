package org.grenu.formats.exchange;

import java.util.List;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.record.ShotRecord;

/** What is to be written; shots are asked for one at a time, so that a large library needs no large memory. */
public interface ArchiveSource {

    /** {@return what it is called} */
    String title();

    /** {@return the shots' numbers, increasing} */
    List<Integer> numbers();

    /** {@return the record of a shot as it was written down} */
    ShotRecord record(int number);

    /** {@return a shot with all that belongs to it} */
    ArchivedShot shot(int number);

    /** {@return what stands on the shelf} */
    List<ShelfItem> shelf();

    /** {@return the corrections, the oldest first} */
    List<ArchivedChange> history();
}
