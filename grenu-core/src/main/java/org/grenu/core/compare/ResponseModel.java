package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.grenu.core.model.Design;
import org.grenu.core.model.Estimate;
import org.grenu.core.model.FixedFit;
import org.grenu.core.model.KnownErrors;
import org.grenu.core.model.KnownSlope;
import org.grenu.core.model.ModelFit;
import org.grenu.core.model.RandomInterceptFit;
import org.grenu.core.model.Term;
import org.grenu.core.model.UnequalSpread;
import org.grenu.core.numbers.Samples;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Measured;
import org.grenu.core.response.CommonSlope;
import org.grenu.core.response.MatchedBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.Variable;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;

/**
 * One response of a question, fitted: which shots tell of it, by what terms, in what blocks.
 *
 * @param response the response
 * @param rows      the shots that tell of it
 * @param structure what they are explained by
 * @param fit       the model, straight from all terms
 */
record ResponseModel(Response response, Rows rows, Structure structure, ModelFit fit) {

    /** With fewer, their spread cannot be told; they enter as themselves (common practice, no source). */
    private static final int LEAST_RANDOM_BLOCKS = 4;
    /** Uncertainties closer together than that get the same weight. */
    private static final double ALIKE = 1.2;

    /**
     * The shots, a row each.
     *
     * @param values  by row
     * @param weights by row
     */
    record Rows(List<MeasuredShot> shots, List<Measured> values, Samples weights) {
    }

    /**
     * What explains a response.
     *
     * @param terms    by variable, of those that changed among the shots
     * @param taken    by variable, what is taken out beside them
     * @param blocks   of the rows, when there are several
     * @param random   whether the blocks are a sample of all days rather than these days
     * @param pairs    pairs in the model, and which of them act together beyond chance
     */
    record Structure(Map<Variable, Term> terms, Map<Variable, Term> taken, Optional<Term.Levels> blocks,
            boolean random, Interplay.InModel pairs) {
    }

    List<MeasuredShot> shots() {
        return rows.shots;
    }

    List<Measured> values() {
        return rows.values;
    }

    Samples weights() {
        return rows.weights;
    }

    Map<Variable, Term> terms() {
        return structure.terms;
    }

    Map<Variable, Term> taken() {
        return structure.taken;
    }

    Optional<Term.Levels> blocks() {
        return structure.blocks;
    }

    boolean random() {
        return structure.random;
    }

    List<Question.Pair> together() {
        return structure.pairs.together();
    }

    /** {@return p of every pair that was looked at} */
    List<Double> pairsP() {
        return structure.pairs.p();
    }

    static ResponseModel of(Question question, Response response, List<MeasuredShot> candidates, MatchedBasis ground) {
        return of(question, response, candidates, ground, Corrections.NONE);
    }

    /** {@return the model with something taken out beside what is asked about} */
    static ResponseModel of(Question question, Response response, List<MeasuredShot> candidates, MatchedBasis ground,
            Corrections corrections) {
        List<Adjuster> adjusters = corrections.adjusters();
        List<Variable> variables = question.explaining(response, ground);
        List<MeasuredShot> shots = telling(question, response, candidates, ground, variables)
                .stream()
                .filter(shot -> adjusters.stream().allMatch(one -> one.variable().known(shot)))
                .toList();
        List<Measured> values = shots.stream().map(shot -> ground.value(response, shot).orElseThrow()).toList();
        Map<Variable, Term> terms = new LinkedHashMap<>();
        variables.forEach(variable -> term(variable, shots)
                .ifPresent(term -> terms.put(variable, effective(variable, term, shots, corrections.carryOver()))));
        Map<Variable, Term> taken = new LinkedHashMap<>();
        adjusters.forEach(one -> term(one.variable(), shots).ifPresent(term -> taken.put(one.variable(), term)));
        Optional<Term.Levels> blocks = blocks(question, shots);
        Structure structure = new Structure(terms, taken, blocks, areRandom(blocks),
                new Interplay.InModel(List.of(), List.of()));
        List<KnownSlope> known = known(question, response, new Rows(shots, values, null), structure, adjusters);
        ResponseModel asked = fitted(question, response, new Rows(shots, values, null), structure, known);
        Interplay.Unasked unasked = Interplay.unasked(question, asked);
        ResponseModel all = unasked.together().isEmpty() ? asked
                : fitted(question.together(unasked.together()), response, new Rows(shots, values, null), structure,
                        known);
        return all.havingTested(unasked.others());
    }

