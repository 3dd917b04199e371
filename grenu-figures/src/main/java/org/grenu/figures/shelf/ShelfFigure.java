package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import org.grenu.figures.theme.Theme;

/** What is drawn of a thing on the shelf. */
public interface ShelfFigure {

    /** {@return the height it needs, px} */
    double height();

    /** {@return what it shows, in words, for who cannot see it} */
    String words();

    /** Paints it into that width and the height it asks for; the ground is left to the caller. */
    void paint(Graphics2D g, Theme theme, double width);
}
