package org.grenu.desktop.plan;

import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.grenu.app.advice.Causes;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;

/**
 * Why the newest shot missed its time or extraction: the possible causes, the likeliest first, each with its cheapest
 * check.
 */
final class CausesSection extends Section {

    private static final int MOST = 4;

    private final DialInViewModel model;

    CausesSection(DialInViewModel model) {
        super("Why it missed");
        this.model = model;
        setId("causes");
        managedProperty().bind(visibleProperty());
        model.answeredProperty().addListener((o, was, is) -> show());
        show();
    }

    private void show() {
        getChildren().remove(1, getChildren().size());
        Optional<Causes> causes = Optional.ofNullable(model.answeredProperty().get())
                .flatMap(DialInAnswer::causes);
        setVisible(causes.isPresent());
        causes.ifPresent(found -> {
            remark().setText(
                    "shot " + found.shot() + (found.ofTime() ? ", time" : ", extraction") + "; of those listed");
            found.causes().stream().limit(MOST).forEach(cause -> getChildren().add(cause(cause)));
        });
    }

    private static VBox cause(Causes.Cause cause) {
        Label title = new Label(cause.percent() + "  " + cause.title());
        title.getStyleClass().add(Styles.STRONG);
        title.setWrapText(true);
        Label why = new Label(cause.why());
        why.getStyleClass().add(Styles.MUTED);
        why.setWrapText(true);
        return new VBox(1, title, why);
    }
}
