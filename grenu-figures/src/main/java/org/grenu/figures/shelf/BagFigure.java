package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.grenu.core.diagnosis.RestWindow;
import org.grenu.core.shelf.BagEvent;
import org.grenu.core.shelf.BagLife;
import org.grenu.core.shelf.BagStock;
import org.grenu.figures.theme.Theme;

/**
 * A bag's life.
 *
 * @param life  what happened to it
 * @param stock what is left
 * @param rest  days of rest that the chosen school asks for
 * @param shots days on which shots were pulled from it, one entry a shot
 * @param today the day it is
 * @param age   days since roast without those frozen, today or when it was used up; empty when unknown
 */
public record BagFigure(BagLife life, BagStock stock, Optional<RestWindow> rest, List<LocalDate> shots, LocalDate today,
        OptionalLong age) implements ShelfFigure {

    public BagFigure {
        shots = List.copyOf(shots);
    }

    static BagFigure of(Standing bag) {
        BagLife life = BagLife.of(bag.entries());
        List<LocalDate> days = bag.used()
                .stream()
                .flatMap(record -> record.pulledAt().stream())
                .map(LocalDateTime::toLocalDate)
                .sorted()
                .toList();
        LocalDate end = life.first(BagEvent.Kind.USED_UP).orElse(bag.today());
        return new BagFigure(life, BagStock.of(bag.entries(), bag.used()), bag.rest(), days, bag.today(),
                life.ageDays(end));
    }

    @Override
    public double height() {
        return life.contradictions().isEmpty() ? 146 : 166;
    }

    @Override
    public String words() {
        String left = stock.left().isPresent() ? Math.round(stock.left().getAsDouble()) + " g left"
                : "what is left is unknown";
        return (age.isPresent() ? age.getAsLong() + " days since roast" : "roast date unknown") + ", " + left + ", "
                + shots.size() + " shots";
    }

    @Override
    public void paint(Graphics2D g, Theme theme, double width) {
        new BagPicture(new Sketch(g, theme), this, width).paint();
    }
}
