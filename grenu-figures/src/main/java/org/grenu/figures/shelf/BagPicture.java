package org.grenu.figures.shelf;

import java.awt.geom.Rectangle2D;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.grenu.core.diagnosis.RestWindow;
import org.grenu.core.shelf.BagEvent;
import org.grenu.core.shelf.BagLife;
import org.grenu.core.shelf.BagStock;
import org.grenu.figures.paint.Words.Align;

/** A bag's life along the days, with the rest window that freezing puts off, and what is left of it. */
final class BagPicture {

    private static final String[] PARTS = {"doses", "purges", "waste", "portioned out", "left"};
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
    private static final double RAIL = 50;
    private static final int MOST_DOTS = 9;

    private final Sketch s;
    private final BagFigure bag;
    private final double width;
    private final LocalDate first;
    private final Sketch.Axis days;

    BagPicture(Sketch s, BagFigure bag, double width) {
        this.s = s;
        this.bag = bag;
        this.width = width;
        List<BagEvent> events = bag.life().events();
        LocalDate from = events.isEmpty() ? bag.shots().stream().findFirst().orElse(bag.today()) : events.get(0).day();
        first = bag.shots().stream().filter(day -> day.isBefore(from)).findFirst().orElse(from);
        days = new Sketch.Axis(0, Math.max(14, ChronoUnit.DAYS.between(first, last())), 0, width - 150);
    }

    /** A bag that lay still for long is drawn up to a month after the last that happened to it. */
    private LocalDate last() {
        LocalDate latest = first;
        for (BagEvent event : bag.life().events()) {
            latest = event.day().isAfter(latest) ? event.day() : latest;
        }
        for (LocalDate day : bag.shots()) {
            latest = day.isAfter(latest) ? day : latest;
        }
        latest = latest.plusDays(10);
        return bag.today().isAfter(latest) && bag.today().isBefore(latest.plusDays(30)) ? bag.today().plusDays(1)
                : latest;
    }

    private double x(LocalDate day) {
        return days.at(ChronoUnit.DAYS.between(first, day));
    }

    void paint() {
        rest();
        s.line(0, RAIL, days.to(), RAIL, "ink", 0.9);
        frozen();
        shots();
        events();
        today();
        age();
        stock();
        contradictions();
    }

    private void frozen() {
        for (BagLife.Frozen span : bag.life().frozen()) {
            double to = x(span.to().orElse(first.plusDays((long) days.high())));
            s.fill(x(span.from()), RAIL - 5, to - x(span.from()), 10, "slate", 0.22);
            s.note("frozen", Math.max((x(span.from()) + to) / 2, 18), RAIL - 9, Align.CENTRE);
        }
    }

    private void contradictions() {
        List<String> wrong = bag.life().contradictions();
        if (!wrong.isEmpty()) {
            s.warn(wrong.get(0), 0, 160, Align.LEFT);
        }
    }

    /** Days in the freezer do not count, so the window is where the age lies within it. */
    private void rest() {
        if (bag.life().first(BagEvent.Kind.ROASTED).isEmpty()) {
            return;
        }
        if (bag.rest().isEmpty()) {
            s.note("rest window: no school chosen", 0, 12, Align.LEFT);
            return;
        }
        RestWindow window = bag.rest().get();
        LocalDate open = null;
        for (long day = 0; day <= days.high() + 1; day++) {
            LocalDate date = first.plusDays(day);
            boolean rested = day <= days.high() && !bag.life().frozenOn(date) && bag.life().ageDays(date).isPresent()
                    && bag.life().ageDays(date).getAsLong() >= window.from().orElse(0)
                    && bag.life().ageDays(date).getAsLong() <= window.to().orElse(1e9);
            if (rested && open == null) {
                open = date;
            } else if (!rested && open != null) {
                s.grain(x(open), RAIL - 14, Math.min(x(date), days.to()) - x(open), 28);
                open = null;
            }
        }
        s.note(s.fittedNote("grain: " + window.school(), width - 160), 0, 12, Align.LEFT);
    }

    private void shots() {
        Map<LocalDate, Integer> perDay = new TreeMap<>();
        bag.shots().forEach(day -> perDay.merge(day, 1, Integer::sum));
        perDay.forEach((day, count) -> {
            for (int i = 0; i < Math.min(count, MOST_DOTS); i++) {
                s.dot(x(day), RAIL + 8 + 4.2 * i, 1.8, "ink", 0.75);
            }
        });
        explainDots(perDay);
    }

    private void explainDots(Map<LocalDate, Integer> perDay) {
        String dots = perDay.values().stream().anyMatch(count -> count > MOST_DOTS)
                ? "a dot a shot, " + MOST_DOTS + " at most" : "a dot a shot";
        perDay.keySet()
                .stream()
                .findFirst()
                .filter(day -> x(day) > s.noteWidth(dots) + 8)
                .ifPresent(day -> s.note(dots, x(day) - 8 - s.noteWidth(dots), RAIL + 26, Align.LEFT));
    }

