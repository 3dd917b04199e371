package org.grenu.figures.export;

import java.awt.Graphics2D;
import org.grenu.figures.paint.CurvePen;
import org.grenu.figures.theme.Theme;

/** A figure with the words that it needs away from the screen, of a given size. */
public interface Sheet {

    /** {@return its title} */
    String title();

    /** {@return its width, px} */
    double width();

    /** {@return its height, px} */
    double height();

    /** Paints the whole record, ground and all. */
    void paint(Graphics2D g, Theme theme, CurvePen pen);
}
