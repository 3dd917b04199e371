package org.grenu.desktop.compare;

import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.NextShots;
import org.grenu.desktop.control.Styles;

/** What to pull next so that an open question is settled. */
final class NextShotsSection extends AnswerSection {

    NextShotsSection(CompareViewModel model) {
        super("Next", model);
        getStyleClass().add(Styles.NEXT);
        setId("next-shots");
    }

    @Override
    void show(Comparison comparison) {
        clear();
        NextShots next = NextShots.after(comparison);
        getChildren().add(prose(next.advice()));
        next.how().ifPresent(how -> getChildren().add(remark(how)));
    }
}
