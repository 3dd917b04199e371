package org.grenu.desktop.compare;

import org.grenu.core.quantity.DisplayUnits;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.grenu.core.compare.Question;
import org.grenu.core.compare.ResponseSurface;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.Response;
import org.grenu.core.response.Variable;
import org.grenu.core.record.Factor;
import org.grenu.core.record.ShotRecord;

/**
 * What the user asks and wants to see.
 *
 * @param before factors that were chosen another time; those chosen since go first
 */
record CompareChoices(Asked asked, Judged judged, Shown shown, KeptFactors before) {

    static final CompareChoices USUAL = new CompareChoices(
            new Asked(Optional.empty(), List.of(), List.of(), ComparisonBasis.EQUAL_SETTING, Optional.empty()),
            new Judged(Map.of(), Map.of(), Map.of(), false, false), new Shown(Optional.empty(), AxisKind.FIRST_DRIP,
                    List.of(Channel.PRESSURE, Channel.CUP_FLOW, Channel.CUP_MASS)),
            KeptFactors.USUAL);

    /**
     * What is asked.
     *
     * @param others       variables beside the one that gives the colour; empty: those that changed
     * @param interactions pairs of variables that may act together, as {@code grind:profile}
     * @param responses    what is asked about; empty: the usual ones
     * @param basis        what is held equal
     * @param block        whose own level is taken out; empty: days, where the variables changed within them
     */
    record Asked(Optional<List<Variable>> others, List<String> interactions, List<Response> responses,
            ComparisonBasis basis, Optional<Optional<Factor>> block) {

        Asked {
            interactions = List.copyOf(interactions);
            responses = List.copyOf(responses);
        }
    }

    /**
     * What counts as a difference.
     *
     * @param margins by response key, where the user gave others than usual
     * @param steps   by variable key: the change that a numeric effect is stated for, where the user named one
     * @param windows by response key: what is wanted of it, where the user gave one
     * @param byLevel whether numeric treatments get a mean each rather than a line
     * @param holm    whether p-values are corrected for asking about several variables
     */
    record Judged(Map<String, Double> margins, Map<String, Double> steps, Map<String, ResponseSurface.Window> windows,
            boolean byLevel, boolean holm) {

        Judged {
            margins = Map.copyOf(margins);
            steps = Map.copyOf(steps);
            windows = Map.copyOf(windows);
        }
    }

    /**
     * What is drawn.
     *
     * @param sideBySide factor whose levels stand side by side; empty: the first that names things and changed
     * @param axis       what curves are lined up along
     * @param channels   the strips
     */
    record Shown(Optional<Optional<Factor>> sideBySide, AxisKind axis, List<Channel> channels) {

        Shown {
            channels = List.copyOf(channels);
        }
    }

    Optional<List<Variable>> others() {
        return asked.others;
    }

    List<String> interactions() {
        return asked.interactions;
    }

    List<Response> responses() {
        return asked.responses;
    }

    ComparisonBasis basis() {
        return asked.basis;
    }

    Optional<Optional<Factor>> block() {
        return asked.block;
    }

    Map<String, Double> margins() {
        return judged.margins;
    }

    Map<String, Double> steps() {
        return judged.steps;
    }

    Map<String, ResponseSurface.Window> windows() {
        return judged.windows;
    }

    boolean byLevel() {
        return judged.byLevel;
    }

    boolean holm() {
        return judged.holm;
    }

    Optional<Optional<Factor>> sideBySide() {
        return shown.sideBySide;
    }

    AxisKind axis() {
        return shown.axis;
    }

    List<Channel> channels() {
        return shown.channels;
    }

    /** {@return these choices with that factor first} */
    CompareChoices withFirst(Factor chosen) {
        return new CompareChoices(asked, judged, shown, before.withFirst(chosen));
    }

    /** {@return the variables beside the first: chosen now or another time, or those that changed} */
    List<Variable> others(Factor first, List<ShotRecord> sheets) {
        return others().or(() -> before.others(sheets, first)).orElseGet(() -> Proposal.treatments(sheets, first));
    }

    /** {@return what stands side by side: chosen now or another time, or what is usual} */
    Optional<Factor> sideBySide(Factor first, List<ShotRecord> sheets) {
        return sideBySide().or(() -> before.sideBySide(sheets)).orElseGet(() -> Proposal.sideBySide(sheets, first));
    }

