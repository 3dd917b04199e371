package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.grenu.core.model.Design;
import org.grenu.core.model.FTest;
import org.grenu.core.model.FixedFit;
import org.grenu.core.model.KnownErrors;
import org.grenu.core.model.Term;
import org.grenu.core.numbers.Samples;
import org.grenu.core.response.Characteristic;
import org.grenu.core.response.Variable;

/**
 * What was set or was so before the shot and moved along with what is asked about in part: taken out by the model, the
 * strongest first, while enough degrees of freedom are left.
 *
 * <p>What foretells the treatment is taken out, and so is what foretells the response where it moved along at all;
 * going
 * by one of the two alone would leave out what moved little and did much (A. Belloni, V. Chernozhukov, C. Hansen, Rev.
 * Econ. Stud. 81, 2014, 608–650).
 *
 * @param adjusted taken out, the strongest first
 * @param left     moved along too, and would need more shots
 */
record AdjustmentSet(List<Characteristic> adjusted, List<Characteristic> left) {

    static final AdjustmentSet NONE = new AdjustmentSet(List.of(), List.of());

    /** Degrees of freedom that stay (handbook §23). */
    private static final int LEAST_DF = 6;
    /** What moves along by chance alone as often as that is not looked at further. */
    private static final double CHANCE = 0.1;
    /** Where the order was drawn, moving along is chance unless it is as rare as that. */
    private static final double CHANCE_DRAWN = 0.01;
    /** Chance that any of what moved at all, by a share of that, foretells the response by chance alone. */
    private static final double FORETELLS = 0.05;
    private static final double MOVED_AT_ALL = 0.03;
    private static final double LEAST_SHARE = 0.1;

    AdjustmentSet {
        adjusted = List.copyOf(adjusted);
        left = List.copyOf(left);
    }

    private record Candidate(Characteristic what, CharacteristicColumn column, double share) {
    }

    /** {@return what is to be taken out of that model} */
    static AdjustmentSet of(Question question, ResponseModel model, Circumstances circumstances) {
        if (!model.judges()) {
            return NONE;
        }
        List<double[]> asked = Contrast.of(question, model)
                .stream()
                .filter(contrast -> !(contrast.variable() instanceof Variable.Covariate))
                .map(contrast -> contrast.asked(model.shots()))
                .toList();
        List<Candidate> candidates = new ArrayList<>();
        for (Characteristic one : circumstances.adjustable(model)) {
            CharacteristicColumn.of(one, model.shots())
                    .ifPresent(column -> candidates.add(new Candidate(one, column, strongest(column, asked))));
        }
        candidates.removeIf(one -> one.share < MOVED_AT_ALL);
        double foretells = FORETELLS / Math.max(1, candidates.size());
        candidates.removeIf(one -> !movedAlong(one, asked, model, circumstances, foretells));
        candidates.sort(Comparator.comparingDouble(Candidate::share).reversed());
        return chosen(candidates, asked, model);
    }

    private static double strongest(CharacteristicColumn column, List<double[]> asked) {
        double most = 0;
        for (double[] one : asked) {
            int[] rows = column.rows(one);
            double share = rows.length == 0 ? 0 : column.share(one, rows);
            most = Math.max(most, Double.isNaN(share) ? 0 : share);
        }
        return most;
    }

    private static boolean movedAlong(Candidate one, List<double[]> asked, ResponseModel model,
            Circumstances circumstances, double foretells) {
        boolean beyondChance = false;
        for (double[] contrast : asked) {
            int[] rows = one.column.rows(contrast);
            double share = rows.length == 0 ? Double.NaN : one.column.share(contrast, rows);
            boolean within = one.column.numeric() && one.what.tolerance() > 0
                    && Math.abs(one.column.shift(contrast, rows)) <= one.what.tolerance();
            beyondChance |= share >= LEAST_SHARE && !within
                    && one.column.p(share, rows) < (circumstances.drawn() ? CHANCE_DRAWN : CHANCE);
        }
        return beyondChance || !circumstances.drawn() && foretells(one, model, foretells);
    }

    private static boolean foretells(Candidate one, ResponseModel model, double level) {
        if (!one.column.knownThroughout()) {
            return false;
        }
        Term term = term(one, model);
        List<Term> terms = new ArrayList<>(model.fit().design().terms());
        terms.add(term);
        FixedFit fit = FixedFit.of(new Design(model.shots().size(), terms), model.y(), model.weights());
        return fit.residualDf() >= 1 && fit.typeTwo(term).map(FTest::p).filter(p -> p < level).isPresent();
    }

    private static Term term(Candidate one, ResponseModel model) {
        return ResponseModel.term(one.what.variable(), model.shots()).orElseThrow();
    }

    private static AdjustmentSet chosen(List<Candidate> candidates, List<double[]> asked, ResponseModel model) {
        List<Characteristic> adjusted = new ArrayList<>();
        Set<Characteristic> left = new LinkedHashSet<>();
        List<Term> terms = new ArrayList<>(model.fit().design().terms());
        List<Term> taken = new ArrayList<>();
        for (Candidate one : candidates) {
            if (asked.stream().anyMatch(contrast -> takesThePlace(one, contrast))) {
                continue;
            }
            if (!one.column.knownThroughout()) {
                left.add(one.what);
                continue;
            }
            Term term = term(one, model);
            List<Term> wider = new ArrayList<>(terms);
            wider.add(term);
            int before = rank(terms, model);
            int after = rank(wider, model);
            if (after == before) {
                continue;
            }
            List<Term> both = new ArrayList<>(taken);
            both.add(term);
            boolean room = model.shots().size() - after >= LEAST_DF;
            if (room && asked.stream().allMatch(contrast -> joint(both, contrast) < ConfounderCheck.ALMOST)) {
                adjusted.add(one.what);
                terms = wider;
                taken = both;
            } else {
                left.add(one.what);
            }
        }
        return new AdjustmentSet(adjusted, List.copyOf(left));
    }

    private static boolean takesThePlace(Candidate one, double[] contrast) {
        int[] rows = one.column.rows(contrast);
        return one.share >= ConfounderCheck.ALMOST
                || rows.length > 0 && ConfounderCheck.takesThePlace(one.what, one.column, contrast, rows);
    }

    private static int rank(List<Term> terms, ResponseModel model) {
        int rows = model.shots().size();
        return rows - FixedFit.of(new Design(rows, terms), model.y(), KnownErrors.ones(rows)).residualDf();
    }

    /** Share of the asked change that those terms foretell together. */
    private static double joint(List<Term> terms, double[] asked) {
        double[] y = asked.clone();
        double sum = 0;
        int known = 0;
        for (double v : y) {
            sum += Double.isNaN(v) ? 0 : v;
            known += Double.isNaN(v) ? 0 : 1;
        }
        double mean = sum / known;
        double squares = 0;
        for (int i = 0; i < y.length; i++) {
            // Rows of other levels stand in the middle: they foretell nothing of this pair.
            y[i] = Double.isNaN(y[i]) ? mean : y[i];
            squares += (y[i] - mean) * (y[i] - mean);
        }
        FixedFit fit = FixedFit.of(new Design(y.length, terms), Samples.of(y), KnownErrors.ones(y.length));
        return squares > 0 ? 1 - fit.rss() / squares : 0;
    }
}
