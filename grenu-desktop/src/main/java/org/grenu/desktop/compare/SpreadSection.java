package org.grenu.desktop.compare;

import java.util.Optional;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.compare.SpreadSources;

/** Where the spread comes from, and what would narrow the intervals. */
final class SpreadSection extends AnswerSection {

    SpreadSection(CompareViewModel model) {
        super("Where the spread comes from", model);
        setId("spread");
    }

    @Override
    void show(Comparison comparison) {
        clear();
        Optional<ResponseAnswer> main = comparison.answers().stream().findFirst();
        Optional<SpreadSources> sources = main.flatMap(ResponseAnswer::sources);
        setVisible(sources.isPresent());
        setManaged(sources.isPresent());
        if (sources.isEmpty()) {
            return;
        }
        ResponseAnswer answer = main.get();
        getChildren().add(prose(sources.get().words(answer.response().differenceUnit())));
        getChildren().add(remark(sources.get().gains(answer.rows().size())));
    }
}
