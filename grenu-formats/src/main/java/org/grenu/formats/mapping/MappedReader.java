package org.grenu.formats.mapping;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.numbers.Samples;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;
import org.grenu.formats.GuardedReading;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ParsedShot;
import org.grenu.formats.ShotReader;

/** Reads shots out of a foreign log by a mapping. Stateless and safe for threads. */
public final class MappedReader {

    private static final Pattern CLOCK = Pattern
            .compile("(?:.*[T ])?(?:(\\d{1,2}):)?(\\d{1,2}):(\\d{1,2}(?:[.,]\\d{1,9})?)(?:Z|[+-]\\d{2}:?\\d{2})?");
    private static final int MOST_SHOTS = 2000;
    private static final int LONGEST_NAME = 200;
    private static final double NEAR_ZERO_SECONDS = 600;

    private final String file;
    private final TableMapping mapping;
    private final RawTable table;
    private final char decimalMark;

    private MappedReader(String file, TableMapping mapping, RawTable table) {
        this.file = file;
        this.mapping = mapping;
        this.table = table;
        this.decimalMark = mapping.shape() instanceof TableShape.Lines lines ? lines.decimalMark() : '.';
    }

    /**
     * {@return the shots in the file, in its order}
     *
     * @param file  its name, for messages
     * @param bytes all of it
     * @throws ImportFailure if it cannot be read by that mapping
     */
    public static List<ParsedShot> read(String file, byte[] bytes, TableMapping mapping) throws ImportFailure {
        return readText(file, ShotReader.text(file, bytes), mapping);
    }

    /** As {@link #read}, from text that is decoded already. */
    public static List<ParsedShot> readText(String file, String text, TableMapping mapping) throws ImportFailure {
        return GuardedReading.of(file,
                () -> new MappedReader(file, mapping, table(file, text, mapping.shape())).shots());
    }

    /** {@return the headings of the table that lies there} */
    public static List<String> headings(String file, String text, TableShape shape) throws ImportFailure {
        return GuardedReading.of(file, () -> table(file, text, shape).headings());
    }

    /** {@return the first cells of each column, by heading, for people to recognise it} */
    public static Map<String, String> samples(String file, String text, TableShape shape) throws ImportFailure {
        RawTable table = GuardedReading.of(file, () -> table(file, text, shape));
        Map<String, String> samples = new LinkedHashMap<>();
        for (int c = 0; c < table.headings().size(); c++) {
            int column = c;
            samples.put(table.headings().get(c),
                    IntStream.range(0, Math.min(3, table.rows().size()))
                            .mapToObj(i -> table.cell(i, column).strip())
                            .filter(cell -> !cell.isEmpty())
                            .map(cell -> cell.length() > 12 ? cell.substring(0, 12) + "…" : cell)
                            .collect(Collectors.joining("  ")));
        }
        return samples;
    }

    static RawTable table(String file, String text, TableShape shape) throws ImportFailure {
        return shape instanceof TableShape.Lines lines ? LineTable.read(file, text, lines)
                : JsonTable.read(file, JsonTable.parse(file, text), (TableShape.Json) shape);
    }

    private List<ParsedShot> shots() throws ImportFailure {
        Optional<ColumnRule> time = mapping.find(new ColumnRole.Time());
        if (time.isEmpty() && mapping.rate().isEmpty()) {
            throw new ImportFailure(file, 0, "No column is the time.",
                    "Choose one, or give the number of samples per second.");
        }
        if (mapping.columns().stream().noneMatch(rule -> rule.role() instanceof ColumnRole.OfChannel)) {
            throw new ImportFailure(file, 0, "No column is a channel.",
                    "Choose at least one: pressure, flow, cup mass or temperature.");
        }
        if (table.rows().isEmpty()) {
            throw new ImportFailure(file, 0, "There are no rows.",
                    "Check where they begin and what separates the cells.");
        }
        double[] seconds = time.isPresent() ? times(time.get()) : byRate(mapping.rate().getAsDouble());
        List<int[]> pieces = pieces(seconds);
        if (pieces.size() > MOST_SHOTS) {
            throw new ImportFailure(file, 0, "That makes more than " + MOST_SHOTS + " shots.",
                    "Choose another way to tell the shots apart.");
        }
        List<ParsedShot> shots = new ArrayList<>();
        for (int[] piece : pieces) {
            shots.add(shot(seconds, piece[0], piece[1], pieces.size() > 1 ? " (shot " + (shots.size() + 1) + ")" : ""));
        }
        return shots;
    }

    private double[] times(ColumnRule rule) throws ImportFailure {
        int column = column(rule);
        double[] seconds = new double[table.rows().size()];
        for (int i = 0; i < seconds.length; i++) {
            String cell = table.cell(i, column).strip();
            OptionalDouble number = number(cell);
            Matcher clock = number.isEmpty() && cell.length() < 40 ? CLOCK.matcher(cell) : null;
            if (number.isPresent()) {
                seconds[i] = rule.canonical(number.getAsDouble());
            } else if (clock != null && clock.matches()) {
                double hours = clock.group(1) == null ? 0 : Double.parseDouble(clock.group(1));
                seconds[i] = 3600 * hours + 60 * Double.parseDouble(clock.group(2))
                        + Double.parseDouble(clock.group(3).replace(',', '.'));
            } else {
                throw unreadable(rule, i, cell, "Every row needs a time: correct the cell, or choose another column.");
            }
        }
        return seconds;
    }