    /** {@return what of it is kept for the next time} */
    String kept() {
        return "steps=" + numbers(steps()) + "\nbasis=" + basis().key() + "\naxis=" + axis().key() + "\nstrips="
                + channels().stream().map(Channel::key).collect(Collectors.joining(" "))
                + "\nresponses=" + responses().stream().map(Response::key).collect(Collectors.joining(";")) + "\nholm="
                + holm() + "\nby_level=" + byLevel() + "\nmargins="
                + numbers(margins())
                + "\nwindows="
                + windows().entrySet()
                        .stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(one -> one.getKey() + ":" + text(one.getValue()))
                        .collect(Collectors.joining(";"))
                + before.with(others(), block(), sideBySide()).lines();
    }

    private static String numbers(Map<String, Double> named) {
        return named.entrySet()
                .stream()
                .sorted(Map.Entry.comparingByKey())
                .map(one -> one.getKey() + ":" + DecimalText.exact(one.getValue()))
                .collect(Collectors.joining(";"));
    }

    private static Map<String, Double> numbers(String text) {
        Map<String, Double> numbers = new HashMap<>();
        for (String one : text.split(";")) {
            int colon = one.lastIndexOf(':');
            DecimalText.parse(colon < 1 ? "" : one.substring(colon + 1))
                    .ifPresent(number -> numbers.put(one.substring(0, colon), number));
        }
        return numbers;
    }

    /** {@return the window as it is typed, such as {@code 18–22}} */
    static String text(ResponseSurface.Window window) {
        return DecimalText.exact(window.low()) + "–" + DecimalText.exact(window.high());
    }

    /** {@return the window typed so; empty when it is none} */
    static Optional<ResponseSurface.Window> window(String typed) {
        String[] ends = typed.split("[–-]", 2);
        OptionalDouble low = DecimalText.parse(ends[0]);
        OptionalDouble high = ends.length < 2 ? OptionalDouble.empty() : DecimalText.parse(ends[1]);
        return low.isPresent() && high.isPresent() && low.getAsDouble() < high.getAsDouble()
                ? Optional.of(new ResponseSurface.Window(low.getAsDouble(), high.getAsDouble())) : Optional.empty();
    }

    /** {@return what is wanted: the user's windows before the usual ones} */
    Map<String, ResponseSurface.Window> wanted() {
        Map<String, ResponseSurface.Window> wanted = new HashMap<>(ResponseSurface.USUAL_WINDOWS);
        wanted.putAll(windows());
        return wanted;
    }

    CompareChoices withOthers(List<Variable> chosen) {
        return new CompareChoices(new Asked(Optional.of(List.copyOf(chosen)), asked.interactions, asked.responses,
                asked.basis, asked.block), judged, shown, before);
    }

    CompareChoices withInteractions(List<String> chosen) {
        return new CompareChoices(new Asked(asked.others, chosen, asked.responses, asked.basis, asked.block), judged,
                shown, before);
    }

    CompareChoices withResponses(List<Response> chosen) {
        return new CompareChoices(new Asked(asked.others, asked.interactions, chosen, asked.basis, asked.block), judged,
                shown, before);
    }

    CompareChoices withBasis(ComparisonBasis chosen) {
        return new CompareChoices(new Asked(asked.others, asked.interactions, asked.responses, chosen, asked.block),
                judged, shown, before);
    }

    CompareChoices withBlock(Optional<Factor> chosen) {
        return new CompareChoices(
                new Asked(asked.others, asked.interactions, asked.responses, asked.basis, Optional.of(chosen)), judged,
                shown, before);
    }

    CompareChoices withMargins(Map<String, Double> chosen) {
        return new CompareChoices(asked, new Judged(chosen, judged.steps, judged.windows, judged.byLevel, judged.holm),
                shown, before);
    }

    CompareChoices withSteps(Map<String, Double> chosen) {
        return new CompareChoices(asked,
                new Judged(judged.margins, chosen, judged.windows, judged.byLevel, judged.holm), shown, before);
    }

    CompareChoices withWindows(Map<String, ResponseSurface.Window> chosen) {
        return new CompareChoices(asked, new Judged(judged.margins, judged.steps, chosen, judged.byLevel, judged.holm),
                shown, before);
    }

    CompareChoices withByLevel(boolean chosen) {
        return new CompareChoices(asked, new Judged(judged.margins, judged.steps, judged.windows, chosen, judged.holm),
                shown, before);
    }

