package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Measured;
import org.grenu.core.study.SheetField;

/**
 * Looks at everything that may have differed beside the question. What was to stay equal is held against a tolerance by an
 * equivalence test; what moved together with a variable of the question is named; shots that stand out are left out once, to
 * see whether the answer stands.
 */
final class Guarding {

    /** Shots that stand out are at most that share of all; else there is no usual to stand out from. */
    private static final double MOST_STANDING_OUT = 0.34;
    private static final double FAR_OUT = 3.5;
    /** Ranges below that are told to the second decimal. */
    private static final double FINE = 0.2;
    private static final String EVEN = ", even within ";

    private final Question question;
    private final List<ComparedShot> shots;
    private final Optional<ResponseAnswer> main;
    private final CommonGround ground;
    private final List<GuardNote> notes = new ArrayList<>();
    private final List<String> same = new ArrayList<>();
    private final List<String> unknown = new ArrayList<>();

    private Guarding(Question question, List<ComparedShot> shots, Optional<ResponseAnswer> main, CommonGround ground) {
        this.question = question;
        this.shots = shots;
        this.main = main;
        this.ground = ground;
    }

    static List<GuardNote> notes(Question question, List<ComparedShot> shots, List<ComparedShot> faulty, Optional<ResponseAnswer> main, CommonGround ground) {
        Guarding guarding = new Guarding(question, shots, main, ground);
        Characteristic.beside(question, shots).forEach(guarding::look);
        guarding.standingOut("First of a session", "was the first of its day among these", Characteristic.firstOfSession(shots));
        guarding.standingOut("Grind changed without a purge", "followed a change of the grind without a purge", Characteristic.afterGrindChange(shots));
        guarding.farOut();
        guarding.almostTogether();
        if (!faulty.isEmpty()) {
            guarding.notes.add(GuardNote.of(GuardNote.Kind.CHANGED, "Left out", names(faulty) + (faulty.size() == 1 ? " is" : " are") + " marked faulty: "
                    + faulty.stream().map(shot -> shot.sheet().text(SheetField.FAULT).orElse("on purpose")).distinct().collect(Collectors.joining("; "))));
        }
        guarding.gather(guarding.same, GuardNote.Kind.SAME, "same in all " + shots.size());
        guarding.gather(guarding.unknown, GuardNote.Kind.UNKNOWN, "not written down in any shot");
        return guarding.notes.stream().sorted(Comparator.comparing(GuardNote::kind)).toList();
    }

    private void gather(List<String> titles, GuardNote.Kind kind, String words) {
        if (!titles.isEmpty()) {
            String first = titles.get(0);
            notes.add(GuardNote.of(kind, first + titles.stream().skip(1).map(title -> ", " + Wording.small(title)).collect(Collectors.joining()), words));
        }
    }

    private void look(Characteristic one) {
        List<ComparedShot> known = shots.stream().filter(one.variable()::known).toList();
        Map<String, List<ComparedShot>> byLevel = known.stream().collect(Collectors.groupingBy(shot -> one.variable().level(shot).orElseThrow(),
                () -> new TreeMap<>(Levels.ORDER), Collectors.toList()));
        if (byLevel.isEmpty()) {
            unknown.add(one.title());
        } else if (byLevel.size() == 1 && known.size() == shots.size()) {
            same.add(one.title());
        } else if (byLevel.size() == 1) {
            notes.add(GuardNote.of(GuardNote.Kind.UNKNOWN, one.title(), byLevel.keySet().iterator().next() + " where written down; unknown in "
                    + (shots.size() - known.size()) + " of " + shots.size()));
        } else {
            differing(one, known, byLevel);
        }
    }

