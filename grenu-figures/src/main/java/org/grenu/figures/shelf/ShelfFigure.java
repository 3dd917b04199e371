package org.grenu.figures.shelf;

/** What is drawn of a thing on the shelf. */
public sealed interface ShelfFigure
        permits CoffeeFigure, BagFigure, GrinderFigure, BasketFigure, MachineFigure, ScaleFigure, RefractometerFigure,
        WaterFigure, SiteFigure, RecipeFigure, StudyFigure {

    /** {@return the height it needs, px} */
    double height();

    /** {@return what it shows, in words, for who cannot see it} */
    String words();
}
