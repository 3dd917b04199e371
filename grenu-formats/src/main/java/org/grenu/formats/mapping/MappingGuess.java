package org.grenu.formats.mapping;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.grenu.core.curve.Channel;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Quantity;
import org.grenu.core.quantity.Unit;
import org.grenu.core.record.RecordField;
import org.grenu.formats.ColumnHeading;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.UsualUnit;

/**
 * How a log that nobody has mapped yet is probably meant, with a reason for every guess.
 *
 * @param mapping the guess
 * @param reasons why, by column heading; {@code shape} and {@code split} for those
 * @param doubtful columns whose unit the numbers leave open
 */
public record MappingGuess(TableMapping mapping, Map<String, String> reasons, Set<String> doubtful) {

    /** Key of the reason for the table's shape. */
    public static final String SHAPE = "shape";
    /** Key of the reason for how shots are told apart. */
    public static final String SPLIT = "split";

    private static final char[] DELIMITERS = {'\t', ';', ',', '|'};
    private static final int LOOKED_AT = 60;
    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d*[.,]?\\d+([eE][+-]?\\d+)?");
    private static final Set<
            String> ID_WORDS = Set.of("shot", "shot_id", "shotid", "id", "run", "run_id", "runid", "brew", "brew_id",
                    "shot number", "shot no", "versuch", "bezug");
    private static final double LONG_PAUSE_SECONDS = 20;

    public MappingGuess {
        reasons = Map.copyOf(reasons);
        doubtful = Set.copyOf(doubtful);
    }

    /**
     * {@return the guess for that text}
     *
     * @throws ImportFailure if it holds no table at all
     */
    public static MappingGuess of(String file, String text) throws ImportFailure {
        String start = text.stripLeading();
        if (start.isEmpty()) {
            throw new ImportFailure(file, 0, "The file is empty.", "Choose another file.");
        }
        Map<String, String> reasons = new LinkedHashMap<>();
        TableShape shape;
        if (start.startsWith("{") || start.startsWith("[")) {
            shape = json(file, text, reasons);
        } else {
            shape = lines(text, reasons);
        }
        return columns(file, text, shape, reasons);
    }

    private static TableShape json(String file, String text, Map<String, String> reasons) throws ImportFailure {
        String path = JsonTable.largest(JsonTable.parse(file, text));
        reasons.put(SHAPE,
                "JSON; the largest table lies " + (path.isEmpty() ? "at its root" : "at “" + path + "”"));
        return new TableShape.Json(path);
    }

    /**
     * {@return whether nothing of it is a guess by numbers alone: headings name the time and each channel, their units
     * are named or the numbers leave no doubt, and shots are told apart by a column or there is but one}
     */
    public boolean sure() {
        boolean channels = false;
        boolean time = false;
        for (ColumnRule rule : mapping.columns()) {
            boolean read = rule.role() instanceof ColumnRole.OfChannel || rule.role() instanceof ColumnRole.Time;
            if (read && ColumnHeading.parse(rule.column()).meaning().isEmpty() || doubtful.contains(rule.column())) {
                return false;
            }
            channels |= rule.role() instanceof ColumnRole.OfChannel;
            time |= rule.role() instanceof ColumnRole.Time;
        }
        return channels && time && (mapping.split().equals(ShotSplit.NONE)
                || mapping.split().kind() == ShotSplit.Kind.ID);
    }

    /** {@return the guess for the columns of a table whose place the user has chosen} */
    public static MappingGuess of(String file, String text, TableShape shape) throws ImportFailure {
        return columns(file, text, shape, new LinkedHashMap<>(Map.of(SHAPE, "as chosen")));
    }

    private static TableShape lines(String text, Map<String, String> reasons) {
        List<String> lines = text.lines().limit(LOOKED_AT).toList();
        char delimiter = ',';
        int most = 0;
        for (char candidate : DELIMITERS) {
            int steady = steadiness(lines, candidate);
            if (steady > most) {
                most = steady;
                delimiter = candidate;
            }
        }
        char mark = decimalMark(lines, delimiter);
        int first = firstRow(lines, delimiter);
        int heading = first > 1 && cells(lines.get(first - 2), delimiter).length > 1 ? first - 1 : 0;
        reasons.put(SHAPE, "cells separated by " + name(delimiter) + " in " + most + " of the first " + lines.size()
                + " lines, decimal "
                + (mark == '.' ? "point" : "comma") + (heading == 0 ? ", no heading" : ", heading in line " + heading));
        return new TableShape.Lines(delimiter, mark, heading, Math.max(first, heading + 1));
    }

    private static String name(char delimiter) {
        return switch (delimiter) {
            case '\t' -> "tabs";
            case ';' -> "semicolons";
            case ',' -> "commas";
            default -> "“" + delimiter + "”";
        };
    }

