package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.SiteHeat;
import org.grenu.figures.theme.Theme;

/**
 * What a place allows.
 *
 * @param altitude m
 * @param heat     what it allows, when the altitude is known
 * @param set      temperatures at which shots were pulled there, °C
 */
public record SiteFigure(OptionalDouble altitude, Optional<SiteHeat> heat, List<Double> set) implements ShelfFigure {

    public SiteFigure {
        set = List.copyOf(set);
    }

    static SiteFigure of(Standing site) {
        OptionalDouble altitude = site.number(ShelfField.ALTITUDE);
        return new SiteFigure(altitude,
                altitude.isEmpty() ? Optional.empty() : Optional.of(SiteHeat.at(altitude.getAsDouble())),
                site.used(RecordField.TEMPERATURE));
    }

    @Override
    public double height() {
        return 96;
    }

    @Override
    public String words() {
        return heat.map(h -> String.format(Locale.ROOT, "Water boils at %.1f °C; set at most %.1f °C",
                h.boilingCelsius(), h.highestSet())).orElse("altitude unknown");
    }

    @Override
    public void paint(Graphics2D g, Theme theme, double width) {
        ThingPictures.site(new Sketch(g, theme), this, width);
    }
}
