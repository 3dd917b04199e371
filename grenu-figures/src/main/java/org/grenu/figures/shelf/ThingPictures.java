package org.grenu.figures.shelf;

import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Reported;
import org.grenu.core.shelf.SiteHeat;
import org.grenu.figures.paint.Words.Align;

/** Coffees, waters, places and studies. */
final class ThingPictures {

    /** Range of colour numbers drawn unless a coffee lies outside it (common practice, no source). */
    private static final double COLOUR_LOW = 20;
    private static final double COLOUR_HIGH = 130;

    private ThingPictures() {
    }

    static void coffee(Sketch s, CoffeeFigure coffee, double width) {
        s.prose(coffee.facts(), 0, 12, width * 0.66);
        s.note(coffee.shots() == 1 ? "1 shot" : coffee.shots() + " shots", width, 12, Align.RIGHT);
        double middle = Math.round(width * 0.52);
        roast(s, coffee, middle - 24);
        double x = middle;
        x = number(s, coffee.density(), "g/L", "density", x, 44);
        moisture(s, coffee, x);
        if (coffee.notes().isEmpty()) {
            s.note("no notes expected yet", middle, 82, Align.LEFT);
        } else {
            s.italic(String.join(" · ", coffee.notes()), middle, 82, width - middle);
        }
    }

    private static void moisture(Sketch s, CoffeeFigure coffee, double x) {
        if (coffee.moisture().isPresent()) {
            Reported moisture = Reported.of(coffee.moisture().get());
            s.value(moisture.text(), x, 44, Align.LEFT);
            s.note("%", x + s.valueWidth(moisture.text()) + 4, 44, Align.LEFT);
            s.note("moisture", x, 58, Align.LEFT);
        } else {
            number(s, OptionalDouble.empty(), "%", "moisture", x, 44);
        }
    }

    /** Colour numbers on a scale from dark to light; filled for whole beans, a ring for the grounds. */
    private static void roast(Sketch s, CoffeeFigure coffee, double right) {
        double low = Math.min(COLOUR_LOW,
                Math.min(coffee.whole().orElse(COLOUR_LOW), coffee.ground().orElse(COLOUR_LOW)));
        double high = Math.max(COLOUR_HIGH,
                Math.max(coffee.whole().orElse(COLOUR_HIGH), coffee.ground().orElse(COLOUR_HIGH)));
        Sketch.Axis axis = new Sketch.Axis(low, high, 6, right);
        s.value(s.fittedValue(coffee.roast().isEmpty() ? "roast level unknown" : coffee.roast(), right), 0, 36,
                Align.LEFT);
        s.below(axis, 58, 5, "");
        String scale = coffee.scale().isEmpty() ? "colour number, scale not named" : coffee.scale();
        s.note(s.fittedNote(scale, right), 0, 88, Align.LEFT);
        colours(s, coffee, axis);
    }

    private static void colours(Sketch s, CoffeeFigure coffee, Sketch.Axis axis) {
        if (coffee.whole().isPresent()) {
            s.dot(axis.at(coffee.whole().getAsDouble()), 58, 4, "ink", 1);
            String whole = "whole " + DecimalText.exact(coffee.whole().getAsDouble());
            s.note(whole, Math.max(s.noteWidth(whole), axis.at(coffee.whole().getAsDouble()) - 6), 51, Align.RIGHT);
        }
        if (coffee.ground().isPresent()) {
            s.ring(axis.at(coffee.ground().getAsDouble()), 58, 4, "ink");
            s.note("ground " + DecimalText.exact(coffee.ground().getAsDouble()),
                    axis.at(coffee.ground().getAsDouble()) + 6, 51, Align.LEFT);
        }
    }

    private static double number(Sketch s, OptionalDouble number, String unit, String name, double x, double y) {
        String text = number.isPresent() ? DecimalText.exact(number.getAsDouble()) : "unknown";
        if (number.isPresent()) {
            s.value(text, x, y, Align.LEFT);
            s.note(unit, x + s.valueWidth(text) + 4, y, Align.LEFT);
        } else {
            s.note(text, x, y, Align.LEFT);
        }
        s.note(name, x, y + 14, Align.LEFT);
        return x + Math.max(96, s.noteWidth(name) + 24);
    }

