package org.grenu.core.model;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.grenu.core.numbers.Samples;

/** Whether a model bends where the data do: its misfit held against the spread of replicates. */
public final class LackOfFit {

    private LackOfFit() {
    }

    /**
     * {@return the test; empty when no row is repeated, or none is left over for the model to miss} Rows are
     * replicates when
     * the model sees no difference between them.
     */
    public static Optional<FTest> of(FixedFit fit, Samples y, Samples weights) {
        List<String> cells = Arrays.stream(fit.design().matrix()).map(Arrays::toString).toList();
        Term.Levels cell = Term.Levels.of("replicates", cells);
        if (cell.levels().size() < 2 || cell.levels().size() == y.size()) {
            return Optional.empty();
        }
        FixedFit free = FixedFit.of(new Design(y.size(), List.of(cell)), y, weights);
        int df = fit.residualDf() - free.residualDf();
        double pure = free.rss() / free.residualDf();
        return df < 1 || !(pure > 0) ? Optional.empty()
                : Optional.of(new FTest(Math.max(0, fit.rss() - free.rss()) / df / pure, df, free.residualDf()));
    }
}
