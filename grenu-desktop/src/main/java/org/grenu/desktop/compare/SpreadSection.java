package org.grenu.desktop.compare;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.ResponseAnswer;
import org.grenu.core.compare.SpreadSources;
import org.grenu.core.compare.Wording;

/** Where the spread comes from, and what would narrow the intervals. */
final class SpreadSection extends AnswerSection {

    private static final int MORE = 4;

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
        String unit = main.get().response().differenceUnit();
        getChildren().add(prose(sources.get()
                .byName()
                .entrySet()
                .stream()
                .map(e -> e.getKey() + " " + Wording.digits(Math.sqrt(e.getValue())))
                .collect(Collectors.joining(", ")) + " " + unit + " (standard deviations)."));
        int shots = main.get().rows().size();
        double byShots = SpreadSources.gainOfShots(shots, MORE);
        double byReading = sources.get().gainOfAReading();
        getChildren().add(remark(String.format(Locale.ROOT,
                "%sfour more shots like these narrow the intervals by %.0f %%.",
                byReading > 0 ? String.format(Locale.ROOT,
                        "Another strength reading of every shot narrows the intervals by %.0f %%, ", 100 * byReading)
                        : "",
                100 * byShots)));
    }
}
