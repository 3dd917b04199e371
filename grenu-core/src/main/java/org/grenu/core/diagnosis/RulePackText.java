package org.grenu.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.grenu.core.learn.Slope;
import org.grenu.core.quantity.DecimalText;

/** Reads a rule pack line by line: a word that says what the line is, then the rest. */
final class RulePackText {

    private static final Set<String> PACK_WORDS = Set.of("pack", "topic", "title", "chosen");
    private static final Set<String> RULE_WORDS = Set.of("severity", "sure", "say", "because", "at", "try", "next");
    private static final Set<String> START_WORDS = Set.of("take", "because");
    private static final Pattern RANGE = Pattern.compile("([\\d.]+)(?:\\s*[-–]\\s*([\\d.]+))?");
    private static final Pattern SHORT_NAME = Pattern.compile("[a-z0-9_]+");
    private static final int LONGEST = 100_000;

    private final String[] lines;
    private final String text;
    private final Map<String, String> head = new HashMap<>();
    private final List<FindingRule> rules = new ArrayList<>();
    private final Map<String, String> rule = new HashMap<>();
    private final List<Condition> conditions = new ArrayList<>();
    private final List<SchoolMove> moves = new ArrayList<>();
    private final List<StartRule> starts = new ArrayList<>();
    private Optional<StartEntry> start = Optional.empty();
    private String ruleName = "";
    private int ruleLine;

    RulePackText(String text) {
        this.text = text;
        this.lines = text.split("\n", -1);
    }

    RulePack pack() {
        if (text.length() > LONGEST) {
            throw new RulePackError(1, "the pack is longer than " + LONGEST + " characters.");
        }
        readLines();
        endBlock();
        if (head.getOrDefault("pack", "").isEmpty() || head.getOrDefault("title", "").isEmpty()) {
            throw new RulePackError(1, "a pack begins with “pack” and its short name, then “title” and its name.");
        }
        if (!SHORT_NAME.matcher(head.get("pack")).matches()) {
            throw new RulePackError(1, "a short name has small letters, digits and _ only, such as “sour_own”.");
        }
        return new RulePack(head.get("pack"), head.getOrDefault("topic", ""), head.get("title"),
                head.getOrDefault("chosen", "no").equals("yes"), rules, starts, text);
    }

    private void readLines() {
        for (int i = 0; i < lines.length; i++) {
            String line = lines[i].strip();
            if (!line.isEmpty() && line.charAt(0) != '#') {
                read(line, i + 1);
            }
        }
    }

    private void read(String line, int number) {
        int blank = line.indexOf(' ');
        String word = (blank < 0 ? line : line.substring(0, blank)).toLowerCase(Locale.ROOT);
        String rest = blank < 0 ? "" : line.substring(blank + 1).strip();
        if (rest.isEmpty()) {
            throw new RulePackError(number, "“" + word + "” stands alone; something must follow it.");
        }
        if (word.equals("rule") || word.equals("start")) {
            endBlock();
            begin(word, rest, number);
        } else if (outside() && PACK_WORDS.contains(word)) {
            head.put(word, rest);
        } else if (!outside() && word.equals("when")) {
            conditions.add(condition(rest, number));
        } else if (!ruleName.isEmpty() && word.equals("moves")) {
            moves.add(move(rest, number));
        } else if (start.isPresent() && START_WORDS.contains(word)) {
            rule.put(word, rest);
        } else if (!ruleName.isEmpty() && RULE_WORDS.contains(word)) {
            check(word, rest, number);
            rule.put(word, rest);
        } else {
            throw new RulePackError(number,
                    "“" + word + "” is not known here. A rule has the lines rule, severity, when, say, because, "
                            + "at, try, next, moves and sure; a start has start, when, take and because.");
        }
    }

    private boolean outside() {
        return ruleName.isEmpty() && start.isEmpty();
    }

    private void begin(String word, String rest, int number) {
        ruleLine = number;
        if (word.equals("rule")) {
            ruleName = rest;
            return;
        }
        start = StartEntry.find(rest);
        if (start.isEmpty()) {
            throw new RulePackError(number, "a start says something of " + Arrays.stream(StartEntry.values())
                    .map(StartEntry::key)
                    .collect(Collectors.joining(", ")) + ".");
        }
    }

    private static SchoolMove move(String rest, int number) {
        String[] words = rest.split("\\s+");
        OptionalDouble by = words.length == 2 ? DecimalText.parse(words[1]) : OptionalDouble.empty();
        for (Slope lever : Slope.values()) {
            if (lever != Slope.AGE && SchoolMove.key(lever).equals(words[0]) && by.orElse(0) != 0) {
                return new SchoolMove(lever, by.getAsDouble());
            }
        }
        throw new RulePackError(number, "write a move such as “moves grind 1”: grind in notches finer, dose or "
                + "beverage in g, temperature in °C.");
    }