    private double[] byRate(double rate) throws ImportFailure {
        if (!(rate > 0.001 && rate <= 10_000)) {
            throw new ImportFailure(file, 0, "The number of samples per second must lie between 0.001 and 10000.",
                    "Correct it.");
        }
        double[] seconds = new double[table.rows().size()];
        Arrays.setAll(seconds, i -> i / rate);
        return seconds;
    }

    /** First row and the row after the last of each shot. */
    private List<int[]> pieces(double[] seconds) throws ImportFailure {
        List<int[]> pieces = new ArrayList<>();
        int begin = 0;
        int id = mapping.split().kind() == ShotSplit.Kind.ID ? idColumn() : -1;
        for (int i = 1; i <= seconds.length; i++) {
            boolean next = i == seconds.length || switch (mapping.split().kind()) {
                case NONE -> false;
                case ID -> !table.cell(i, id).strip().equals(table.cell(i - 1, id).strip());
                case GAP -> seconds[i] - seconds[i - 1] > mapping.split().seconds();
                case RESET -> seconds[i] < seconds[i - 1] - 1;
            };
            if (next) {
                pieces.add(new int[] {begin, i});
                begin = i;
            }
        }
        return pieces;
    }

    private int idColumn() throws ImportFailure {
        Optional<ColumnRule> rule = mapping.find(new ColumnRole.ShotId());
        if (rule.isEmpty()) {
            throw new ImportFailure(file, 0, "No column is the shot number.",
                    "Choose one, or another way to tell the shots apart.");
        }
        return column(rule.get());
    }

    private ParsedShot shot(double[] seconds, int from, int to, String which) throws ImportFailure {
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        ShotRecord record = ShotRecord.EMPTY;
        for (ColumnRule rule : mapping.columns()) {
            if (rule.role() instanceof ColumnRole.OfChannel of && !channels.containsKey(of.channel())) {
                channels.put(of.channel(), samples(rule, from, to));
            } else if (rule.role() instanceof ColumnRole.OfEntry of) {
                record = entered(record, of, rule, from, to);
            } else if (rule.role() instanceof ColumnRole.ShotId) {
                record = named(record, table.cell(from, column(rule)).strip());
            }
        }
        List<String> said = new ArrayList<>();
        double[] time = Arrays.copyOfRange(seconds, from, to);
        boolean far = Math.abs(time[0]) > NEAR_ZERO_SECONDS
                || which.length() > 0 && mapping.split().kind() != ShotSplit.Kind.RESET;
        if (far) {
            double first = time[0];
            Arrays.setAll(time, i -> Math.rint((time[i] - first) * 1e6) / 1e6);
            said.add("Times are counted from the shot's first row.");
        }
        ShotLog log = new ShotLog(Samples.of(time), channels);
        ShotReader.check(file + which, log);
        return new ParsedShot(new Shot(record, log), said);
    }

    /** What tells the shots of a file apart is their name, and nothing that was done to them. */
    private static ShotRecord named(ShotRecord record, String name) {
        return name.isEmpty() || name.length() > LONGEST_NAME || record.entry(RecordField.NAME).isPresent() ? record
                : record.with(RecordField.NAME, name);
    }

    private Samples samples(ColumnRule rule, int from, int to) throws ImportFailure {
        int column = column(rule);
        double[] values = new double[to - from];
        for (int i = from; i < to; i++) {
            String cell = table.cell(i, column).strip();
            boolean missing = cell.isEmpty() || cell.equalsIgnoreCase("nan") || cell.equalsIgnoreCase("null")
                    || cell.equals("-");
            OptionalDouble number = missing ? OptionalDouble.empty() : number(cell);
            if (!missing && number.isEmpty()) {
                throw unreadable(rule, i, cell,
                        "Correct the cell, empty it if the sample is missing, or choose not to read the column.");
            }
            values[i - from] = number.isPresent() ? rule.canonical(number.getAsDouble()) : Double.NaN;
        }
        return Samples.of(values);
    }

    private ShotRecord entered(ShotRecord record, ColumnRole.OfEntry of, ColumnRule rule, int from, int to)
            throws ImportFailure {
        int column = column(rule);
        for (int i = from; i < to; i++) {
            String cell = table.cell(i, column).strip();
            if (!cell.isEmpty()) {
                try {
                    return record.with(of.field(), cell);
                } catch (RefusedEntry refused) {
                    throw new ImportFailure(file, table.lines()[i],
                            "Column “" + rule.column() + "”: " + refused.getMessage(),
                            "Correct the cell, or choose not to read the column.");
                }
            }
        }
        return record;
    }

    private int column(ColumnRule rule) throws ImportFailure {
        int column = table.column(rule.column());
        if (column < 0) {
            throw new ImportFailure(file, 0, "There is no column “" + rule.column() + "”.",
                    "Found: " + String.join(", ",
                            table.headings().stream().limit(12).toList()) + ".");
        }
        return column;
    }

    private OptionalDouble number(String cell) {
        boolean otherMark = cell.indexOf(decimalMark == '.' ? ',' : '.') >= 0;
        return otherMark ? OptionalDouble.empty() : DecimalText.parse(cell);
    }

    private ImportFailure unreadable(ColumnRule rule, int row, String cell, String remedy) {
        return new ImportFailure(file, table.lines()[row], "Column “" + rule.column() + "” holds “"
                + (cell.length() > 24 ? cell.substring(0, 24) + "…" : cell) + "”, which is not a number"
                + (table.lines()[row] == 0 ? " (row " + (row + 1) + ")." : "."), remedy);
    }
}
