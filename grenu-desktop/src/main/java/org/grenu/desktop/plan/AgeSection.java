package org.grenu.desktop.plan;

import java.util.Optional;
import javafx.scene.control.Label;
import org.grenu.app.advice.CoffeeAdvice;
import org.grenu.core.learn.AgeTrend;
import org.grenu.core.quantity.Reported;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.figures.shelf.BagFigure;

/** What the coffee's age does: after how many days a notch makes up for it, and when the bag leaves its window. */
final class AgeSection extends Section {

    private final DialInViewModel model;
    private final Label notch = new Label();
    private final Label bag = new Label();

    AgeSection(DialInViewModel model) {
        super("Ageing");
        this.model = model;
        notch.setId("age-notch");
        notch.setWrapText(true);
        bag.setId("age-bag");
        bag.setWrapText(true);
        bag.getStyleClass().add(Styles.MUTED);
        getChildren().addAll(notch, bag);
        managedProperty().bind(visibleProperty());
        model.answeredProperty().addListener((o, was, is) -> show());
        show();
    }

    private void show() {
        DialInAnswer answer = model.answeredProperty().get();
        Optional<CoffeeAdvice> given = answer == null ? Optional.empty() : answer.given();
        setVisible(given.isPresent());
        given.ifPresent(advice -> {
            AgeTrend.NotchEvery every = AgeTrend.NotchEvery.of(advice.advice().beliefs().time());
            notch.setText(every.sure() ? "One notch finer per about " + Reported.fixed(every.days(), 0) + " days ±"
                    + Reported.fixed(every.within(), 0) + " keeps the time."
                    : "What a day does to the time cannot be said yet: pull the same setting again some days later.");
            bag.setText(answer.bag().map(AgeSection::window).orElse(""));
        });
    }

    private static String window(BagFigure bag) {
        if (bag.rest().isEmpty() || bag.age().isEmpty() || bag.rest().get().to().isEmpty()) {
            return bag.rest().isEmpty() ? "No school of rest is chosen: when the bag is too old nobody says." : "";
        }
        long left = Math.round(bag.rest().get().to().getAsDouble()) - bag.age().getAsLong();
        long before = Math.round(bag.rest().get().from().orElse(0));
        return left < 0 ? "The bag left its window " + -left + " days ago (" + bag.rest().get().school() + ")."
                : "The bag leaves its window in " + left + " days (" + bag.rest().get().school()
                        + "); one roasted by " + bag.today().plusDays(left - before) + " is rested by then.";
    }
}
