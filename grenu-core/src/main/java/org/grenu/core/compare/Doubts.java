package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.response.Characteristic;
import org.grenu.core.response.MatchedBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Variable;

/**
 * What an answer has to be held against: shots that stand apart, what nobody wrote down, what fell out, what the
 * arms consist of.
 */
final class Doubts {

    private static final int MOST_NAMED = 4;

    private final Question question;
    private final List<MeasuredShot> shots;
    private final List<BalanceNote> balance;
    private final MatchedBasis ground;

    Doubts(Question question, List<MeasuredShot> shots, List<BalanceNote> balance, MatchedBasis ground) {
        this.question = question;
        this.shots = shots;
        this.balance = balance;
        this.ground = ground;
    }

    /** {@return the doubts about that answer, a sentence each} */
    List<Doubt> of(ResponseAnswer main) {
        List<Doubt> doubts = new ArrayList<>();
        PairBadge.of(question, shots).ifPresent(pair -> doubts.add(new Doubt(pair.words() + ".", pair.oneThing())));
        balance.stream()
                .filter(BalanceNote::doubtsTheAnswer)
                .forEach(note -> doubts.add(Doubt.of(standingOut(note))));
        doubts.addAll(TastingForm.of(question, main.response(), shots).doubts());
        tooFewTell(main, doubts);
        notAdjusted(main, doubts);
        halfKnown(main, doubts);
        fallenOut(doubts);
        parts(main, doubts);
        return doubts;
    }

    private static String standingOut(BalanceNote note) {
        String words = note.ofShots() ? note.words() : note.title() + ": " + note.words();
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1) + (words.endsWith("?") ? "" : ".")
                + note.sensitivity().map(without -> " " + without.words()).orElse("");
    }

    /** A claim names how many shots it rests on where they are not all. */
    private void tooFewTell(ResponseAnswer main, List<Doubt> doubts) {
        int others = TastingForm.of(question, main.response(), shots).others().size();
        int missing = main.leftOut().size() - others;
        if (missing > 0 && !main.rows().isEmpty() && ground.tooShort().size() < missing) {
            doubts.add(Doubt.of(main.rows().size() + " of " + shots.size() + " shots tell: in "
                    + (missing == 1 ? "one " : missing + " ") + Wording.within(main.response().title())
                    + " or something asked about is unknown."));
        }
    }

    private static void notAdjusted(ResponseAnswer main, List<Doubt> doubts) {
        if (!main.notAdjusted().isEmpty()) {
            List<String> named = named(
                    main.notAdjusted().stream().map(one -> Wording.small(one.title())).toList());
            doubts.add(Doubt.of("Not adjusted for " + Wording.list(named)
                    + ", which moved along in part: that would need more shots, or the entry in all of them."));
        }
    }

    private void halfKnown(ResponseAnswer main, List<Doubt> doubts) {
        List<String> titles = balance.stream()
                .filter(note -> note.kind() == BalanceNote.Kind.HALF_KNOWN)
                .map(note -> Wording.small(note.title()))
                .toList();
        if (!titles.isEmpty() && shots.size() > 2 && !main.effects().isEmpty()) {
            List<String> named = named(titles);
            doubts.add(Doubt.of("Whether " + Wording.list(named) + " moved along is unknown: on one side nobody wrote "
                    + (titles.size() == 1 ? "it" : "them") + " down."));
        }
    }

    private static List<String> named(List<String> titles) {
        List<String> named = new ArrayList<>(
                titles.stream().limit(titles.size() > MOST_NAMED ? MOST_NAMED - 1 : MOST_NAMED).toList());
        if (titles.size() > MOST_NAMED) {
            named.add((titles.size() - MOST_NAMED + 1) + " more");
        }
        return named;
    }

    private void fallenOut(List<Doubt> doubts) {
        List<MeasuredShot> tooShort = ground.tooShort();
        if (!tooShort.isEmpty() && question.responses().stream().anyMatch(ground::offTheCurve)) {
            String ends = ends(tooShort);
            String names = BalanceReview.names(tooShort);
            doubts.add(Doubt.of(names.substring(0, 1).toUpperCase(Locale.ROOT) + names.substring(1)
                    + (tooShort.size() == 1 ? " ends at " : " end at ") + ends
                    + ", before the " + ground.words() + " at which curves are read, and "
                    + (tooShort.size() == 1 ? "falls" : "fall") + " out there."));
        }
    }

    private String ends(List<MeasuredShot> tooShort) {
        return ground.basis()
                .heldEqual()
                .map(held -> tooShort.stream()
                        .flatMap(shot -> held.of(shot).stream())
                        .map(amount -> DecimalText.exact(Math.rint(amount.value() * 10) / 10))
                        .collect(Collectors.joining(", ")) + " " + held.unit())
                .orElse("");
    }

    /** An arm is what was set for it: several things at once cannot be told apart. */
    private void parts(ResponseAnswer main, List<Doubt> doubts) {
        for (Variable asked : question.treatments()) {
            if (main.effects(asked).isEmpty() || !Characteristic.isLabel(asked)) {
                continue;
            }
            List<Characteristic> parts = new Circumstances(question, shots, ground).partsOf(asked);
            if (!parts.isEmpty()) {
                doubts.add(Doubt.of(
                        "The levels of " + Wording.small(asked.title()) + " differ in " + ConfounderCheck.names(parts)
                                + (parts.size() == 1 ? "." : ": which of them did it cannot be told.")));
            }
        }
    }
}
