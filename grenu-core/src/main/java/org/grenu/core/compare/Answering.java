package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.grenu.core.model.DeletedResiduals;
import org.grenu.core.model.Estimate;
import org.grenu.core.model.FTest;
import org.grenu.core.model.FixedFit;
import org.grenu.core.model.KnownErrors;
import org.grenu.core.model.LackOfFit;
import org.grenu.core.model.ModelFit;
import org.grenu.core.model.Term;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.MatchedBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;

/** Turns a fitted response into its answer. */
final class Answering {

    private static final int MOST_LEVELS = 12;
    private static final double LEAST_SLOPE = 1e-9;

    private Answering() {
    }

    static ResponseAnswer answer(Question question, Response response, List<MeasuredShot> all, MatchedBasis ground,
            CarryOver carryOver) {
        List<MeasuredShot> shots = TastingForm.of(question, response, all).alike();
        Corrections first = carriedOver(question, response, shots, ground, carryOver);
        ResponseModel plain = ResponseModel.of(question, response, shots, ground, first);
        if (plain.fit() == null) {
            return untold(question, response, all.stream().filter(shot -> !plain.shots().contains(shot)).toList());
        }
        Circumstances circumstances = new Circumstances(question, shots, ground);
        AdjustmentSet adjustment = AdjustmentSet.of(question, plain, circumstances);
        Corrections corrections = first.and(
                adjustment.adjusted().stream().map(one -> Adjuster.free(one.variable())).toList());
        ResponseModel model = adjustment.adjusted().isEmpty() ? plain
                : ResponseModel.of(question, response, plain.shots(), ground, corrections);
        List<MeasuredShot> leftOut = all.stream().filter(shot -> !model.shots().contains(shot)).toList();
        List<Effect> effects = Mediation.judged(question, model, new EffectFinder(question, model).effects());
        ConfounderCheck.Judged judged = new ConfounderCheck(question, model, circumstances)
                .judged(new PathCheck(question, model, circumstances, ground, corrections).told(effects));
        Effect.Seen seen = !StandardResponse.isTasted(response) ? Effect.Seen.MEASURED
                : TastingForm.blind(model.shots()) ? Effect.Seen.TASTED_BLIND : Effect.Seen.TASTED_OPEN;
        return new ResponseAnswer(response, question.margin(response),
                new ResponseAnswer.Found(judged.effects().stream().map(effect -> effect.seen(seen)).toList(),
                        model.together(), judged.confounders(),
                        adjustment.adjusted(), adjustment.left()),
                fitted(question, model, ground, adjustment,
                        lackOfFit(ResponseModel.of(question, response, model.shots(), ground))),
                rows(model), leftOut);
    }

    /**
     * Grounds of the setting before count with the grind they were ground at; how far their share is off is left to
     * the data, within what is known of it. How much a setting does is found by turns, as the share needs it.
     */
    private static Corrections carriedOver(Question question, Response response, List<MeasuredShot> shots,
            MatchedBasis ground, CarryOver carryOver) {
        Corrections none = new Corrections(List.of(), carryOver);
        Optional<Variable> grind = question.variables()
                .stream()
                .filter(variable -> variable.key().equals(RecordFactor.GRIND.key()))
                .findFirst();
        if (carryOver.none() || grind.isEmpty() || !shots.stream().allMatch(grind.get()::known)) {
            return none;
        }
        // What the settings themselves cannot tell apart is not told apart by an assumed share of old grounds.
        ResponseModel asSet = ResponseModel.of(question, response, shots, ground, Corrections.NONE);
        if (asSet.fit() == null || !Contrast.of(question, asSet)
                .stream()
                .allMatch(contrast -> asSet.fit().estimable(contrast.weights()))) {
            return Corrections.NONE;
        }
        boolean line = grind.get().numeric();
        Variable asNumber = line ? grind.get() : Variable.of(RecordFactor.GRIND);
        Question asked = line ? question : Question.of(List.of(asNumber), List.of(response)).inBlocks(question.block());
        double slope = slope(ResponseModel.of(asked, response, shots, ground, none), asNumber);
        return none.and(List.of(new Adjuster(carryOver.change(shots), Optional.of(new Adjuster.Slope(
                line ? 0 : slope * carryOver.share(),
                Math.max(Math.abs(slope) * carryOver.deviation(), LEAST_SLOPE))))));
    }

    private static double slope(ResponseModel model, Variable grind) {
        return model.terms().get(grind) instanceof Term.Numeric numeric
                ? model.fit().estimate(model.fit().design().slope(numeric)).map(Estimate::value).orElse(0.0) : 0;
    }

    private static ResponseAnswer untold(Question question, Response response, List<MeasuredShot> leftOut) {
        return new ResponseAnswer(response, question.margin(response), ResponseAnswer.Found.NOTHING,
                ResponseAnswer.Fitted
                        .none("No shot tells of " + response.title() + " and of all that is asked about."),
                List.of(), leftOut);
    }

    private static ResponseAnswer.Fitted fitted(Question question, ResponseModel model, MatchedBasis ground,
            AdjustmentSet adjustment, Optional<FTest> lackOfFit) {
        return new ResponseAnswer.Fitted(model.fit().residualDf(),
                model.judges() ? model.fit().deviation() : Double.NaN, tests(model.fit()), lackOfFit,
                means(model),
                SpreadSources.of(model), words(question, model, ground, adjustment));
    }