    private ResponseModel havingTested(List<Double> others) {
        List<Double> p = new ArrayList<>(structure.pairs.p());
        p.addAll(others);
        return new ResponseModel(response, rows, new Structure(structure.terms, structure.taken, structure.blocks,
                structure.random, new Interplay.InModel(structure.pairs.together(), p)), fit);
    }

    /** A grind as the grounds had it on average, where some are still of the setting before. */
    private static Term effective(Variable variable, Term term, List<MeasuredShot> shots, CarryOver carryOver) {
        if (carryOver.none() || !variable.key().equals(RecordFactor.GRIND.key())
                || !(term instanceof Term.Numeric numeric)) {
            return term;
        }
        double[] settings = numeric.values().toArray();
        for (int i = 0; i < settings.length; i++) {
            settings[i] = carryOver.effective(shots.get(i), settings[i]);
        }
        return new Term.Numeric(term.name(), Samples.of(settings));
    }

    /**
     * Slopes that are not left to the data: a covariate that is held equal follows common practice as far as the data
     * are few.
     */
    private static List<KnownSlope> known(Question question, Response response, Rows rows, Structure structure,
            List<Adjuster> adjusters) {
        List<KnownSlope> known = new ArrayList<>();
        for (Adjuster one : adjusters) {
            if (one.known().isPresent() && structure.taken.get(one.variable()) instanceof Term.Numeric term) {
                known.add(new KnownSlope(term, one.known().get().value(), one.known().get().deviation()));
            }
        }
        if (!question.treatments().isEmpty()) {
            structure.terms.forEach((variable, term) -> {
                if (variable instanceof Variable.Covariate && term instanceof Term.Numeric numeric) {
                    commonSlope(question, response, rows, variable)
                            .ifPresent(slope -> known.add(new KnownSlope(numeric, slope.perUnit(), slope.deviation())));
                }
            });
        }
        return known;
    }

    private static Optional<CommonSlope> commonSlope(Question question, Response response, Rows rows,
            Variable variable) {
        double usual = rows.values.stream().mapToDouble(Measured::value).average().orElse(0);
        double usualOn = rows.shots.stream()
                .flatMapToDouble(shot -> variable.number(shot).stream())
                .average()
                .orElse(0);
        return CommonSlope.of(response, usual, variable, usualOn, question.units());
    }

    /** {@return what common practice holds of how far this response follows that variable among these shots} */
    Optional<CommonSlope> commonSlope(Question question, Variable variable) {
        return commonSlope(question, response, rows, variable);
    }

    private static List<MeasuredShot> telling(Question question, Response response, List<MeasuredShot> candidates,
            MatchedBasis ground, List<Variable> variables) {
        return candidates.stream()
                .filter(shot -> ground.value(response, shot).isPresent())
                .filter(shot -> variables.stream().allMatch(variable -> variable.known(shot)))
                .filter(shot -> question.block().isEmpty() || question.block().get().level(shot.record()).isPresent())
                .toList();
    }

    private static Optional<Term.Levels> blocks(Question question, List<MeasuredShot> shots) {
        return question.block()
                .map(block -> Term.Levels.of(block.title(),
                        shots.stream().map(shot -> block.level(shot.record()).orElseThrow()).toList()))
                .filter(levels -> levels.levels().size() > 1);
    }

    private static boolean areRandom(Optional<Term.Levels> blocks) {
        return blocks.isPresent() && blocks.get().levels().size() >= LEAST_RANDOM_BLOCKS
                && repeats(blocks.get());
    }

