package org.grenu.figures.shelf;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.grenu.core.diagnosis.RestWindow;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.ShelfVersion;

/**
 * Makes the pictures of things on the shelf.
 *
 * @param shots of the whole library, in the order of their numbers
 * @param rest  days of rest that the chosen school asks for
 * @param today the day it is
 * @param units of temperatures and pressures
 */
public record ShelfFigures(List<ShelfShot> shots, Optional<RestWindow> rest, LocalDate today, DisplayUnits units) {

    /** Each kind's figure: the only place that lists them. */
    private static final Map<ShelfKind, Function<Standing, ShelfFigure>> BY_KIND = new EnumMap<>(
            Map.ofEntries(Map.entry(ShelfKind.COFFEE, CoffeeFigure::of), Map.entry(ShelfKind.BAG, BagFigure::of),
                    Map.entry(ShelfKind.GRINDER, GrinderFigure::of), Map.entry(ShelfKind.BASKET, BasketFigure::of),
                    Map.entry(ShelfKind.MACHINE, MachineFigure::of), Map.entry(ShelfKind.SCALE, ScaleFigure::of),
                    Map.entry(ShelfKind.REFRACTOMETER, RefractometerFigure::of),
                    Map.entry(ShelfKind.WATER, WaterFigure::of), Map.entry(ShelfKind.SITE, SiteFigure::of),
                    Map.entry(ShelfKind.RECIPE, RecipeFigure::of), Map.entry(ShelfKind.PROFILE, ProfileCard::of),
                    Map.entry(ShelfKind.STUDY, StudyFigure::of)));

    public ShelfFigures {
        shots = List.copyOf(shots);
    }

    /** {@return the picture of that version of the thing} */
    public ShelfFigure of(ShelfItem item, ShelfVersion version) {
        return BY_KIND.get(item.kind()).apply(new Standing(item, version, shots, rest, today, units));
    }
}
