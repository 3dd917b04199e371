package org.grenu.desktop.ledger;

import java.util.List;
import org.grenu.core.study.SheetField;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.entry.HistorySection;
import org.grenu.library.Target;

/** What was corrected in the shot's record. */
final class ShotHistorySection extends HistorySection {

    ShotHistorySection(LedgerViewModel model, StudyDesk desk) {
        super(desk, model.openProperty(), key -> SheetField.find(key).map(SheetField::title).orElse(key), () -> {
            long id = model.open() == null ? -1 : model.open().summary().id();
            return () -> id < 0 ? List.of() : desk.library().history(Target.SHOT, id);
        });
    }
}
