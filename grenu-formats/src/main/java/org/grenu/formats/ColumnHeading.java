package org.grenu.formats;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.grenu.core.curve.Channel;
import org.grenu.core.quantity.Quantity;
import org.grenu.core.quantity.Unit;

/**
 * What a column's heading says.
 *
 * @param heading as written
 * @param meaning what the column holds; empty when the heading is not understood or names a target
 * @param unit    the unit it names, if any
 * @param unknownUnit a unit in brackets that is not known for that quantity, else empty
 */
public record ColumnHeading(String heading, Optional<Meaning> meaning, Optional<Unit> unit, String unknownUnit) {

    private static final Pattern BRACKETED = Pattern.compile("(.*?)[\\[(]\\s*([^\\])]*)\\s*[\\])]\\s*");
    private static final Set<
            String> INTENDED = Set.of("target", "goal", "set", "setpoint", "setting", "planned", "limit");
    private static final Set<String> TIME = Set.of("time", "elapsed", "timestamp", "clock", "zeit", "temps", "tiempo",
            "tempo", "tijd");
    private static final Set<String> PRESSURE = Set.of("pressure", "press", "p", "druck", "pression", "presion",
            "presión", "pressione", "pressão", "druk");
    private static final Set<String> FLOW = Set.of("flow", "flowrate", "q", "durchfluss", "fluss", "debit", "débit",
            "caudal", "flusso", "portata", "vazão", "debiet");
    private static final Set<
            String> CUP_SIDE = Set.of("cup", "out", "weight", "mass", "scale", "beverage", "gravimetric", "tasse",
                    "tazza", "taza");
    private static final Set<String> MASS = Set.of("mass", "weight", "grams", "scale", "masse", "gewicht", "poids",
            "peso", "massa", "waage");
    private static final Set<String> TEMPERATURE = Set.of("temperature", "temp", "temperatur", "température",
            "temperatura", "temperatuur");
    /** What is measured by volume is no mass, however its numbers rise. */
    private static final Set<String> VOLUME = Set.of("volume", "vol", "volumen", "ml", "cc", "pumped", "dispensed");

    /** Time or one of the channels. */
    public sealed interface Meaning {
        /** {@return what its numbers measure} */
        Quantity quantity();
    }

    /** The time of the row. */
    public record TimeColumn() implements Meaning {
        @Override
        public Quantity quantity() {
            return Quantity.TIME;
        }
    }

    /** A channel's samples. */
    public record ChannelColumn(Channel channel) implements Meaning {
        @Override
        public Quantity quantity() {
            return channel.quantity();
        }
    }

    /** {@return what that heading says} */
    public static ColumnHeading parse(String heading) {
        Matcher bracketed = BRACKETED.matcher(heading);
        boolean hasBrackets = bracketed.matches();
        String name = hasBrackets ? bracketed.group(1) : heading;
        String unitText = hasBrackets ? bracketed.group(2).strip() : "";
        List<String> words = words(name);
        if (words.stream().anyMatch(INTENDED::contains)) {
            return new ColumnHeading(heading, Optional.empty(), Optional.empty(), "");
        }
        if (unitText.isEmpty()) {
            unitText = trailingUnit(name);
        }
        Optional<Meaning> meaning = meaning(words, unitText);
        if (meaning.isEmpty()) {
            return new ColumnHeading(heading, Optional.empty(), Optional.empty(), "");
        }
        Optional<Unit> unit = Unit.find(unitText, meaning.get().quantity());
        return new ColumnHeading(heading, meaning, unit, hasBrackets && unit.isEmpty() ? unitText : "");
    }

    private static Optional<Meaning> meaning(List<String> words, String unitText) {
        if (has(words, FLOW)) {
            boolean massFlow = Unit.find(unitText, Quantity.MASS_FLOW).isPresent();
            boolean volumeFlow = Unit.find(unitText, Quantity.VOLUME_FLOW).isPresent();
            boolean cupSide = massFlow || !volumeFlow && has(words, CUP_SIDE);
            return Optional.of(new ChannelColumn(cupSide ? Channel.CUP_FLOW : Channel.PUMP_FLOW));
        }
        if (has(words, PRESSURE) || words.equals(List.of("bar")) || words.equals(List.of("psi"))) {
            return Optional.of(new ChannelColumn(Channel.PRESSURE));
        }
        // “t” alone is the time; beside another word, as in “basket_T”, it is a temperature.
        boolean ofSomething = words.size() > 1 && words.contains("t") && Unit.find(unitText, Quantity.TIME).isEmpty();
        if (has(words, TEMPERATURE) || ofSomething) {
            return Optional.of(new ChannelColumn(Channel.TEMPERATURE));
        }
        boolean grams = Unit.find(unitText, Quantity.MASS).isPresent();
        if (has(words, VOLUME) && !grams) {
            return Optional.empty();
        }
        if (has(words, MASS) || words.equals(List.of("cup")) || grams && has(words, CUP_SIDE)
                || grams && has(words, Set.of("w", "m"))) {
            return Optional.of(new ChannelColumn(Channel.CUP_MASS));
        }
        if (words.equals(List.of("step")) || words.equals(List.of("profile", "step"))) {
            return Optional.of(new ChannelColumn(Channel.STEP));
        }
        if (has(words, TIME) || words.contains("t") || words.equals(List.of("s")) || words.equals(List.of("ms"))
                || words.equals(List.of("seconds")) || words.equals(List.of("sec"))) {
            return Optional.of(new TimeColumn());
        }
        return Optional.empty();
    }

    private static boolean has(List<String> words, Set<String> known) {
        return words.stream().anyMatch(known::contains);
    }

    /** {@return whether the heading names a volume: such a column never is the cup's mass} */
    public static boolean namesVolume(String heading) {
        return has(words(heading), VOLUME);
    }

    /** {@code cupMass}, {@code cup_mass} and {@code Cup mass} are the same words. */
    private static List<String> words(String name) {
        String spaced = name.replaceAll("(\\p{Ll})(\\p{Lu})", "$1 $2").toLowerCase(Locale.ROOT);
        return Arrays.stream(spaced.split("[^\\p{L}]+")).filter(w -> !w.isEmpty()).toList();
    }

    /** The unit after the last blank, underscore or comma, as in {@code pressure_bar} or {@code time ms}. */
    private static String trailingUnit(String name) {
        String plain = name.strip();
        for (int i = 0; i < plain.length(); i++) {
            boolean separator = " _,".indexOf(plain.charAt(i)) >= 0;
            if (separator && Unit.find(plain.substring(i + 1)).isPresent()) {
                return plain.substring(i + 1);
            }
        }
        return Unit.find(plain).isPresent() ? plain : "";
    }
}
