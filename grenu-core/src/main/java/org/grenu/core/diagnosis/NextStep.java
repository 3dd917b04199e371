package org.grenu.core.diagnosis;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.grenu.core.extraction.Input;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Reported;
import org.grenu.core.quantity.Title;
import org.grenu.core.record.Masses;
import org.grenu.core.record.Plausibility;
import org.grenu.core.record.ShotRecord;

/**
 * The one thing to do next; two where schools disagree.
 *
 * @param change what to change, in a few words
 * @param reason why, a sentence
 * @param school whose advice that is; empty when it follows from the record alone
 * @param rank   how it stands beside the advice for the coffee
 */
public record NextStep(String change, String reason, String school, Rank rank) {

    /** How a step stands beside the advice for the coffee. */
    public enum Rank {
        /** A question, a missing number or a fault: before any advice. */
        BEFORE_ADVICE,
        /** What a school says of this shot alone. */
        OF_A_SCHOOL,
        /** This shot by itself asks for nothing. */
        NOTHING_ASKED
    }

    /** How many shots of a recipe show how much the next may differ (common practice, no source). */
    private static final int ENOUGH = 3;
    /** So many standard deviations from its siblings a shot is not one of them (common practice). */
    private static final double APART = 3;

    /**
     * {@return the step that the gravest and surest finding asks for} What is unknown or hardly meant comes before
     * any
     * advice but that of a fault; where nothing asks for a change, the shot's siblings say whether a repeat would.
     *
     * @param masses   the shot's
     * @param doubts   entries that were hardly meant
     * @param siblings shots of the same recipe, this one not among them
     */
    public static NextStep of(List<Finding> findings, Masses masses, List<Plausibility.Doubt> doubts,
            Siblings siblings) {
        if (!doubts.isEmpty()) {
            return new NextStep("Check the " + Title.inSentence(doubts.get(0).field().title()),
                    doubts.get(0).question() + " No advice is given before it is answered.", "",
                    Rank.BEFORE_ADVICE);
        }
        List<Finding> asking = asking(findings);
        boolean fault = !asking.isEmpty() && asking.get(0).severity() == Severity.FAULT;
        Optional<NextStep> unknown = unknown(masses);
        if (unknown.isPresent() && !fault) {
            return unknown.get();
        }
        return asking.isEmpty() ? repeat(masses, siblings)
                : advised(asking, fault ? Rank.BEFORE_ADVICE : Rank.OF_A_SCHOOL);
    }

    /**
     * {@return this step where that shot's grinder can take it; at the end of its scale that this is the limit, and
     * what can still move}
     */
    public NextStep withinReach(ShotRecord record) {
        String words = change.toLowerCase(Locale.ROOT);
        boolean finer = words.startsWith("grind") && words.contains("finer");
        boolean coarser = words.startsWith("grind") && words.contains("coarser");
        return GrinderScale.of(record)
                .filter(scale -> finer && scale.atFinest() || coarser && scale.atCoarsest())
                .map(scale -> new NextStep(
                        "Not by grinding: the grinder stands at its " + (finer ? "finest" : "coarsest"),
                        reason + " “" + change + "” cannot be carried out: " + DecimalText.exact(scale.set())
                                + " is the end of the grinder's scale. What can still move: dose, ratio, temperature"
                                + " and profile.",
                        school, rank))
                .orElse(this);
    }

    private static List<Finding> asking(List<Finding> findings) {
        return findings.stream()
                .filter(finding -> !finding.next().isEmpty())
                .sorted(Comparator.comparing(Finding::severity).thenComparingDouble(Finding::confidence).reversed())
                .toList();
    }

    private static Optional<NextStep> unknown(Masses masses) {
        List<Input> missing = masses.missing();
        boolean dose = missing.contains(Input.DOSE);
        return dose || missing.contains(Input.BEVERAGE)
                ? Optional.of(new NextStep("Enter the " + (dose ? "dose" : "beverage mass"),
                        "Advice rests on dose and beverage mass; without them none is given.", "",
                        Rank.BEFORE_ADVICE))
                : Optional.empty();
    }

    private static NextStep advised(List<Finding> asking, Rank rank) {
        Finding first = asking.get(0);
        Optional<Finding> other = ofAnotherSchool(first, asking);
        return other
                .map(second -> new NextStep(
                        first.next() + ", or " + second.next().substring(0, 1).toLowerCase(Locale.ROOT)
                                + second.next().substring(1),
                        "Two schools ask for different changes. " + first.statement()
                                + (second.statement().equals(first.statement()) ? "" : " " + second.statement())
                                + " Change only one of them.",
                        first.school() + "; " + second.school(), rank))
                .orElseGet(() -> new NextStep(first.next(), first.statement() + " Change only this.", first.school(),
                        rank));
    }

    private static Optional<Finding> ofAnotherSchool(Finding first, List<Finding> asking) {
        return asking.stream()
                .skip(1)
                .filter(finding -> finding.severity() == first.severity() && !finding.next().equals(first.next())
                        && !finding.school().equals(first.school()) && !finding.school().equals(Finding.SHARED_PRACTICE)
                        && !first.school().equals(Finding.SHARED_PRACTICE))
                .findFirst();
    }

    private static NextStep repeat(Masses masses, Siblings siblings) {
        int shots = siblings.count() + 1;
        if (shots < ENOUGH) {
            return new NextStep("Repeat this recipe", "Nothing asks for a change, and "
                    + (shots == 1 ? "one shot does" : "two shots do") + " not show how much the next may differ.", "",
                    Rank.NOTHING_ASKED);
        }
        Optional<Double> yield = masses.brew().map(brew -> brew.asDosed().percent().value());
        if (yield.isPresent() && siblings.spread().isPresent() && siblings.spread().getAsDouble() > 0) {
            double off = yield.get() - siblings.mean().orElseThrow();
            if (Math.abs(off) > APART * siblings.spread().getAsDouble() * Math.sqrt(1 + 1.0 / siblings.count())) {
                return new NextStep("Repeat this recipe", String.format(Locale.ROOT,
                        "This shot extracted %s points %s than its %d siblings, which spread by %s: find out what "
                                + "was otherwise before changing anything.",
                        Reported.fixed(Math.abs(off), 1), off > 0 ? "more" : "less", siblings.count(),
                        Reported.fixed(siblings.spread().getAsDouble(), 2)), "", Rank.NOTHING_ASKED);
            }
            return new NextStep("Keep this recipe", String.format(Locale.ROOT,
                    "Nothing asks for a change, and %d shots of it agree: their extraction spreads by %s points. A "
                            + "repeat would add little.",
                    shots, Reported.fixed(siblings.spread().getAsDouble(), 2)), "", Rank.NOTHING_ASKED);
        }
        return new NextStep("Keep this recipe", "Nothing asks for a change in " + shots
                + " shots of it. Strength readings would show how well they agree.", "", Rank.NOTHING_ASKED);
    }
}