    private void differing(Characteristic one, List<ComparedShot> known, Map<String, List<ComparedShot>> byLevel) {
        String seen = one.variable().numeric() ? range(one, known) : byLevel.entrySet().stream().map(e -> e.getKey() + " (" + e.getValue().size() + ")")
                .limit(5).collect(Collectors.joining(", "));
        String gaps = known.size() == shots.size() ? "" : "; unknown in " + (shots.size() - known.size());
        Optional<String> together = movedWith(one, known);
        if (ground.covariate(mainResponse()).filter(covariate -> covariate.key().equals(one.variable().key())).isPresent()) {
            Optional<Variable> near = question.variables().stream().filter(asked -> MovedTogether.share(one.variable(), asked, known) > MovedTogether.ALMOST).findFirst();
            notes.add(near.isPresent() ? GuardNote.of(GuardNote.Kind.CHANGED, one.title(), seen + gaps + ", in the model, but it moved almost together with "
                    + Wording.small(near.get().title()) + ": what one did may be put down to the other")
                    : GuardNote.of(GuardNote.Kind.IN_THE_MODEL, one.title(), seen + gaps + ", taken out by the model"));
        } else if (together.isPresent()) {
            notes.add(GuardNote.of(GuardNote.Kind.CONFOUNDED, one.title(), one.title() + " and " + together.get() + " moved together (" + seen + gaps
                    + "): they cannot be told apart"));
        } else {
            List<ComparedShot> few = one.variable().numeric() && one.tolerance() > 0 && small(one, byLevel) ? List.of() : standingOut(byLevel, known.size());
            String evenness = few.isEmpty() ? evenness(one, known) : "";
            GuardNote.Kind kind = evenness.contains(EVEN) ? GuardNote.Kind.EVEN : GuardNote.Kind.CHANGED;
            notes.add(new GuardNote(kind, one.title(), few.isEmpty() ? seen + gaps + evenness
                    : "also changed in " + few.size() + " of " + shots.size() + ": " + names(few) + (few.size() == 1 ? " was at " : " were at ")
                    + few.stream().map(shot -> level(one, shot)).distinct().collect(Collectors.joining(", ")) + gaps, without(one.title(), few)));
        }
    }

    private Response mainResponse() {
        return main.map(ResponseAnswer::response).orElse(StandardResponse.EY_AS_DOSED);
    }

    private static boolean small(Characteristic one, Map<String, List<ComparedShot>> byLevel) {
        double[] numbers = byLevel.values().stream().mapToDouble(shots -> one.variable().number(shots.get(0)).orElseThrow()).sorted().toArray();
        return numbers[numbers.length - 1] - numbers[0] < one.tolerance();
    }

    private static String level(Characteristic one, ComparedShot shot) {
        return (one.variable().level(shot).orElseThrow() + " " + one.variable().unit()).strip();
    }

    private static String range(Characteristic one, List<ComparedShot> known) {
        double[] sorted = known.stream().mapToDouble(shot -> one.variable().number(shot).orElseThrow()).sorted().toArray();
        double low = sorted[0];
        double high = sorted[sorted.length - 1];
        double digits = high - low < FINE ? 100 : 10;
        return (DecimalText.exact(Math.rint(low * digits) / digits) + "–" + DecimalText.exact(Math.rint(high * digits) / digits) + " " + one.variable().unit()).strip();
    }

    /** The first variable of the question that cannot be told once this one is in the model too. */
    private Optional<String> movedWith(Characteristic one, List<ComparedShot> known) {
        if (main.isEmpty() || known.size() < 2) {
            return Optional.empty();
        }
        Variable own = one.variable();
        for (Variable asked : question.variables()) {
            Variable byLevel = asked instanceof Variable.Treatment treatment ? new Variable.Treatment(treatment.factor(), !asked.numeric()) : asked;
            Question both = Question.of(List.of(byLevel, own), List.of(mainResponse()));
            ResponseModel model = ResponseModel.of(both, mainResponse(), known, CommonGround.of(ComparisonBasis.EQUAL_SETTING, known));
            if (model.fit() != null && model.terms().containsKey(byLevel) && model.terms().containsKey(own)
                    && new EffectFinder(both, model).effects().stream().filter(effect -> effect.variable().equals(byLevel))
                            .anyMatch(effect -> effect.verdict() instanceof Verdict.Confounded)) {
                return Optional.of(Wording.small(asked.title()));
            }
        }
        return Optional.empty();
    }

