package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.response.Characteristic;
import org.grenu.core.response.MatchedBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.RunOrder;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.record.Plausibility;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;

/**
 * Looks at everything that may have differed beside the question. What was to stay equal is held against a tolerance
 * by an
 * equivalence test; what moved together with a variable of the question is named; shots that stand out are left out
 * once, to
 * see whether the answer stands.
 */
final class BalanceReview {

    /** Shots that stand out are at most that share of all; else there is no usual to stand out from. */
    private static final double MOST_STANDING_OUT = 0.34;
    private static final String FAR_OUT = "Far from the others";
    private static final String CARRIED_OVER = "Grind changed without a purge";
    private static final String HARDLY_MEANT = "Hardly meant";
    private static final int MOST_LISTED = 12;
    private static final int MOST_LEVELS = 5;
    private static final int LONGEST_LEVEL = 40;
    /** Ranges below that are told to the second decimal. */
    private static final double FINE = 0.2;

    private final Question question;
    private final List<MeasuredShot> shots;
    private final Optional<ResponseAnswer> main;
    private final MatchedBasis ground;
    private final CarryOver carryOver;
    private final List<BalanceNote> notes = new ArrayList<>();
    private final List<String> same = new ArrayList<>();
    private final List<String> unknown = new ArrayList<>();

    private BalanceReview(Question question, List<MeasuredShot> shots, Optional<ResponseAnswer> main,
            MatchedBasis ground, CarryOver carryOver) {
        this.carryOver = carryOver;
        this.question = question;
        this.shots = shots;
        this.main = main;
        this.ground = ground;
    }

    static List<BalanceNote> notes(Question question, List<MeasuredShot> shots, List<MeasuredShot> faulty,
            Optional<ResponseAnswer> main, MatchedBasis ground, CarryOver carryOver) {
        BalanceReview review = new BalanceReview(question, shots, main, ground, carryOver);
        List<Characteristic> beside = question.beside(shots);
        beside.stream()
                .filter(one -> !(one.variable() instanceof Variable.Placed) && !review.saidBy(one, beside))
                .forEach(review::look);
        beside.stream().filter(one -> one.variable() instanceof Variable.Placed).forEach(review::order);
        review.standingOut("First of a session", "was the first of its day among these",
                RunOrder.firstOfSession(shots));
        review.carriedOver();
        review.hardlyMeant();
        review.farOut();
        review.almostTogether();
        if (!faulty.isEmpty()) {
            review.notes.add(BalanceNote.of(BalanceNote.Kind.CHANGED, "Left out",
                    names(faulty) + (faulty.size() == 1 ? " is" : " are") + " marked faulty: "
                            + faulty.stream()
                                    .map(shot -> shot.record().text(RecordField.FAULT).orElse("on purpose"))
                                    .distinct()
                                    .collect(Collectors.joining("; "))));
        }
        review.gather(review.same, BalanceNote.Kind.SAME, "same in all " + shots.size());
        review.gather(review.unknown, BalanceNote.Kind.UNKNOWN, "not written down in any shot");
        return review.notes.stream().sorted(Comparator.comparing(BalanceNote::kind)).toList();
    }

    private void gather(List<String> titles, BalanceNote.Kind kind, String words) {
        if (!titles.isEmpty()) {
            String first = titles.get(0);
            String more = titles.size() > MOST_LISTED ? " and " + (titles.size() - MOST_LISTED) + " more" : "";
            notes.add(BalanceNote.of(kind,
                    first + titles.stream()
                            .limit(MOST_LISTED)
                            .skip(1)
                            .map(title -> ", " + Wording.small(title))
                            .collect(Collectors.joining()) + more,
                    words));
        }
    }

    private void look(Characteristic one) {
        List<MeasuredShot> known = shots.stream().filter(one.variable()::known).toList();
        Map<String, List<MeasuredShot>> byLevel = byLevel(one.variable(), known);
        if (byLevel.isEmpty()) {
            unknown.add(one.title());
        } else if (byLevel.size() == 1 && known.size() == shots.size()) {
            same.add(one.title());
        } else if (unknownAt(one).isPresent()) {
            notes.add(BalanceNote.of(BalanceNote.Kind.HALF_KNOWN, one.title(),
                    "unknown in every shot at " + unknownAt(one).get() + ": whether it moved along cannot be told"));
        } else if (byLevel.size() == 1) {
            notes.add(BalanceNote.of(BalanceNote.Kind.UNKNOWN, one.title(),
                    byLevel.keySet().iterator().next() + " where written down; unknown in "
                            + (shots.size() - known.size()) + " of " + shots.size()));
        } else {
            differing(one, known, byLevel);
        }
    }

