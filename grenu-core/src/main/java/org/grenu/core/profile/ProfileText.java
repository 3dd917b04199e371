package org.grenu.core.profile;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.grenu.core.quantity.DecimalText;

/** Profiles as people write them, one step after another. */
final class ProfileText {

    private static final String NUMBER = "(\\d+(?:[.,]\\d+)?)";
    private static final Pattern STEP = Pattern.compile("([^:]{1,40}):\\s*(pressure|flow)\\s+" + NUMBER
            + "(?:\\s+to\\s+" + NUMBER + ")?(?:\\s+over\\s+" + NUMBER + "\\s*s)?(?:\\s*(?:±|\\+-|\\+/-)\\s*" + NUMBER
            + ")?"
            + "(?:\\s*,\\s*(pressure|flow)\\s+at\\s+most\\s+" + NUMBER + ")?(?:\\s*,\\s*water\\s+(?:at\\s+)?" + NUMBER
            + "(?:\\s*°?\\s*C)?)?(?:\\s+until\\s+(.+))?",
            Pattern.CASE_INSENSITIVE);
    private static final double USUAL_PRESSURE_TOLERANCE = 0.5;
    private static final double USUAL_FLOW_TOLERANCE = 0.3;
    private static final double COLDEST = 60;
    private static final double HOTTEST = 100;
    private static final int MOST_STEPS = 40;

    private final String text;

    ProfileText(String text) {
        this.text = text;
    }

    Profile profile() {
        List<ProfileStep> steps = new ArrayList<>();
        for (String part : text.split(";")) {
            if (!part.isBlank()) {
                steps.add(step(part.strip(), steps.size() + 1));
            }
        }
        if (steps.isEmpty() || steps.size() > MOST_STEPS) {
            throw new IllegalArgumentException(
                    "A profile has 1 to " + MOST_STEPS + " steps, this one has " + steps.size() + ".");
        }
        return new Profile(steps);
    }

    private static ProfileStep step(String part, int number) {
        Matcher matcher = STEP.matcher(part);
        if (part.length() > 400 || !matcher.matches()) {
            throw new IllegalArgumentException("Step " + number + " of the profile is not understood. Write it such as "
                    + "“soak: pressure 2.4 ±0.4 until 2 s after drip or 25 s”.");
        }
        Target target = target(matcher.group(2));
        boolean fromTo = matcher.group(4) != null;
        OptionalDouble from = fromTo ? OptionalDouble.of(value(matcher.group(3))) : OptionalDouble.empty();
        double to = value(matcher.group(fromTo ? 4 : 3));
        double ramp = matcher.group(5) == null ? 0 : value(matcher.group(5));
        double tolerance = matcher.group(6) == null
                ? target == Target.PRESSURE ? USUAL_PRESSURE_TOLERANCE : USUAL_FLOW_TOLERANCE : value(matcher.group(6));
        if (matcher.group(7) != null && target(matcher.group(7)) == target) {
            throw new IllegalArgumentException(
                    "Step " + number + " holds " + target.word() + ": it can limit only the other quantity.");
        }
        OptionalDouble limit = matcher.group(8) == null ? OptionalDouble.empty()
                : OptionalDouble.of(value(matcher.group(8)));
        OptionalDouble water = matcher.group(9) == null ? OptionalDouble.empty()
                : OptionalDouble.of(value(matcher.group(9)));
        if (water.isPresent() && !(water.getAsDouble() >= COLDEST && water.getAsDouble() <= HOTTEST)) {
            throw new IllegalArgumentException("Step " + number + ": water is brewed with between "
                    + DecimalText.exact(COLDEST) + " and " + DecimalText.exact(HOTTEST) + " °C.");
        }
        List<Exit> exits = matcher.group(10) == null ? List.of()
                : Arrays.stream(matcher.group(10).split("\\s+or\\s+")).map(Exit::parse).toList();
        if (!(tolerance > 0) || to > 30) {
            throw new IllegalArgumentException("Step " + number + ": values go up to 30, tolerances are above 0.");
        }
        return new ProfileStep(matcher.group(1).strip(), target, new ProfileStep.Course(from, to, ramp, tolerance),
                limit, water, exits);
    }

    private static Target target(String word) {
        return word.toLowerCase(Locale.ROOT).equals(Target.PRESSURE.word()) ? Target.PRESSURE : Target.FLOW;
    }

    private static double value(String number) {
        return DecimalText.parse(number)
                .orElseThrow(() -> new IllegalArgumentException(
                        "“" + (number.length() > 24 ? number.substring(0, 24) + "…" : number)
                                + "” is not a number that a step can hold."));
    }

    static String of(ProfileStep step) {
        StringBuilder text = new StringBuilder(step.name()).append(": ").append(step.target().word()).append(' ');
        step.from().ifPresent(from -> text.append(DecimalText.exact(from)).append(" to "));
        text.append(DecimalText.exact(step.to()));
        if (step.rampSeconds() > 0) {
            text.append(" over ").append(DecimalText.exact(step.rampSeconds())).append(" s");
        }
        text.append(" ±").append(DecimalText.exact(step.tolerance()));
        addLimit(step, text);
        step.water().ifPresent(water -> text.append(", water at ").append(DecimalText.exact(water)).append(" °C"));
        if (!step.exits().isEmpty()) {
            text.append(" until ").append(String.join(" or ", step.exits().stream().map(Exit::text).toList()));
        }
        return text.toString();
    }

    private static void addLimit(ProfileStep step, StringBuilder text) {
        step.limit()
                .ifPresent(limit -> text.append(", ")
                        .append(step.target() == Target.PRESSURE ? "flow" : "pressure")
                        .append(" at most ")
                        .append(DecimalText.exact(limit)));
    }
}