    private void endBlock() {
        if (start.isPresent()) {
            endStart();
        } else {
            endRule();
        }
    }

    private void endStart() {
        Matcher range = RANGE.matcher(rule.getOrDefault("take", ""));
        if (!range.matches()) {
            throw new RulePackError(ruleLine, "a start takes a number or a range, such as “take 1.5” or “take 20–25”.");
        }
        double low = DecimalText.parse(range.group(1)).orElse(Double.NaN);
        double high = range.group(2) == null ? low : DecimalText.parse(range.group(2)).orElse(Double.NaN);
        if (!(high >= low)) {
            throw new RulePackError(ruleLine, "a range goes from the smaller number to the larger one.");
        }
        starts.add(new StartRule(start.orElseThrow(), conditions, low, high, rule.getOrDefault("because", "")));
        rule.clear();
        conditions.clear();
        start = Optional.empty();
    }

    private static Condition condition(String rest, int number) {
        String[] words = rest.split("\\s+");
        Fact fact = fact(words[0], number);
        for (Condition.Sign sign : Condition.Sign.values()) {
            boolean compares = sign == Condition.Sign.ABOVE || sign == Condition.Sign.BELOW;
            if (words.length == (compares ? 3 : 2) && words[1].equals(sign.text())) {
                OptionalDouble limit = compares ? DecimalText.parse(words[2]) : OptionalDouble.of(0);
                if (limit.isPresent()) {
                    return new Condition(fact, sign, limit.getAsDouble());
                }
            }
        }
        throw new RulePackError(number,
                "write a condition such as “when " + fact.name() + " > 10”, with >, <, known or unknown.");
    }

    private static Fact fact(String name, int number) {
        return Facts.find(name)
                .orElseThrow(() -> new RulePackError(number, "there is no fact “" + name + "”. " + near(name)));
    }

    /** Facts that share a word with what was written; who shares none is sent to the list. */
    private static String near(String name) {
        Set<String> words = new HashSet<>(Arrays.asList(name.split("_")));
        List<String> near = Facts.all()
                .stream()
                .map(Fact::name)
                .filter(known -> Arrays.stream(known.split("_"))
                        .anyMatch(word -> word.length() > 2 && words.contains(word)))
                .limit(5)
                .toList();
        return near.isEmpty() ? "docs/rules.md lists the facts." : "Perhaps " + String.join(", ", near) + "?";
    }

    private static void check(String word, String rest, int number) {
        switch (word) {
            case "severity" -> severity(rest, number);
            case "sure" -> checkShare(rest, number);
            case "at" -> fact(rest, number);
            default -> checkPlaces(rest, number);
        }
    }

    private static void checkShare(String rest, int number) {
        OptionalDouble share = DecimalText.parse(rest);
        if (share.isEmpty() || !(share.getAsDouble() > 0 && share.getAsDouble() <= 1)) {
            throw new RulePackError(number, "“sure” is a number above 0 and up to 1, such as 0.95.");
        }
    }

    private static void checkPlaces(String rest, int number) {
        Matcher places = FindingRule.PLACE.matcher(rest);
        while (places.find()) {
            fact(places.group(1), number);
        }
    }

    private static Severity severity(String rest, int number) {
        for (Severity severity : Severity.values()) {
            if (severity.name().equalsIgnoreCase(rest)) {
                return severity;
            }
        }
        throw new RulePackError(number, "a severity is note, check or fault.");
    }

    private void endRule() {
        if (ruleName.isEmpty()) {
            return;
        }
        refuseUnlessWhole();
        rules.add(new FindingRule(ruleName, severity(rule.get("severity"), ruleLine),
                DecimalText.parse(rule.getOrDefault("sure", "0.5")).orElseThrow(), conditions,
                Optional.ofNullable(rule.get("at")).map(name -> fact(name, ruleLine)), moves,
                new FindingWords(rule.get("say"), rule.getOrDefault("because", ""), rule.getOrDefault("try", ""),
                        rule.getOrDefault("next", ""))));
        rule.clear();
        conditions.clear();
        moves.clear();
        ruleName = "";
    }

    private void refuseUnlessWhole() {
        Set<String> wanting = new HashSet<>(Set.of("severity", "say"));
        wanting.removeAll(rule.keySet());
        if (!wanting.isEmpty() || conditions.isEmpty()) {
            throw new RulePackError(ruleLine,
                    "rule “" + ruleName + "” needs at least the lines severity, when and say.");
        }
    }
}