    private static ResponseModel fitted(Question question, Response response, Rows rows, Structure structure,
            List<KnownSlope> known) {
        List<MeasuredShot> shots = rows.shots;
        List<Term> all = terms(question, structure);
        Design design = new Design(shots.size(), all);
        Samples y = Samples.of(rows.values.stream().mapToDouble(Measured::value).toArray());
        Samples weights = shots.isEmpty() ? y : weights(design, y, errors(shots, rows.values));
        ModelFit fit = shots.isEmpty() ? null : structure.random && shots.size() > design.columns() + 1
                ? RandomInterceptFit.of(design, y, weights, structure.blocks.orElseThrow(), known)
                : FixedFit.of(design, y, weights, known);
        Interplay.InModel pairs = fit == null ? structure.pairs : Interplay.inModel(question, structure.terms, fit);
        return new ResponseModel(response, new Rows(shots, rows.values, weights), new Structure(structure.terms,
                structure.taken, structure.blocks, structure.random, pairs), fit);
    }

    private static List<Term> terms(Question question, Structure structure) {
        Map<Variable, Term> terms = structure.terms;
        List<Term> all = new ArrayList<>();
        structure.blocks.filter(levels -> !structure.random).ifPresent(all::add);
        terms.values().stream().filter(term -> !all.contains(term)).forEach(all::add);
        structure.taken.values().stream().filter(term -> !all.contains(term)).forEach(all::add);
        question.interactions()
                .stream()
                .filter(pair -> terms.containsKey(pair.first()) && terms.containsKey(pair.second()))
                .map(pair -> new Term.Product(terms.get(pair.first()), terms.get(pair.second())))
                .forEach(all::add);
        return all;
    }

    /**
     * What one instrument gets wrong in all shots cancels between them; with several it does not, and neither where
     * nobody
     * wrote down which it was. Moisture is the coffee's.
     */
    private static boolean sameInstruments(List<MeasuredShot> shots) {
        return one(shots, RecordField.REFRACTOMETER)
                && (shots.stream().noneMatch(shot -> shot.record().has(RecordField.SCALE_BIAS))
                        || one(shots, RecordField.SCALE))
                && (shots.stream().noneMatch(shot -> shot.record().has(RecordField.MOISTURE))
                        || one(shots, RecordField.COFFEE));
    }

    /** By row what each shot's measurement has for itself, against the others. */
    private static double[] errors(List<MeasuredShot> shots, List<Measured> values) {
        boolean shared = sameInstruments(shots);
        return values.stream().mapToDouble(value -> shared ? value.independent() : value.u()).toArray();
    }

    /** {@return by row the standard uncertainty with which the shots stand against each other} */
    double[] errors() {
        return errors(shots(), values());
    }

    private static boolean one(List<MeasuredShot> shots, RecordField field) {
        List<Optional<String>> names = shots.stream().map(shot -> shot.record().text(field)).distinct().toList();
        return names.size() == 1 && names.get(0).isPresent();
    }

    /** Only the parts of the uncertainty that each shot has for itself weigh. */
    private static Samples weights(Design design, Samples y, double[] u) {
        Samples uncertainties = Samples.of(u);
        boolean telling = uncertainties.min() > 0 && uncertainties.max() > ALIKE * uncertainties.min();
        return telling ? KnownErrors.of(design, y, uncertainties).weights() : KnownErrors.ones(u.length);
    }

    /** {@return the variable as a term over those shots; empty where it does not change} */
    static Optional<Term> term(Variable variable, List<MeasuredShot> shots) {
        if (variable.numeric()) {
            double[] numbers = shots.stream().mapToDouble(shot -> variable.number(shot).orElseThrow()).toArray();
            Samples samples = Samples.of(numbers);
            return shots.isEmpty() || samples.max() - samples.min() <= 1e-9 * Math.max(1, Math.abs(samples.max()))
                    ? Optional.empty()
                    : Optional.of(new Term.Numeric(variable.title(), samples));
        }
        List<String> byRow = shots.stream().map(shot -> variable.level(shot).orElseThrow()).toList();
        List<String> levels = byRow.stream().distinct().sorted(Levels.ORDER).toList();
        return levels.size() < 2 ? Optional.empty()
                : Optional.of(new Term.Levels(variable.title(), levels, byRow.stream().map(levels::indexOf).toList()));
    }

