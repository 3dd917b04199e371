package org.grenu.desktop.control;

import javafx.scene.paint.Color;

/** The figures' colours as the toolkit's. */
public final class FxColor {

    private FxColor() {
    }

    /** {@return the same colour} */
    public static Color of(java.awt.Color color) {
        return Color.rgb(color.getRed(), color.getGreen(), color.getBlue(), color.getAlpha() / 255.0);
    }

    /** {@return the same colour, more or less see-through} */
    public static Color of(java.awt.Color color, double opacity) {
        return Color.rgb(color.getRed(), color.getGreen(), color.getBlue(), opacity);
    }
}
