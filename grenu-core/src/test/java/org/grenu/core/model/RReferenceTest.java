package org.grenu.core.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.grenu.core.numbers.Samples;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/**
 * Every value that {@code /reference/reference.R} had R 4.2.2 with lme4, lmerTest, car, emmeans, pbkrtest and
 * clubSandwich compute, computed here:
 * relative error below 1e-6, and below 1e-4 where restricted likelihood is maximised.
 */
class RReferenceTest {

    private final Map<String, Double> ours = new LinkedHashMap<>();

    private static List<String[]> rows(String name) throws IOException {
        try (InputStream in = RReferenceTest.class.getResourceAsStream("/reference/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines()
                    .skip(1)
                    .map(line -> line.split(","))
                    .toList();
        }
    }

    private static Samples numbers(List<String[]> rows, int column) {
        return Samples.of(rows.stream().mapToDouble(row -> Double.parseDouble(row[column])).toArray());
    }

    private static Term.Levels levels(String name, List<String[]> rows, int column) {
        List<String> sorted = rows.stream().map(row -> row[column]).distinct().sorted().toList();
        return new Term.Levels(name, sorted, rows.stream().map(row -> sorted.indexOf(row[column])).toList());
    }

    @TestFactory
    List<DynamicTest> agrees() throws IOException {
        shots();
        sleep();
        few();
        distributions();
        List<DynamicTest> tests = new ArrayList<>();
        for (String[] row : rows("results.csv")) {
            double tolerance = row[0].matches("(mixed|plain|additive|sleep|few) .*") ? 1e-4 : 1e-6;
            tests.add(DynamicTest.dynamicTest(row[0], () -> {
                double theirs = Double.parseDouble(row[1]);
                assertThat(ours).containsKey(row[0]);
                assertThat(Math.abs(ours.get(row[0]) - theirs) / Math.max(Math.abs(theirs), 1e-300))
                        .as("%s here, %s in R", ours.get(row[0]), theirs)
                        .isLessThan(tolerance);
            }));
        }
        return tests;
    }

    private void shots() throws IOException {
        List<String[]> rows = rows("shots.csv");
        Term.Numeric grind = new Term.Numeric("grind", numbers(rows, 0));
        Term.Levels profile = levels("profile", rows, 1);
        Term.Levels coffee = levels("coffee", rows, 2);
        Term.Numeric mass = new Term.Numeric("mass", numbers(rows, 3));
        Term.Product both = new Term.Product(profile, coffee);
        Design design = new Design(rows.size(), List.of(grind, profile, coffee, mass, both));
        Samples y = numbers(rows, 6);
        Samples weights = numbers(rows, 5);
        FixedFit fixed = FixedFit.of(design, y, weights);
        RandomInterceptFit mixed = RandomInterceptFit.of(design, y, weights, levels("day", rows, 4));
        ours.put("mixed tau", mixed.groupDeviation());
        ours.put("mixed sigma", mixed.deviation());
        Samples alike = KnownErrors.ones(rows.size());
        RandomInterceptFit plain = RandomInterceptFit.of(design, y, alike, levels("day", rows, 4));
        for (int i = 0; i < rows.size(); i++) {
            ours.put("fixed leverage " + (i + 1), fixed.leverages()[i]);
        }
        RandomInterceptFit additive = RandomInterceptFit.of(
                new Design(rows.size(), List.of(grind, profile, coffee, mass)), y, alike,
                levels("day", rows, 4));
        Map<String, ModelFit> fits = Map.of("fixed", fixed, "plain", plain, "additive", additive);
        robust("hc2", FixedFit.of(design, y, alike), grind, mass);
        robust("hc2 weighted", fixed, grind, mass);
        welch(FixedFit.of(new Design(rows.size(), List.of(coffee)), y, alike), coffee);
        Map<String, Term> terms = Map.of("grind", grind, "profile", profile, "coffee", coffee, "profile:coffee", both,
                "mass", mass);
        fits.forEach((model, fit) -> {
            ours.put(model + " sigma", fit.deviation());
            terms.forEach((term, tested) -> {
                if (fit.design().terms().contains(tested)) {
                    FTest test = fit.typeTwo(tested).orElseThrow();
                    ours.put(model + " F " + term, test.f());
                    ours.put(model + " df " + term, test.df2());
                    ours.put(model + " p " + term, test.p());
                }
            });
            means(model, fit, coffee);
        });
        Design line = new Design(rows.size(), List.of(grind));
        Samples ones = KnownErrors.ones(rows.size());
        FTest lack = LackOfFit.of(FixedFit.of(line, y, ones), y, ones).orElseThrow();
        ours.put("lack of fit F", lack.f());
        ours.put("lack of fit p", lack.p());
    }

    private void robust(String name, FixedFit fit, Term.Numeric... terms) {
        for (Term.Numeric term : terms) {
            Estimate slope = UnequalSpread.estimate(fit, fit.design().slope(term)).orElseThrow();
            ours.put(name + " se " + term.name(), slope.se());
            ours.put(name + " df " + term.name(), slope.df());
        }
    }

    private void welch(FixedFit fit, Term.Levels coffee) {
        for (int i = 0; i < coffee.levels().size(); i++) {
            for (int j = i + 1; j < coffee.levels().size(); j++) {
                Estimate difference = UnequalSpread.estimate(fit,
                        Design.difference(fit.design().mean(coffee, i), fit.design().mean(coffee, j))).orElseThrow();
                String pair = coffee.levels().get(i) + " " + coffee.levels().get(j);
                ours.put("welch se " + pair, difference.se());
                ours.put("welch df " + pair, difference.df());
            }
        }
    }

    private void few() throws IOException {
        List<String[]> rows = rows("few.csv");
        Term.Numeric grind = new Term.Numeric("grind", numbers(rows, 0));
        Design design = new Design(rows.size(), List.of(grind));
        for (String response : List.of("y", "still")) {
            RandomInterceptFit fit = RandomInterceptFit.of(design, numbers(rows, response.equals("y") ? 2 : 3),
                    KnownErrors.ones(rows.size()), levels("day", rows, 1));
            Estimate slope = fit.estimate(design.slope(grind)).orElseThrow();
            ours.put("few " + response + " tau", fit.groupDeviation());
            ours.put("few " + response + " slope", slope.value());
            ours.put("few " + response + " se", slope.se());
            ours.put("few " + response + " df", slope.df());
        }
    }

    private void means(String model, ModelFit fit, Term.Levels coffee) {
        List<String> pairs = new ArrayList<>();
        List<Double> p = new ArrayList<>();
        for (int i = 0; i < coffee.levels().size(); i++) {
            Estimate mean = fit.estimate(fit.design().mean(coffee, i)).orElseThrow();
            ours.put(model + " mean " + coffee.levels().get(i), mean.value());
            ours.put(model + " mean se " + coffee.levels().get(i), mean.se());
            ours.put(model + " mean df " + coffee.levels().get(i), mean.df());
            for (int j = i + 1; j < coffee.levels().size(); j++) {
                String pair = coffee.levels().get(i) + " - " + coffee.levels().get(j);
                Estimate difference = fit
                        .estimate(Design.difference(fit.design().mean(coffee, i), fit.design().mean(coffee, j)))
                        .orElseThrow();
                ours.put(model + " pair " + pair, difference.value());
                ours.put(model + " pair se " + pair, difference.se());
                ours.put(model + " pair df " + pair, difference.df());
                ours.put(model + " pair p none " + pair, difference.pAgainst(0));
                ours.put(model + " pair p tukey " + pair, Adjustment.tukey(difference, coffee.levels().size()));
                ours.put(model + " tost " + pair, Equivalence.of(difference, 0.5).p());
                pairs.add(pair);
                p.add(difference.pAgainst(0));
            }
        }
        List<Double> holm = Adjustment.holm(p);
        for (int k = 0; k < p.size(); k++) {
            ours.put(model + " pair p holm " + pairs.get(k), holm.get(k));
        }
    }

    private void sleep() throws IOException {
        List<String[]> rows = rows("sleep.csv");
        Term.Numeric days = new Term.Numeric("days", numbers(rows, 1));
        Design design = new Design(rows.size(), List.of(days));
        RandomInterceptFit fit = RandomInterceptFit.of(design, numbers(rows, 0), KnownErrors.ones(rows.size()),
                levels("subject", rows, 2));
        Estimate slope = fit.estimate(design.slope(days)).orElseThrow();
        ours.put("sleep sigma", fit.deviation());
        ours.put("sleep tau", fit.groupDeviation());
        ours.put("sleep slope", slope.value());
        ours.put("sleep slope se", slope.se());
        ours.put("sleep slope df", slope.df());
    }

    private void distributions() throws IOException {
        for (String[] row : rows("results.csv")) {
            String[] words = row[0].split(" ");
            double[] at = words[0].matches("power|ptukey|pt")
                    ? List.of(words).subList(1, words.length).stream().mapToDouble(Double::parseDouble).toArray()
                    : new double[3];
            switch (words[0]) {
                case "power" ->
                        ours.put(row[0], Power.ofDifference(at[1], at[2] * Math.sqrt(2 / at[0]), 2 * at[0] - 2, 0.05));
                case "ptukey" -> ours.put(row[0], StudentizedRange.upperTail(at[0], (int) at[1], at[2]));
                case "pt" -> ours.put(row[0], NoncentralT.cumulative(at[0], at[1], at[2]));
                default -> {}
            }
        }
    }
}