    private static boolean repeats(Term.Levels blocks) {
        return blocks.level().size() > blocks.levels().size();
    }

    /** {@return the variable that this one acts together with beyond chance; of several the surest} */
    Optional<Variable> actsTogetherWith(Variable variable) {
        return together().stream()
                .filter(pair -> pair.first().equals(variable) || pair.second().equals(variable))
                .map(pair -> pair.first().equals(variable) ? pair.second() : pair.first())
                .findFirst();
    }

    /**
     * {@return the columns of the variable at each place where the other's effect is told: its levels, or its
     * lowest and highest number}
     */
    Map<String, double[]> places(Variable variable) {
        Map<String, double[]> places = new LinkedHashMap<>();
        if (terms().get(variable) instanceof Term.Levels levels) {
            for (int i = 0; i < levels.levels().size(); i++) {
                places.put(levels.levels().get(i), levels.at(i));
            }
        } else if (terms().get(variable) instanceof Term.Numeric numeric) {
            for (double end : new double[] {numeric.values().min(), numeric.values().max()}) {
                places.put(DecimalText.exact(end), new double[] {end});
            }
        }
        return places;
    }

    /** {@return whether that variable has a part in the model already} */
    boolean holds(Variable variable) {
        return Stream.concat(structure.terms.keySet().stream(), structure.taken.keySet().stream())
                .anyMatch(held -> held.key().equals(variable.key()));
    }

    /**
     * {@return the combination's estimate, without taking all spreads for the same where they can be told; empty
     * where the data cannot tell it}
     */
    Optional<Estimate> estimate(double[] contrast) {
        return fit instanceof FixedFit fixed
                ? UnequalSpread.estimate(fixed, contrast).or(() -> fixed.estimate(contrast)) : fit.estimate(contrast);
    }

    /** {@return how the spread behind that combination's estimate is judged} */
    Effect.Spread spread(double[] contrast) {
        return !(fit instanceof FixedFit fixed) ? Effect.Spread.FEW_GROUPS
                : UnequalSpread.estimate(fixed, contrast).isEmpty() ? Effect.Spread.POOLED
                        : UnequalSpread.byLevel(fixed) ? Effect.Spread.BY_LEVEL : Effect.Spread.BY_ROW;
    }

    /** Whether the rows leave a degree of freedom to judge the spread by. */
    boolean judges() {
        return fit != null && fit.residualDf() >= 1;
    }

    Samples y() {
        return Samples.of(values().stream().mapToDouble(Measured::value).toArray());
    }

    /** {@return the model by fixed effects: a random block enters as itself} */
    FixedFit withBlocksAsThemselves() {
        List<Term> all = new ArrayList<>(fit.design().terms());
        blocks().filter(block -> random() && !all.contains(block)).ifPresent(all::add);
        return FixedFit.of(new Design(shots().size(), all), y(), weights());
    }

    /** Rows of each block; all rows where there are none. */
    List<int[]> exchangeable() {
        Term.Levels groups = blocks()
                .orElseGet(() -> Term.Levels.of("all", shots().stream().map(shot -> "all").toList()));
        List<int[]> alike = new ArrayList<>();
        for (int g = 0; g < groups.levels().size(); g++) {
            int group = g;
            alike.add(IntStream.range(0, shots().size()).filter(i -> groups.level().get(i) == group).toArray());
        }
        return alike;
    }

    /** The model's terms without the variable's own and those it acts together with. */
    Design without(Variable variable) {
        Term own = terms().get(variable);
        return new Design(shots().size(),
                fit.design().terms().stream().filter(term -> !term.equals(own) && !term.contains(own)).toList());
    }
}
