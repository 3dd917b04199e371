package org.grenu.desktop.desk;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.value.ObservableValue;
import org.grenu.app.settings.StudySettings;
import org.grenu.core.quantity.DisplayUnits;

/** What the user chose for this library, kept in it. */
final class KeptChoices {

    private final StudyDesk desk;
    private final ReadOnlyObjectWrapper<StudySettings> settings = new ReadOnlyObjectWrapper<>(StudySettings.USUAL);
    private final ObservableValue<DisplayUnits> units = settings.map(StudySettings::units);

    KeptChoices(StudyDesk desk) {
        this.desk = desk;
    }

    ReadOnlyObjectProperty<StudySettings> property() {
        return settings.getReadOnlyProperty();
    }

    ObservableValue<DisplayUnits> units() {
        return units;
    }

    /** Keeps others and shows by them at once. */
    void choose(StudySettings chosen) {
        if (!chosen.equals(settings.get())) {
            StudySettings before = settings.get();
            apply(chosen);
            desk.background().run(() -> {
                desk.library().store(tx -> tx.settings().keep(chosen.keptAfter(before)));
                return chosen;
            }, kept -> {}, desk::failed);
        }
    }

    /** Shows by those that are kept. */
    void apply(StudySettings chosen) {
        boolean others = !chosen.packs().equals(settings.get().packs());
        settings.set(chosen);
        if (others) {
            desk.reading().judgeAnew(chosen.packs());
        }
    }
}
