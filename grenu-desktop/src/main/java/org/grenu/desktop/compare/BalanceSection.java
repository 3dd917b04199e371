package org.grenu.desktop.compare;

import java.util.List;
import java.util.Locale;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.BalanceNote;
import org.grenu.desktop.control.Styles;

/** What else differed: what matters first, loudly; what was the same last, quietly. */
final class BalanceSection extends AnswerSection {

    BalanceSection(CompareViewModel model) {
        super("What else differed", model);
        setId("guard");
    }

    @Override
    void show(Comparison comparison) {
        clear();
        List<BalanceNote> notes = comparison.balance();
        long loud = notes.stream().filter(BalanceSection::loud).count();
        remark().setText(loud == 0 ? "nothing that stands out" : "");
        notes.forEach(note -> getChildren().add(loud(note) ? loudly(note) : quietly(note)));
    }

    private static boolean loud(BalanceNote note) {
        return note.kind() == BalanceNote.Kind.CONFOUNDED || note.kind() == BalanceNote.Kind.CHANGED
                || note.kind() == BalanceNote.Kind.HALF_KNOWN;
    }

    private static Node loudly(BalanceNote note) {
        Label title = prose(note.title());
        title.getStyleClass().add(Styles.STRONG);
        Label words = prose(upper(note.words()) + ".");
        VBox box = new VBox(1, title, words);
        note.sensitivity().ifPresent(sensitivity -> box.getChildren().add(remark(sensitivity.words())));
        box.getStyleClass()
                .add(note.kind() == BalanceNote.Kind.CONFOUNDED
                        || note.sensitivity().filter(s -> !s.stands()).isPresent()
                                ? Styles.GUARD : Styles.GUARD_QUIET);
        return box;
    }

    private static Node quietly(BalanceNote note) {
        Label words = prose(note.title() + ": " + note.words());
        words.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        return words;
    }

    private static String upper(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