    /** Whether it stayed equal across what was asked about, by equivalence. */
    private String evenness(Characteristic one, List<ComparedShot> known) {
        if (!one.variable().numeric() || !(one.tolerance() > 0)) {
            return "";
        }
        List<String> found = new ArrayList<>();
        for (Variable asked : question.variables()) {
            StayedEqual check = new StayedEqual(one);
            for (Effect effect : check.effects(asked, known)) {
                if (effect.verdict() instanceof Verdict.Differs) {
                    return ", moved with " + Wording.small(asked.title()) + ": " + Wording.signed(effect) + " " + one.variable().unit() + " by "
                            + Wording.what(effect);
                }
                found.add(effect.verdict() instanceof Verdict.SameInPractice ? "even" : "open");
            }
        }
        if (found.isEmpty()) {
            return "";
        }
        return found.contains("open") ? ", not shown to be even within ±" + DecimalText.exact(one.tolerance()) + " " + one.variable().unit()
                : EVEN + "±" + DecimalText.exact(one.tolerance()) + " " + one.variable().unit();
    }

    private static List<ComparedShot> standingOut(Map<String, List<ComparedShot>> byLevel, int known) {
        List<ComparedShot> most = byLevel.values().stream().max(Comparator.comparingInt(List::size)).orElseThrow();
        List<ComparedShot> few = byLevel.values().stream().filter(shots -> shots != most).flatMap(List::stream).toList();
        return few.size() <= MOST_STANDING_OUT * known ? few : List.of();
    }

    private void standingOut(String title, String words, List<ComparedShot> few) {
        if (!few.isEmpty() && few.size() <= MOST_STANDING_OUT * shots.size()) {
            notes.add(new GuardNote(GuardNote.Kind.CHANGED, title, names(few) + " " + (few.size() == 1 ? words : words.replace("was the first of its", "were the first of their")),
                    without(title, few)));
        }
    }

    /** Shots further from the model than chance explains, by the residual over what its leverage leaves of the spread. */
    private void farOut() {
        if (main.isEmpty() || !(main.get().deviation() > 0)) {
            return;
        }
        List<ComparedShot> far = main.get().rows().stream().filter(row -> row.leverage() < 1 - 1e-6
                && Math.abs(row.residual()) > FAR_OUT * main.get().deviation() * Math.sqrt(1 - row.leverage())).map(RowResidual::shot).toList();
        if (!far.isEmpty()) {
            notes.add(new GuardNote(GuardNote.Kind.CHANGED, "Far from the others", names(far) + (far.size() == 1 ? " lies" : " lie") + " further from the model than chance explains",
                    without("Far from the others", far)));
        }
    }

    /** Variables of the question that can just be told apart, at the price of wide intervals. */
    private void almostTogether() {
        List<Variable> asked = question.variables();
        for (int i = 0; i < asked.size(); i++) {
            for (int j = 0; j < asked.size(); j++) {
                double share = i == j || j < i && asked.get(j).numeric() ? 0 : MovedTogether.share(asked.get(i), asked.get(j), shots);
                if (share > MovedTogether.ALMOST && share < 1 - 1e-9) {
                    notes.add(GuardNote.of(GuardNote.Kind.CHANGED, asked.get(i).title() + " and " + Wording.small(asked.get(j).title()),
                            "moved almost together: their effects are told apart by few shots"));
                }
            }
        }
    }

    private Optional<Sensitivity> without(String why, List<ComparedShot> few) {
        return main.flatMap(answer -> answer.effects().stream().filter(effect -> effect.estimate().isPresent()).findFirst()
                .flatMap(effect -> Sensitivity.of(question, shots, why, few, answer, effect)));
    }

    private static String names(List<ComparedShot> some) {
        return (some.size() == 1 ? "shot " : "shots ") + some.stream().map(ComparedShot::name).limit(8).collect(Collectors.joining(", "))
                + (some.size() > 8 ? " and " + (some.size() - 8) + " more" : "");
    }
}
