package org.grenu.figures.export;

import java.util.Locale;
import java.util.Optional;

/** The kinds of file a figure can be saved as. */
public enum FigureFormat {
    PNG, SVG, PDF;

    /** {@return the file ending, without the dot} */
    public String ending() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** {@return the format that the file name asks for} */
    public static Optional<FigureFormat> ofFileName(String name) {
        for (FigureFormat format : values()) {
            if (name.toLowerCase(Locale.ROOT).endsWith("." + format.ending())) {
                return Optional.of(format);
            }
        }
        return Optional.empty();
    }
}
