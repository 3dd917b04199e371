package org.grenu.desktop.desk;

import java.util.List;
import javafx.beans.Observable;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.ObjectBinding;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.value.ObservableValue;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.Factor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.ShotRecord;
import org.grenu.figures.theme.Theme;
import org.grenu.figures.theme.TreatmentScale;
import org.grenu.library.ShotSummary;

/** How everything looks: the theme, and the factor that gives shots their colour. */
public final class Appearance {

    private final ObjectProperty<Theme> theme = new SimpleObjectProperty<>(Theme.LIGHT);
    private final ObjectProperty<Factor> colourBy = new SimpleObjectProperty<>(RecordFactor.GRIND);
    private final ObjectBinding<TreatmentScale> scale;

    /**
     * The look of a study with those shots.
     *
     * @param changed told when they have changed
     */
    public Appearance(List<ShotSummary> shots, Observable changed, ObservableValue<DisplayUnits> units) {
        scale = Bindings.createObjectBinding(() -> {
            List<ShotRecord> sheets = shots.stream().map(ShotSummary::record).toList();
            return TreatmentScale.of(colourBy.get().in(units.getValue()), sheets);
        }, changed, colourBy, units);
    }

    /** {@return light or dark} */
    public ObjectProperty<Theme> themeProperty() {
        return theme;
    }

    /** {@return the factor whose level gives a shot its colour} */
    public ObjectProperty<Factor> colourByProperty() {
        return colourBy;
    }

    /** {@return the colour of every level of that factor} */
    public ObjectBinding<TreatmentScale> scale() {
        return scale;
    }

    /** Changes between light and dark. */
    public void switchTheme() {
        theme.set(theme.get().dark() ? Theme.LIGHT : Theme.DARK);
    }
}