    /** In how many lines that delimiter makes as many cells as in most lines. */
    private static int steadiness(List<String> lines, char delimiter) {
        Map<Integer, Integer> counts = new LinkedHashMap<>();
        lines.stream()
                .map(line -> cells(line, delimiter).length)
                .filter(n -> n > 1)
                .forEach(n -> counts.merge(n, 1, Integer::sum));
        return counts.values().stream().mapToInt(Integer::intValue).max().orElse(0);
    }

    private static char decimalMark(List<String> lines, char delimiter) {
        if (delimiter == ',') {
            return '.';
        }
        long commas = lines.stream()
                .flatMap(line -> Arrays.stream(cells(line, delimiter)))
                .filter(cell -> cell.strip().matches("[+-]?\\d+,\\d+"))
                .count();
        long points = lines.stream()
                .flatMap(line -> Arrays.stream(cells(line, delimiter)))
                .filter(cell -> cell.strip().matches("[+-]?\\d+\\.\\d+"))
                .count();
        return commas > points ? ',' : '.';
    }

    /** The first line, from 1, in which at least half of several cells are numbers. */
    private static int firstRow(List<String> lines, char delimiter) {
        for (int i = 0; i < lines.size(); i++) {
            String[] cells = cells(lines.get(i), delimiter);
            long numbers = Arrays.stream(cells)
                    .filter(cell -> NUMBER.matcher(cell.strip()).matches() || cell.strip().matches("[\\d:T .+Z-]{5,}"))
                    .count();
            if (cells.length > 1 && 2 * numbers >= cells.length && !lines.get(i).startsWith("#")) {
                return i + 1;
            }
        }
        return 2;
    }

    private static String[] cells(String line, char delimiter) {
        return line.split(Pattern.quote(String.valueOf(delimiter)), -1);
    }

    private static MappingGuess columns(String file, String text, TableShape shape, Map<String, String> reasons)
            throws ImportFailure {
        RawTable table = MappedReader.table(file, text, shape);
        char mark = shape instanceof TableShape.Lines lines ? lines.decimalMark() : '.';
        List<ColumnRule> rules = new ArrayList<>();
        Set<ColumnRole> taken = new HashSet<>();
        Set<String> doubtful = new HashSet<>();
        for (int c = 0; c < table.headings().size(); c++) {
            ColumnRule rule = rule(table, c, mark, reasons);
            if (inDoubt(rule, table, c, mark)) {
                doubtful.add(rule.column());
            }
            boolean again = !(rule.role() instanceof ColumnRole.NotRead) && !taken.add(rule.role());
            if (again) {
                reasons.put(rule.column(), "another column is read as " + rule.role().title() + " already");
            }
            rules.add(again ? ColumnRule.of(rule.column(), new ColumnRole.NotRead(), Optional.empty()) : rule);
        }
        if (!taken.contains(new ColumnRole.Time())) {
            rising(table, mark, rules, reasons);
        }
        for (int c = 0; c < rules.size(); c++) {
            if (rules.get(c).role() instanceof ColumnRole.NotRead
                    && ColumnHeading.parse(rules.get(c).column()).meaning().isEmpty()) {
                ColumnRule byNumbers = ShapeGuess.of(rules.get(c).column(), numbers(table, c, mark), reasons);
                if (taken.add(byNumbers.role())) {
                    rules.set(c, byNumbers);
                } else if (!(byNumbers.role() instanceof ColumnRole.NotRead)) {
                    reasons.put(byNumbers.column(),
                            "another column is read as " + byNumbers.role().title() + " already");
                }
            }
        }
        TableMapping mapping = new TableMapping("", shape, rules, OptionalDouble.empty(), ShotSplit.NONE);
        return new MappingGuess(mapping.with(split(table, mapping, mark, reasons)), reasons, doubtful);
    }

