package org.grenu.formats.exchange;

import java.util.List;
import org.grenu.core.shelf.ShelfItem;

/** What takes a package in. */
public interface ArchiveTarget {

    /** Takes what stands on the shelf; comes first. */
    void shelf(List<ShelfItem> items);

    /** Takes a shot; they come in the order of their numbers. */
    void shot(ArchivedShot shot);

    /** Takes the corrections; comes last. */
    void history(List<ArchivedChange> changes);
}
