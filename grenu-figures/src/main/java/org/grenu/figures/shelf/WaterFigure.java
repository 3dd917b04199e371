package org.grenu.figures.shelf;

import java.util.OptionalDouble;

/**
 * A brewing water.
 *
 * @param minerals   its recipe in words
 * @param hardness   mg/L as CaCO₃
 * @param alkalinity mg/L as CaCO₃
 * @param blank      what it reads, %
 */
public record WaterFigure(String minerals, OptionalDouble hardness, OptionalDouble alkalinity, OptionalDouble blank)
        implements ShelfFigure {

    @Override
    public double height() {
        return 84;
    }

    @Override
    public String words() {
        return "Water: " + minerals;
    }
}