    private static ColumnRule rule(RawTable table, int c, char mark, Map<String, String> reasons) {
        String heading = table.headings().get(c);
        String plain = heading.strip().toLowerCase(Locale.ROOT);
        if (heading.equals(JsonTable.ELEMENT) || ID_WORDS.contains(plain) && distinct(table, c) > 1) {
            reasons.put(heading, "its heading names a shot, and it changes");
            return ColumnRule.of(heading, new ColumnRole.ShotId(), Optional.empty());
        }
        Optional<RecordField> field = RecordField.find(plain.replace(' ', '_'));
        if (field.isPresent()) {
            reasons.put(heading, "its heading is the name of an entry");
            return ColumnRule.of(heading, new ColumnRole.OfEntry(field.get()), Optional.empty());
        }
        ColumnHeading said = ColumnHeading.parse(heading);
        Optional<ColumnRole> role = said.meaning()
                .map(meaning -> meaning instanceof ColumnHeading.ChannelColumn of
                        ? new ColumnRole.OfChannel(of.channel()) : new ColumnRole.Time());
        if (role.isEmpty()) {
            reasons.put(heading, "its heading is not understood");
            return ColumnRule.of(heading, new ColumnRole.NotRead(), Optional.empty());
        }
        Optional<Unit> named = said.unit();
        double[] numbers = numbers(table, c, mark);
        Unit unit = named.orElseGet(() -> UsualUnit.of(role.get().quantity().orElse(Quantity.NUMBER), numbers).unit());
        String why = named.isPresent() ? "its heading says so, with the unit" : "its heading says so; "
                + (numbers.length == 0 ? "no numbers to tell the unit"
                        : "the unit by its numbers, up to " + DecimalText.exact(Math.rint(100 * max(numbers)) / 100));
        if (role.get().equals(new ColumnRole.OfChannel(Channel.CUP_MASS))) {
            ColumnRule byNumbers = ShapeGuess.of(heading, numbers, reasons);
            // A scale that counts down is a filling cup all the same.
            if (byNumbers.negated()) {
                return byNumbers;
            }
        }
        reasons.put(heading, why);
        return ColumnRule.of(heading, role.get(), Optional.of(unit));
    }

    private static boolean inDoubt(ColumnRule rule, RawTable table, int c, char mark) {
        return rule.role().quantity().isPresent() && ColumnHeading.parse(rule.column()).unit().isEmpty()
                && UsualUnit.of(rule.role().quantity().get(), numbers(table, c, mark)).inDoubt();
    }

    /** Without a heading that names it, the time is the first column that rises throughout. */
    private static void rising(RawTable table, char mark, List<ColumnRule> rules, Map<String, String> reasons) {
        for (int c = 0; c < rules.size(); c++) {
            double[] numbers = numbers(table, c, mark);
            boolean rises = numbers.length > 3 && numbers[1] > numbers[0];
            for (int i = 1; i < numbers.length; i++) {
                // A clock that starts again rises, too.
                rises &= numbers[i] > numbers[i - 1] || numbers[i] <= numbers[0] + (numbers[1] - numbers[0]) * 2;
            }
            if (rises && rules.get(c).role() instanceof ColumnRole.NotRead) {
                rules.set(c, ColumnRule.of(rules.get(c).column(), new ColumnRole.Time(),
                        Optional.of(UsualUnit.of(Quantity.TIME, numbers).unit())));
                reasons.put(rules.get(c).column(), "its numbers rise throughout");
                return;
            }
        }
    }

    private static ShotSplit split(RawTable table, TableMapping mapping, char mark, Map<String, String> reasons) {
        if (mapping.find(new ColumnRole.ShotId()).isPresent()) {
            reasons.put(SPLIT, "a column numbers the shots");
            return new ShotSplit(ShotSplit.Kind.ID, 0);
        }
        Optional<ColumnRule> time = mapping.find(new ColumnRole.Time());
        int column = time.map(rule -> table.column(rule.column())).orElse(-1);
        int resets = 0;
        double longest = 0;
        double before = Double.NaN;
        for (int i = 0; column >= 0 && i < table.rows().size(); i++) {
            OptionalDouble number = number(table.cell(i, column), mark);
            if (number.isPresent()) {
                double now = time.get().canonical(number.getAsDouble());
                resets += now < before - 5 && now < 2 ? 1 : 0;
                longest = now - before > longest ? now - before : longest;
                before = now;
            }
        }
        if (resets > 0) {
            reasons.put(SPLIT, "the time starts again from near zero " + (resets == 1 ? "once" : resets + " times"));
            return new ShotSplit(ShotSplit.Kind.RESET, 0);
        }
        if (longest > LONG_PAUSE_SECONDS) {
            reasons.put(SPLIT, String.format(Locale.ROOT, "there is a pause of %.0f s", longest));
            return new ShotSplit(ShotSplit.Kind.GAP, LONG_PAUSE_SECONDS);
        }
        reasons.put(SPLIT, "the time runs on without long pauses");
        return ShotSplit.NONE;
    }

    private static double max(double[] numbers) {
        return Arrays.stream(numbers).max().orElse(0);
    }

    private static double[] numbers(RawTable table, int column, char mark) {
        return IntStream.range(0, Math.min(20_000, table.rows().size()))
                .mapToObj(i -> number(table.cell(i, column), mark))
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .toArray();
    }

    private static OptionalDouble number(String cell, char mark) {
        return cell.indexOf(mark == '.' ? ',' : '.') >= 0 ? OptionalDouble.empty() : DecimalText.parse(cell);
    }

    private static long distinct(RawTable table, int column) {
        return IntStream.range(0, table.rows().size())
                .mapToObj(i -> table.cell(i, column).strip())
                .distinct()
                .limit(5)
                .count();
    }
}