    CompareChoices withHolm(boolean chosen) {
        return new CompareChoices(asked,
                new Judged(judged.margins, judged.steps, judged.windows, judged.byLevel, chosen), shown, before);
    }

    CompareChoices withSideBySide(Optional<Factor> chosen) {
        return new CompareChoices(asked, judged, new Shown(Optional.of(chosen), shown.axis, shown.channels), before);
    }

    CompareChoices withAxis(AxisKind chosen) {
        return new CompareChoices(asked, judged, new Shown(shown.sideBySide, chosen, shown.channels), before);
    }

    CompareChoices withChannels(List<Channel> chosen) {
        return new CompareChoices(asked, judged, new Shown(shown.sideBySide, shown.axis, chosen), before);
    }

    /** {@return the choices kept so; what is not understood, as from a newer version, is passed over} */
    static CompareChoices kept(String text, List<Response> known) {
        Map<String, String> lines = new HashMap<>();
        text.lines()
                .filter(line -> line.indexOf('=') > 0)
                .forEach(
                        line -> lines.put(line.substring(0, line.indexOf('=')), line.substring(line.indexOf('=') + 1)));
        List<Channel> channels = Arrays.stream(Channel.values())
                .filter(channel -> List.of(lines.getOrDefault("strips", "").split(" ")).contains(channel.key()))
                .toList();
        List<String> wanted = List.of(lines.getOrDefault("responses", "").split(";"));
        Map<String, Double> margins = numbers(lines.getOrDefault("margins", ""));
        Map<String, Double> steps = numbers(lines.getOrDefault("steps", ""));
        steps.values().removeIf(step -> !(step > 0));
        Map<String, ResponseSurface.Window> windows = new HashMap<>();
        for (String window : lines.getOrDefault("windows", "").split(";")) {
            int colon = window.lastIndexOf(':');
            window(colon < 1 ? "" : window.substring(colon + 1))
                    .ifPresent(found -> windows.put(window.substring(0, colon), found));
        }
        Asked asked = new Asked(Optional.empty(), List.of(),
                known.stream().filter(response -> wanted.contains(response.key())).toList(),
                ComparisonBasis.find(lines.getOrDefault("basis", "")).orElse(USUAL.basis()), Optional.empty());
        Judged judged = new Judged(margins, steps, windows, Boolean.parseBoolean(lines.get("by_level")),
                Boolean.parseBoolean(lines.get("holm")));
        return new CompareChoices(asked, judged,
                new Shown(Optional.empty(), AxisKind.find(lines.getOrDefault("axis", "")).orElse(USUAL.axis()),
                        channels.isEmpty() ? USUAL.channels() : channels),
                KeptFactors.of(lines));
    }

    /** {@return the question with that first variable, about those shots} */
    Question question(Factor first, List<ShotRecord> sheets, List<Response> usual) {
        Variable main = new Variable.Treatment(first, byLevel() || !first.numeric());
        List<Variable> beside = beside(first, sheets);
        List<Variable> all = new ArrayList<>(List.of(main));
        all.addAll(beside);
        List<Question.Pair> pairs = pairs(all).stream().filter(pair -> interactions().contains(key(pair))).toList();
        return new Question(all, pairs, responses().isEmpty() ? usual : responses(), basis(),
                block().or(() -> before.block(sheets)).orElseGet(() -> Proposal.block(sheets, all)),
                new Question.Judging(margins(), steps(), holm()),
                DisplayUnits.CANONICAL);
    }

    private List<Variable> beside(Factor first, List<ShotRecord> sheets) {
        return others(first, sheets).stream()
                .filter(variable -> !variable.key().equals(first.key()))
                .map(variable -> variable instanceof Variable.Treatment treatment && byLevel()
                        ? new Variable.Treatment(treatment.factor(), true) : variable)
                .toList();
    }

    /** {@return every two of those variables} */
    static List<Question.Pair> pairs(List<Variable> variables) {
        List<Question.Pair> pairs = new ArrayList<>();
        for (int i = 0; i < variables.size(); i++) {
            for (int j = i + 1; j < variables.size(); j++) {
                pairs.add(new Question.Pair(variables.get(i), variables.get(j)));
            }
        }
        return pairs;
    }

    /** {@return the name under which a pair is chosen} */
    static String key(Question.Pair pair) {
        return pair.first().key() + ":" + pair.second().key();
    }
}