    /**
     * Whether it differs just as a thing does that brings it along, as the roast date does with the coffee: once is
     * enough.
     */
    private boolean saidBy(Characteristic one, List<Characteristic> beside) {
        return beside.stream()
                .anyMatch(thing -> thing != one && one.carriedBy(thing.variable()) && !thing.carriedBy(one.variable())
                        && !grouping(one).isEmpty()
                        && grouping(one).equals(grouping(thing)));
    }

    /** Which shots share a level; empty where only one level is known. */
    private Set<Set<String>> grouping(Characteristic one) {
        Map<String,
                Set<String>> byLevel = shots.stream()
                        .filter(one.variable()::known)
                        .collect(Collectors.groupingBy(shot -> one.variable().level(shot).orElseThrow(),
                                Collectors.mapping(MeasuredShot::name, Collectors.toSet())));
        return byLevel.size() < 2 ? Set.of() : Set.copyOf(byLevel.values());
    }

    /** Every order differs from shot to shot; it is worth a word only where what is asked about followed it. */
    private void order(Characteristic one) {
        movedWith(one).ifPresent(
                with -> notes.add(BalanceNote.of(BalanceNote.Kind.CONFOUNDED, one.title(), one.title() + " and " + with
                        + " moved together: they cannot be told apart")));
    }

    private void differing(Characteristic one, List<MeasuredShot> known, Map<String, List<MeasuredShot>> byLevel) {
        String gaps = known.size() == shots.size() ? "" : "; unknown in " + (shots.size() - known.size());
        String seen = seen(one, known, byLevel) + gaps;
        Optional<Variable> whole = question.variables().stream().filter(one::carriedBy).findFirst();
        Optional<String> together = movedWith(one);
        if (ground.covariate(mainResponse())
                .filter(covariate -> covariate.key().equals(one.variable().key()))
                .isPresent()) {
            notes.add(inTheModel(one, known, seen));
        } else if (whole.isPresent()) {
            notes.add(BalanceNote.of(BalanceNote.Kind.IN_THE_MODEL, one.title(),
                    seen + ", goes with " + Wording.small(whole.get().title())));
        } else if (together.isPresent()) {
            notes.add(BalanceNote.of(BalanceNote.Kind.CONFOUNDED, one.title(),
                    one.title() + " and " + together.get() + " moved together (" + seen
                            + "): they cannot be told apart"));
        } else {
            List<MeasuredShot> few = one.variable().numeric() && one.tolerance() > 0 && small(one, byLevel) ? List.of()
                    : standingOut(byLevel, known.size());
            Evenness evenness = few.isEmpty() ? evenness(one, known) : Evenness.UNTOLD;
            BalanceNote.Kind kind = evenness.shown ? BalanceNote.Kind.EVEN : BalanceNote.Kind.CHANGED;
            notes.add(BalanceNote.standingOut(kind, one.title(),
                    few.isEmpty() ? seen + evenness.words : alsoChanged(one, few) + gaps,
                    without(one.title(), few)));
        }
    }

    private static String seen(Characteristic one, List<MeasuredShot> known, Map<String, List<MeasuredShot>> byLevel) {
        return one.variable().numeric() ? range(one, known)
                : byLevel.entrySet()
                        .stream()
                        .map(e -> shortened(e.getKey()) + " (" + e.getValue().size() + ")")
                        .limit(MOST_LEVELS)
                        .collect(Collectors.joining(", "));
    }

    /** It is adjusted for, unless that took out the effect with it. */
    private BalanceNote inTheModel(Characteristic one, List<MeasuredShot> known, String seen) {
        Optional<Variable> near = question.variables()
                .stream()
                .filter(asked -> MovedTogether.share(one.variable(), asked, known) > MovedTogether.ALMOST)
                .findFirst();
        return near.isPresent()
                ? BalanceNote.of(BalanceNote.Kind.CHANGED, one.title(),
                        seen + ", in the model, but it moved almost together with "
                                + Wording.small(near.get().title()) + ": what one did may be put down to the other")
                : BalanceNote.of(BalanceNote.Kind.IN_THE_MODEL, one.title(), seen + ", taken out by the model");
    }

    private String alsoChanged(Characteristic one, List<MeasuredShot> few) {
        return "also changed in " + few.size() + " of " + shots.size() + ": " + names(few)
                + (few.size() == 1 ? " was at " : " were at ")
                + few.stream().map(shot -> level(one, shot)).distinct().collect(Collectors.joining(", "));
    }