    private void events() {
        double free = -1e9;
        for (BagEvent event : bag.life().events()) {
            double x = x(event.day());
            s.line(x, RAIL - 7, x, RAIL + 5, "ink", 1.4);
            String words = event.kind().title() + " " + event.day().format(DAY);
            boolean fits = x - 2 > free;
            if (fits && event.kind() != BagEvent.Kind.FROZEN && event.kind() != BagEvent.Kind.THAWED) {
                s.note(words, Math.max(0, x - 2), 30, Align.LEFT);
                free = x + s.noteWidth(words) + 6;
            }
        }
    }

    private void today() {
        double x = x(bag.today());
        if (x >= 0 && x <= days.to()) {
            s.line(x, 22, x, RAIL + 24, "accent", 1.2);
            s.accent("today", Math.max(x, 16), RAIL + 36, Align.CENTRE);
        }
    }

    private void age() {
        double x = width - 126;
        if (bag.age().isPresent()) {
            knownAge(x);
        } else {
            s.warn("roast date unknown", x, 22, Align.LEFT);
            s.note("its age is not zero days", x, 36, Align.LEFT);
        }
    }

    private void knownAge(double x) {
        String age = Long.toString(bag.age().getAsLong());
        s.large(age, x, 24);
        s.note(bag.age().getAsLong() == 1 ? "day since roast" : "days since roast", x + s.largeWidth(age) + 5, 24,
                Align.LEFT);
        boolean used = bag.life().first(BagEvent.Kind.USED_UP).isPresent();
        boolean frozen = bag.life().frozenOn(bag.today());
        s.note(used ? "when it was used up" : frozen ? "frozen: the clock stands"
                : bag.life().frozen().isEmpty() ? "" : "days frozen not counted", x, 38, Align.LEFT);
    }

    /** What became of the net mass, from left to right, and at the right what is still there. */
    private void stock() {
        BagStock stock = bag.stock();
        double y = 112;
        if (stock.net().isEmpty()) {
            s.note("net mass unknown · " + grams(stock.gone()) + " taken out so far", 0, y + 8, Align.LEFT);
            return;
        }
        double net = stock.net().getAsDouble();
        Sketch.Axis mass = new Sketch.Axis(0, Math.max(net, stock.gone()), 0, days.to());
        double[] parts = {stock.doses(), stock.purges(), stock.waste(), stock.portioned(),
                Math.max(0, net - stock.gone())};
        double x = 0;
        for (int i = 0; i < parts.length; i++) {
            double to = x + mass.at(parts[i]);
            if (i == parts.length - 1) {
                dosesLeft(stock, mass, x, y);
            } else {
                s.fill(x, y - 4, to - x - (to - x > 1.5 ? 1 : 0), 8, "budget-" + (i + 1), 1);
            }
            x = to;
        }
        legend(parts, y);
        s.outline(new Rectangle2D.Double(0, y - 4, mass.at(net), 8), "ink", 0.9);
        left(stock, width - 126, y);
    }

    private void legend(double[] parts, double y) {
        double word = 0;
        double line = y;
        for (int i = 0; i < parts.length; i++) {
            if (!(parts[i] > 0)) {
                continue;
            }
            String words = PARTS[i] + " " + grams(parts[i]);
            double wide = 24 + s.noteWidth(words);
            if (word > 0 && word + wide - 12 > days.to()) {
                word = 0;
                line += 14;
            }
            Rectangle2D key = new Rectangle2D.Double(word + 0.5, line + 10.5, 6, 6);
            if (i == parts.length - 1) {
                s.outline(key, "ink", 0.9);
            } else {
                s.fill(key, "budget-" + (i + 1), 1);
            }
            s.note(words, word + 11, line + 17, Align.LEFT);
            word += wide;
        }
    }

    /** What is left is empty cells, one a dose. */
    private void dosesLeft(BagStock stock, Sketch.Axis mass, double from, double y) {
        double cell = mass.at(stock.usualDose().orElse(0));
        for (int i = 1; cell > 3 && i <= stock.dosesLeft().orElse(0); i++) {
            s.line(from + i * cell, y - 4, from + i * cell, y + 4, "muted", 0.75);
        }
    }

    private void left(BagStock stock, double x, double y) {
        if (stock.overdrawn()) {
            s.warn("more taken out than was in it", x, y - 8, Align.LEFT);
            s.note("check net mass and doses", x, y + 6, Align.LEFT);
            return;
        }
        String left = String.format(Locale.ROOT, "%.0f", stock.left().getAsDouble());
        s.large(left, x, y);
        s.note("g left", x + s.largeWidth(left) + 5, y, Align.LEFT);
        String doses = stock.dosesLeft().isPresent() ? stock.dosesLeft().getAsInt() + " doses of "
                + String.format(Locale.ROOT, "%.1f g", stock.usualDose().getAsDouble()) : "";
        s.note(stock.withoutDose() > 0 ? stock.withoutDose() + " shots without a dose" : doses, x, y + 14, Align.LEFT);
    }

    private static String grams(double mass) {
        return String.format(Locale.ROOT, "%.0f g", mass);
    }
}
