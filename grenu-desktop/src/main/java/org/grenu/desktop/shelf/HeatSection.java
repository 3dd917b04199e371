package org.grenu.desktop.shelf;

import java.util.Locale;
import java.util.OptionalDouble;
import javafx.scene.control.Label;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.SiteHeat;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Subscriptions;
import org.grenu.desktop.control.Styles;

/** What the site's altitude allows, in words. */
final class HeatSection extends Section {

    private final ShelfViewModel model;
    private final Label sentence = new Label();

    HeatSection(ShelfViewModel model) {
        super("Heat");
        this.model = model;
        sentence.setId("heat-sentence");
        sentence.setWrapText(true);
        Label caution = new Label(
                "Water hotter than that flashes to steam where it leaves the group: it spits and scalds.");
        caution.getStyleClass().addAll(Styles.MUTED, Styles.GUARD);
        caution.setWrapText(true);
        getChildren().addAll(sentence, caution);
        Subscriptions.whileShown(this, this::show, model.chosenProperty());
    }

    private void show() {
        OptionalDouble altitude = model.chosenProperty().get() == null ? OptionalDouble.empty()
                : model.chosenProperty().get().version().entries().number(ShelfField.ALTITUDE);
        if (altitude.isEmpty()) {
            sentence.setText("Enter the altitude to see where water boils.");
            return;
        }
        SiteHeat heat = SiteHeat.at(altitude.getAsDouble());
        sentence.setText(String.format(Locale.ROOT,
                "Water boils at %.2f °C (%.1f °F), so set at most %.1f °C (%.1f °F). Standard atmosphere: weather "
                        + "moves it by about ±0.5 °C.",
                heat.boilingCelsius(), SiteHeat.fahrenheit(heat.boilingCelsius()), heat.highestSet(),
                SiteHeat.fahrenheit(heat.highestSet())));
    }
}
