package org.grenu.desktop.compare;

import java.util.Locale;
import java.util.stream.Collectors;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.model.FTest;
import org.grenu.core.quantity.Reported;
import org.grenu.core.response.MeasuredShot;

/** The model in words, its tests, and what was left out. */
final class ModelSection extends AnswerSection {

    ModelSection(CompareViewModel model) {
        super("About the model", model);
        setId("model");
    }

    @Override
    void show(Comparison comparison) {
        clear();
        comparison.answers().stream().findFirst().ifPresent(main -> {
            getChildren().add(prose(main.model()));
            showTests(main);
            main.lackOfFit()
                    .ifPresent(
                            test -> getChildren().add(remark("Lack of fit against replicates: " + words(test) + ".")));
            leftOut(main);
        });
        getChildren().add(remark(
                "It speaks of these shots, on this gear and this coffee. Unknown causes that moved with what changed "
                        + "cannot be seen."));
    }

    private void showTests(ResponseAnswer main) {
        String tests = main.tests()
                .stream()
                .filter(test -> test.test().isPresent())
                .map(test -> test.term().toLowerCase(Locale.ROOT) + " " + words(test.test().get()))
                .collect(Collectors.joining("; "));
        if (!tests.isEmpty()) {
            getChildren().add(remark("Type II tests: " + tests + "."));
        }
    }

    private void leftOut(ResponseAnswer main) {
        if (!main.leftOut().isEmpty()) {
            getChildren()
                    .add(remark("Left out, since something asked about is unknown or they were tasted in another form: "
                            + main.leftOut().stream().map(MeasuredShot::name).collect(Collectors.joining(", ")) + "."));
        }
    }

    private static String words(FTest test) {
        return String.format(Locale.ROOT, "F(%s, %s) = %s, p %s", Reported.fixed(test.df1(), 0),
                Reported.fixed(test.df2(), test.df2() == Math.rint(test.df2()) ? 0 : 1),
                Reported.fixed(test.f(), 2), EffectText.p(test.p()));
    }
}
