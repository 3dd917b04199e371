package org.grenu.figures.theme;

import java.awt.Color;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.Properties;
import java.util.TreeMap;

/**
 * Colours by role.
 *
 * @param dark   whether the ground is dark
 * @param colors by role, such as {@code ink} or {@code seam-3}
 */
public record Theme(boolean dark, Map<String, Color> colors) {

    /** On a light ground. */
    public static final Theme LIGHT = load("light");
    /** On a dark ground. */
    public static final Theme DARK = load("dark");

    public Theme {
        colors = Map.copyOf(colors);
    }

    /**
     * {@return the colour of that role}
     *
     * @throws IllegalArgumentException if there is no such role
     */
    public Color color(String role) {
        Color color = colors.get(role);
        if (color == null) {
            throw new IllegalArgumentException(
                    "No colour role “" + role + "”; known: " + new TreeMap<>(colors).keySet());
        }
        return color;
    }

    /** {@return the colour of that role, more or less see-through; opacity in [0, 1]} */
    public Color color(String role, double opacity) {
        return withOpacity(color(role), opacity);
    }

    /** {@return the colour, more or less see-through; opacity in [0, 1]} */
    public static Color withOpacity(Color color, double opacity) {
        return new Color(color.getRed(), color.getGreen(), color.getBlue(), (int) Math.round(255 * opacity));
    }

    private static Theme load(String name) {
        Properties tokens = new Properties();
        try (InputStream in = Theme.class.getResourceAsStream("/org/grenu/figures/theme/" + name + ".properties")) {
            tokens.load(in);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
        Map<String, Color> colors = new TreeMap<>();
        boolean dark = Boolean.parseBoolean((String) tokens.remove("dark"));
        tokens.forEach((role, hex) -> colors.put((String) role, Color.decode((String) hex)));
        return new Theme(dark, colors);
    }
}
