package org.grenu.core.diagnosis;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.Tasting;

/**
 * A rule as data: when all its conditions hold likely enough, its sentences are said with the shot's numbers in them.
 *
 * @param name       stable
 * @param severity   of its finding
 * @param sure       least probability at which it speaks, in (0, 1]
 * @param conditions all must hold
 * @param at         the fact that gives its place on the curve, s
 * @param moves      the levers that its school pulls, the first one first
 * @param words      with facts in braces, such as {@code {drip_wait_s}}; a plus before the brace's end shows the sign
 */
public record FindingRule(String name, Severity severity, double sure, List<Condition> conditions, Optional<Fact> at,
        List<SchoolMove> moves, FindingWords words) {

    private static final String TASTE = "taste_";
    private static final String LIKELIHOOD = "_likelihood_pct";
    /** Words picked out of a note are likely meant so, and not more than that (common practice, no source). */
    private static final double TASTE_AS_READ = 0.85;
    private static final int MOST_DECIMALS = 3;
    static final Pattern PLACE = Pattern.compile("\\{([a-z_]+)(\\+?)}");

    public FindingRule {
        moves = List.copyOf(moves);
        conditions = List.copyOf(conditions);
    }

    /** {@return whether it has something to say of that shot} */
    public boolean speaksOf(ShotContext shot, String school) {
        return look(shot, school).isPresent();
    }

    Optional<Finding> look(ShotContext shot, String school) {
        double confidence = 1;
        for (Condition condition : conditions) {
            confidence *= condition.probability(shot);
            if (confidence < sure) {
                return Optional.empty();
            }
        }
        OptionalDouble seconds = seconds(shot);
        boolean taste = conditions.stream().anyMatch(condition -> condition.fact().name().startsWith(TASTE));
        FindingWords said = new FindingWords(filled(words.statement(), shot),
                filled(words.evidence(), shot) + (taste ? "; " + RecordFacts.tasteAsRead(shot) : ""),
                filled(words.toTry(), shot), filled(words.next(), shot));
        return Optional.of(new Finding(name, severity, said, seconds,
                Math.min(confidence,
                        taste && Tasting.of(shot.record()).notes().isEmpty() ? TASTE_AS_READ : likelihood(shot)),
                school));
    }

    /** A sign is no surer than its likelihood, however clearly that lies above what the rule asks for. */
    private double likelihood(ShotContext shot) {
        return conditions.stream()
                .map(Condition::fact)
                .filter(fact -> fact.name().endsWith(LIKELIHOOD))
                .flatMap(fact -> fact.of(shot).stream())
                .mapToDouble(value -> value.value() / 100)
                .min()
                .orElse(1);
    }

    private OptionalDouble seconds(ShotContext shot) {
        return at.flatMap(fact -> fact.of(shot))
                .map(v -> OptionalDouble.of(v.value()))
                .orElse(OptionalDouble.empty());
    }

    private String filled(String text, ShotContext shot) {
        return PLACE.matcher(text)
                .replaceAll(match -> Matcher.quoteReplacement(number(match.group(1), !match.group(2).isEmpty(), shot)));
    }

    private String number(String name, boolean signed, ShotContext shot) {
        Fact fact = Facts.find(name).orElseThrow();
        return fact.of(shot)
                .map(v -> (signed && v.value() > 0 ? "+" : "") + Reported.fixed(v.value(), decimals(fact, v)))
                .orElse("unknown");
    }

    /** The fact's own; as many as were entered; and enough to tell it from the limit that it is held against. */
    private int decimals(Fact fact, FactValue value) {
        int decimals = fact.decimals();
        if (value.entered()) {
            String exact = DecimalText
                    .exact(Math.rint(value.value() * Math.pow(10, MOST_DECIMALS)) / Math.pow(10, MOST_DECIMALS));
            int point = exact.indexOf('.');
            decimals = Math.max(decimals, point < 0 ? 0 : exact.length() - point - 1);
        }
        for (Condition condition : conditions) {
            boolean compared = condition.fact().equals(fact)
                    && (condition.sign() == Condition.Sign.ABOVE || condition.sign() == Condition.Sign.BELOW);
            while (compared && decimals < MOST_DECIMALS
                    && Reported.fixed(value.value(), decimals).equals(Reported.fixed(condition.limit(), decimals))
                    && value.value() != condition.limit()) {
                decimals++;
            }
        }
        return decimals;
    }
}