    static void water(Sketch s, WaterFigure water, double width) {
        s.prose(water.minerals().isEmpty() ? "recipe unknown" : water.minerals(), 0, 12, width);
        bar(s, "Hardness", water.hardness(), 0, 34, width * 0.6);
        bar(s, "Alkalinity", water.alkalinity(), 0, 56, width * 0.6);
        s.note("mg/L as CaCO₃", width * 0.6, 76, Align.RIGHT);
        String blank = water.blank().isPresent() ? Reported.fixed(water.blank().getAsDouble(), 2) : "unknown";
        s.value(blank, width * 0.68, 40, Align.LEFT);
        s.note("% blank reading", width * 0.68 + s.valueWidth(blank) + 5, 40, Align.LEFT);
    }

    private static void bar(Sketch s, String name, OptionalDouble value, double x, double y, double width) {
        s.note(name, x, y + 6, Align.LEFT);
        Sketch.Axis axis = new Sketch.Axis(0, Math.max(200, value.orElse(0)), x + 70, x + width - 46);
        s.line(axis.from(), y + 2, axis.to(), y + 2, "rail", 1);
        if (value.isPresent()) {
            s.fill(axis.from(), y - 2, axis.at(value.getAsDouble()) - axis.from(), 8, "ink", 0.75);
            s.value(DecimalText.exact(value.getAsDouble()), x + width, y + 6, Align.RIGHT);
        } else {
            s.note("unknown", x + width, y + 6, Align.RIGHT);
        }
    }

    /** The range of brewing, the boiling point, and the settings in use. */
    static void site(Sketch s, SiteFigure site, double width) {
        if (site.heat().isEmpty()) {
            s.note("Altitude unknown: enter it to see where water boils.", 0, 14, Align.LEFT);
            return;
        }
        SiteHeat heat = site.heat().get();
        s.prose(String.format(Locale.ROOT, "%.0f m · %.1f kPa in the standard atmosphere",
                site.altitude().getAsDouble(), heat.airKilopascal()), 0, 12, width);
        Sketch.Axis axis = new Sketch.Axis(85, 101, 0, width);
        s.grain(axis.at(88), 46, axis.at(Math.min(96, heat.highestSet())) - axis.at(88), 12);
        s.below(axis, 58, 8, "");
        for (double fahrenheit = 190; fahrenheit <= 212; fahrenheit += 5) {
            double celsius = (fahrenheit - 32) * 5 / 9;
            s.line(axis.at(celsius), 74, axis.at(celsius), 78, "rail", 0.75);
            s.note(String.format(Locale.ROOT, "%.0f °F", fahrenheit), axis.at(celsius), 90, Align.CENTRE);
        }
        s.line(axis.at(heat.boilingCelsius()), 26, axis.at(heat.boilingCelsius()), 58, "brick", 1.4);
        s.value(String.format(Locale.ROOT, "boils at %.1f °C · %.1f °F", heat.boilingCelsius(),
                SiteHeat.fahrenheit(heat.boilingCelsius())),
                Math.min(width, axis.at(heat.boilingCelsius()) - 6), 36, Align.RIGHT);
        s.note(String.format(Locale.ROOT, "set at most %.1f °C · %.1f °F", heat.highestSet(),
                SiteHeat.fahrenheit(heat.highestSet())), 0, 36, Align.LEFT);
        site.set()
                .stream()
                .distinct()
                .forEach(celsius -> s.dot(axis.at(celsius), 52, 3, celsius > heat.highestSet() ? "brick" : "ink", 0.9));
    }

    /** A row an arm, a column a day, a dot a shot. */
    static void study(Sketch s, StudyFigure study, double width) {
        s.prose(study.question().isEmpty() ? "No question written down yet." : study.question(), 0, 12, width);
        double left = 150;
        double column = study.days().isEmpty() ? 0 : Math.min(150, (width - left) / study.days().size());
        for (int day = 0; day < study.days().size(); day++) {
            s.note(s.fittedNote(study.days().get(day), column - 6), left + day * column, 32, Align.LEFT);
        }
        double y = 50;
        for (Map.Entry<String, int[]> arm : study.arms().entrySet()) {
            s.note(s.fittedNote(arm.getKey(), left - 12), 0, y, Align.LEFT);
            for (int day = 0; day < arm.getValue().length; day++) {
                int fits = (int) Math.max(1, Math.floor((column - 30) / 8));
                for (int shot = 0; shot < Math.min(arm.getValue()[day], fits); shot++) {
                    s.dot(left + day * column + 4 + 8 * shot, y - 4, 3, "ink", 0.8);
                }
                if (arm.getValue()[day] > fits) {
                    s.note("+" + (arm.getValue()[day] - fits), left + day * column + 8 + 8 * fits, y, Align.LEFT);
                }
            }
            y += 20;
        }
        if (study.arms().isEmpty()) {
            s.note("No shot belongs to it yet: enter its name under Study in a shot's record.", 0, y, Align.LEFT);
        }
    }
}
