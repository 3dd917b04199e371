package org.grenu.desktop.shelf;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.grenu.desktop.entry.HistorySection;
import org.grenu.library.HistoryEntry;
import org.grenu.library.Library;
import org.grenu.library.Target;

/** What was corrected about the chosen thing. */
final class ShelfHistorySection extends HistorySection {

    ShelfHistorySection(ShelfViewModel model) {
        super(model.desk(), model.chosenProperty(), key -> model.chosenProperty().get().item().kind().field(key).map(field -> field.title()).orElse(key), () -> {
            Chosen chosen = model.chosenProperty().get();
            long item = chosen == null ? -1 : chosen.item().id();
            long version = chosen == null ? -1 : chosen.version().id();
            Library library = model.desk().library();
            return () -> {
                List<HistoryEntry> entries = new ArrayList<>(library.history(Target.VERSION, version));
                entries.addAll(library.history(Target.ITEM, item));
                entries.sort(Comparator.comparing(HistoryEntry::id).reversed());
                return entries;
            };
        });
    }
}