    private static String shortened(String level) {
        return level.length() > LONGEST_LEVEL ? level.substring(0, LONGEST_LEVEL - 1).strip() + "…" : level;
    }

    private Response mainResponse() {
        return main.map(ResponseAnswer::response).orElse(StandardResponse.EY_AS_DOSED);
    }

    private static boolean small(Characteristic one, Map<String, List<MeasuredShot>> byLevel) {
        double[] numbers = byLevel.values()
                .stream()
                .mapToDouble(shots -> one.variable().number(shots.get(0)).orElseThrow())
                .sorted()
                .toArray();
        return numbers[numbers.length - 1] - numbers[0] < one.tolerance();
    }

    private static String level(Characteristic one, MeasuredShot shot) {
        return (one.variable().level(shot).orElseThrow() + " " + one.variable().unit()).strip();
    }

    private static String signed(double number) {
        return DecimalText.exact(number).replace('-', '−');
    }

    private static String range(Characteristic one, List<MeasuredShot> known) {
        double[] sorted = known.stream()
                .mapToDouble(shot -> one.variable().number(shot).orElseThrow())
                .sorted()
                .toArray();
        double low = sorted[0];
        double high = sorted[sorted.length - 1];
        double digits = high - low < FINE ? 100 : 10;
        return (signed(Math.rint(low * digits) / digits) + "–" + signed(Math.rint(high * digits) / digits) + " "
                + one.variable().unit()).strip();
    }

    /** What of the question moved along with this one, so that the two cannot be told apart. */
    private Optional<String> movedWith(Characteristic one) {
        return main.flatMap(answer -> answer.confounders()
                .stream()
                .filter(confounder -> confounder.what().key().equals(one.variable().key()))
                .map(confounder -> Wording.small(confounder.asked().title()))
                .findFirst());
    }

    /** Levels of what is asked about at which nobody wrote this one down, where it is known at others. */
    private Optional<String> unknownAt(Characteristic one) {
        for (Variable asked : question.treatments()) {
            Map<String, List<MeasuredShot>> byLevel = byLevel(asked, shots);
            List<String> without = byLevel.entrySet()
                    .stream()
                    .filter(e -> e.getValue().stream().noneMatch(one.variable()::known))
                    .map(Map.Entry::getKey)
                    .toList();
            if (!without.isEmpty() && without.size() < byLevel.size() && !one.partOf(asked)) {
                return Optional.of(Wording.small(asked.title()) + " " + Wording.list(without));
            }
        }
        return Optional.empty();
    }

    private static Map<String, List<MeasuredShot>> byLevel(Variable variable, List<MeasuredShot> shots) {
        return shots.stream()
                .filter(shot -> variable.level(shot).isPresent())
                .collect(Collectors.groupingBy(shot -> variable.level(shot).orElseThrow(),
                        () -> new TreeMap<>(Levels.ORDER), Collectors.toList()));
    }

    /** Whether it stayed equal across what was asked about, by equivalence. */
    /** Whether something was shown to be even over the levels asked about, and what is said of it. */
    private record Evenness(boolean shown, String words) {

        static final Evenness UNTOLD = new Evenness(false, "");
    }

    private Evenness evenness(Characteristic one, List<MeasuredShot> known) {
        if (!one.variable().numeric() || !(one.tolerance() > 0)) {
            return Evenness.UNTOLD;
        }
        boolean asked = false;
        boolean open = false;
        for (Variable variable : question.variables()) {
            for (Effect effect : new StayedEqual(one).effects(variable, known)) {
                if (effect.verdict() instanceof Verdict.Differs) {
                    return new Evenness(false, ", moved with " + Wording.small(variable.title()) + ": "
                            + Wording.signed(effect) + " " + one.variable().unit() + " by " + Wording.what(effect));
                }
                asked = true;
                open |= !(effect.verdict() instanceof Verdict.SameInPractice);
            }
        }
        String within = one.tolerance() > 0
                ? "even within ±" + DecimalText.exact(one.tolerance()) + " " + one.variable().unit() : "equal";
        return !asked ? Evenness.UNTOLD
                : new Evenness(!open, open ? ", not shown to be " + within : ", " + within);
    }

    private static List<MeasuredShot> standingOut(Map<String, List<MeasuredShot>> byLevel, int known) {
        List<MeasuredShot> most = byLevel.values().stream().max(Comparator.comparingInt(List::size)).orElseThrow();
        List<MeasuredShot> few = byLevel.values()
                .stream()
                .filter(shots -> shots != most)
                .flatMap(List::stream)
                .toList();
        return few.size() <= MOST_STANDING_OUT * known ? few : List.of();
    }