    private static List<TermTest> tests(ModelFit fit) {
        return fit.design().terms().stream().map(term -> new TermTest(term.name(), fit.typeTwo(term))).toList();
    }

    /** Against replicates, which are shots of the same settings, whatever else is taken out. */
    private static Optional<FTest> lackOfFit(ResponseModel model) {
        if (!model.judges()) {
            return Optional.empty();
        }
        FixedFit fixed = model.withBlocksAsThemselves();
        return fixed.residualDf() < 1 ? Optional.empty() : LackOfFit.of(fixed, model.y(), model.weights());
    }

    private static List<LevelMean> means(ResponseModel model) {
        List<LevelMean> means = new ArrayList<>();
        model.terms().forEach((variable, term) -> {
            if (term instanceof Term.Levels levels) {
                ofLevels(model, variable, levels, means);
            } else if (term instanceof Term.Numeric numeric) {
                ofNumbers(model, variable, numeric, means);
            }
        });
        return means;
    }

    private static void ofLevels(ResponseModel model, Variable variable, Term.Levels levels, List<LevelMean> means) {
        for (int i = 0; i < levels.levels().size(); i++) {
            means.add(new LevelMean(variable, levels.levels().get(i),
                    model.estimate(model.fit().design().mean(levels, i))));
        }
    }

    private static void ofNumbers(ResponseModel model, Variable variable, Term.Numeric numeric, List<LevelMean> means) {
        double[] at = model.shots()
                .stream()
                .mapToDouble(shot -> variable.number(shot).orElseThrow())
                .distinct()
                .sorted()
                .toArray();
        for (double number : at.length <= MOST_LEVELS ? at : new double[] {at[0], at[at.length - 1]}) {
            means.add(new LevelMean(variable, DecimalText.exact(number),
                    model.estimate(model.fit().design().row(Map.of(numeric, new double[] {number})))));
        }
    }

    private static List<RowResidual> rows(ResponseModel model) {
        double[] residuals = model.fit().residuals();
        double[] leverages = model.fit().leverages();
        double[] outliers = model.judges() ? DeletedResiduals.of(model.withBlocksAsThemselves(), model.weights())
                : new double[0];
        List<RowResidual> rows = new ArrayList<>();
        for (int i = 0; i < residuals.length; i++) {
            int row = i;
            rows.add(new RowResidual(model.shots().get(i), model.values().get(i).value(), residuals[i], leverages[i],
                    outliers.length == 0 ? Double.NaN : outliers[i],
                    model.blocks().map(blocks -> blocks.levels().get(blocks.level().get(row)))));
        }
        return rows;
    }

    private static String words(Question question, ResponseModel model, MatchedBasis ground,
            AdjustmentSet adjustment) {
        StringBuilder words = new StringBuilder(model.response().title()).append(fitted(model));
        model.terms().forEach((variable, term) -> {
            if (term instanceof Term.Numeric numeric) {
                words.append("Straight line in ")
                        .append(Wording.small(term.name()))
                        .append(" from ")
                        .append(DecimalText.exact(rounded(numeric.values().min())))
                        .append(" to ")
                        .append(DecimalText.exact(rounded(numeric.values().max())))
                        .append(" only. ");
            }
        });
        model.blocks()
                .ifPresent(blocks -> words.append(blocks.levels().size())
                        .append(" blocks (")
                        .append(Wording.small(blocks.name()))
                        .append(model.random() ? ") as a sample of all (restricted likelihood, Kenward–Roger). "
                                : ") as themselves. "));
        if (ground.offTheCurve(model.response())) {
            words.append("Read off each shot's own curve at ")
                    .append(DecimalText.exact(rounded(ground.at())))
                    .append(ground.basis() == ComparisonBasis.EQUAL_TIME ? " s. " : " g. ");
        }
        if (!adjustment.adjusted().isEmpty()) {
            words.append("Adjusted for ").append(ConfounderCheck.names(adjustment.adjusted())).append(". ");
        }
        spread(question, model).ifPresent(spread -> words.append("Spread: ").append(spread.words()).append(". "));
        boolean equal = model.weights().equals(KnownErrors.ones(model.shots().size()));
        words.append(equal ? "Every shot weighs the same." : "Shots weigh by their own measurement uncertainty.");
        return words.toString();
    }

    private static Optional<Effect.Spread> spread(Question question, ResponseModel model) {
        return model.judges() ? Contrast.of(question, model)
                .stream()
                .filter(contrast -> model.fit().estimable(contrast.weights()))
                .map(contrast -> model.spread(contrast.weights()))
                .findFirst() : Optional.empty();
    }

    private static String fitted(ResponseModel model) {
        String terms = model.fit()
                .design()
                .terms()
                .stream()
                .filter(term -> model.blocks().filter(term::equals).isEmpty())
                .map(Term::name)
                .collect(Collectors.joining(", "));
        int shots = model.shots().size();
        int left = model.fit().residualDf();
        return (terms.isEmpty() ? ", its mean" : " on " + terms) + "; " + shots + (shots == 1 ? " shot, " : " shots, ")
                + left + (left == 1 ? " degree" : " degrees") + " of freedom left. ";
    }

    private static double rounded(double value) {
        return Math.rint(value * 100) / 100;
    }
}
