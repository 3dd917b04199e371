package org.grenu.desktop.compare;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import org.grenu.desktop.control.Hint;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Doubt;
import org.grenu.desktop.control.Styles;

/** The answer in words, to read and to copy. */
final class SentenceSection extends AnswerSection {

    private final Button copy = new Button("Copy sentence");

    SentenceSection(CompareViewModel model) {
        super("In one sentence", model);
        getStyleClass().add(Styles.FIRST);
        remark().setText("± 95 %");
        copy.setId("copy-sentence");
        copy.getStyleClass().add(Styles.ACTION);
        Hint.on(copy, "Copy the answer with its basis and intervals");
    }

    @Override
    void show(Comparison comparison) {
        clear();
        Label headline = prose(comparison.sentence().headline());
        headline.setId("answer");
        headline.getStyleClass().add(Styles.ANSWER);
        getChildren().add(headline);
        comparison.sentence().doubts().forEach(doubt -> getChildren().add(shown(doubt)));
        comparison.sentence().further().forEach(words -> getChildren().add(prose(words)));
        copy.setOnAction(event -> copy(comparison));
        copy.setText("Copy sentence");
        getChildren().add(copy);
    }

    private Label shown(Doubt doubt) {
        Label words = prose(doubt.words());
        words.getStyleClass().add(doubt.reassuring() ? Styles.STRONG : Styles.GUARD);
        return words;
    }

    private void copy(Comparison comparison) {
        ClipboardContent content = new ClipboardContent();
        content.putString(comparison.sentence().text());
        Clipboard.getSystemClipboard().setContent(content);
        copy.setText("Copied");
    }
}