    private void standingOut(String title, String words, List<MeasuredShot> few) {
        if (!few.isEmpty() && few.size() <= MOST_STANDING_OUT * shots.size()) {
            notes.add(BalanceNote.standingOut(BalanceNote.Kind.CHANGED, title, names(few) + " "
                    + (few.size() == 1 ? words : words.replace("was the first of its", "were the first of their")),
                    without(title, few)));
        }
    }

    /** Never silent, however many they are: where most shots lack a purge it matters most. */
    private void carriedOver() {
        List<MeasuredShot> held = shots.stream().filter(shot -> carryOver.shots().containsKey(shot.name())).toList();
        if (held.isEmpty()) {
            return;
        }
        boolean asked = question.variables()
                .stream()
                .anyMatch(variable -> variable.key().equals(RecordFactor.GRIND.key()));
        String words = (held.size() == 1 ? "shot " : "shots ")
                + Wording.list(held.stream().map(MeasuredShot::name).toList())
                + " followed a change of the grind without a known purge: about "
                + Math.round(100 * carryOver.share()) + " %, at most "
                + Math.round(100 * Math.min(1, carryOver.share() + 2 * carryOver.deviation()))
                + " % of the grounds may be those of the setting before ("
                + (carryOver.known() ? "what the grinder keeps, over the dose" : "assumed; nobody wrote down what the "
                        + "grinder keeps")
                + ")" + (asked ? "; it is taken out" : "");
        Optional<Sensitivity> without = held.size() <= MOST_STANDING_OUT * shots.size()
                ? without(CARRIED_OVER, held) : Optional.empty();
        notes.add(asked ? BalanceNote.doubtful(CARRIED_OVER, words, without)
                : BalanceNote.standingOut(BalanceNote.Kind.CHANGED, CARRIED_OVER, words, without));
    }

    /** Shots with an entry that was perhaps mistyped: they are compared as they stand, and once without. */
    private void hardlyMeant() {
        List<MeasuredShot> odd = shots.stream()
                .filter(shot -> !Plausibility.of(shot.record(), shot.measures().masses()).isEmpty())
                .toList();
        if (!odd.isEmpty()) {
            Plausibility.Doubt first = Plausibility.of(odd.get(0).record(), odd.get(0).measures().masses()).get(0);
            notes.add(
                    BalanceNote.doubtful(HARDLY_MEANT,
                            names(odd) + ": " + Wording.small(first.field().title()) + ", " + first.question()
                                    + (odd.size() > 1 ? " And likewise in the others" : ""),
                            without(HARDLY_MEANT, odd)));
        }
    }

    private void farOut() {
        List<MeasuredShot> far = main.map(ResponseAnswer::farOut).orElse(List.of());
        if (!far.isEmpty()) {
            notes.add(BalanceNote.doubtful(FAR_OUT,
                    names(far) + (far.size() == 1 ? " lies" : " lie") + " further from the others than chance explains",
                    without(FAR_OUT, far)));
        }
    }

    /** Variables of the question that can just be told apart, at the price of wide intervals. */
    private void almostTogether() {
        List<Variable> asked = question.variables();
        for (int i = 0; i < asked.size(); i++) {
            for (int j = 0; j < asked.size(); j++) {
                double share = i == j || j < i && asked.get(j).numeric() ? 0
                        : MovedTogether.share(asked.get(i), asked.get(j), shots);
                if (share > MovedTogether.ALMOST && share < 1 - 1e-9) {
                    notes.add(BalanceNote.of(BalanceNote.Kind.CHANGED,
                            asked.get(i).title() + " and " + Wording.small(asked.get(j).title()),
                            "moved almost together: their effects are told apart by few shots"));
                }
            }
        }
    }

    private Optional<Sensitivity> without(String why, List<MeasuredShot> few) {
        return main.flatMap(answer -> answer.effects()
                .stream()
                .filter(effect -> effect.estimate().isPresent())
                .findFirst()
                .flatMap(effect -> Sensitivity.of(question, shots, carryOver, why, few, answer, effect)));
    }

    static String names(List<MeasuredShot> some) {
        return (some.size() == 1 ? "shot " : "shots ")
                + some.stream().map(MeasuredShot::name).limit(8).collect(Collectors.joining(", "))
                + (some.size() > 8 ? " and " + (some.size() - 8) + " more" : "");
    }
}
