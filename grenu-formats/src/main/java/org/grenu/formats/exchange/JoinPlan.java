package org.grenu.formats.exchange;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.formats.EntryHeading;
import org.grenu.formats.EntryHeading.Meaning;
import org.grenu.formats.WrittenMoment;
import org.grenu.formats.exchange.JoinedTable.Candidate;
import org.grenu.formats.exchange.JoinedTable.Joined;
import org.grenu.formats.exchange.JoinedTable.Line;
import org.grenu.formats.exchange.JoinedTable.Plan;

/** Holds the rows of a table against shots and says what joining them would do. */
final class JoinPlan {

    private static final String OF_FILE = "\u0000";

    private final JoinedTable table;
    private final int key;
    private final List<EntryHeading> headings;
    private final Map<String, Candidate> byKey = new HashMap<>();
    private final JoinedMoments moments;
    private final Map<Long, ShotRecord> sheets = new HashMap<>();
    private final List<Joined> edits = new ArrayList<>();
    private final List<String> unmatched = new ArrayList<>();
    private final List<String> refused = new ArrayList<>();
    private final List<ShotRecord> created = new ArrayList<>();
    private int replaced;

    JoinPlan(JoinedTable table, int key, List<Candidate> shots) {
        this.table = table;
        this.key = key;
        this.headings = table.headings();
        this.moments = new JoinedMoments(shots);
        for (Candidate shot : shots) {
            Optional<String> name = shot.record().text(RecordField.NAME);
            name.ifPresent(n -> byKey.put(n.toLowerCase(Locale.ROOT), shot));
            shot.record().entry(RecordField.PULLED_AT).ifPresent(at -> byKey.put(at.toLowerCase(Locale.ROOT), shot));
            shot.record().text(RecordField.FILE).map(JoinPlan::file).ifPresent(file -> {
                byKey.putIfAbsent(file, shot);
                byKey.put(file + OF_FILE + name.orElse("").toLowerCase(Locale.ROOT), shot);
            });
        }
        shots.forEach(shot -> byKey.put(Integer.toString(shot.number()), shot));
    }

    Plan plan() {
        int matched = 0;
        for (Line line : table.lines()) {
            Candidate shot = shot(line);
            if (shot != null) {
                matched++;
                join(line, shot);
            } else if (tellsOfAShot(line)) {
                create(line);
            } else {
                String wanted = cell(line, key);
                unmatched.add(wanted.isEmpty() ? "line " + line.number() + " (empty)" : wanted);
            }
        }
        return new Plan(List.copyOf(edits), matched, List.copyOf(unmatched), replaced, List.copyOf(refused),
                List.copyOf(created));
    }

    private Candidate shot(Line line) {
        String wanted = cell(line, key);
        if (wanted.isEmpty()) {
            return null;
        }
        String ofFile = file(wanted);
        String name = first(EntryHeading.ShotName.class, line);
        Candidate within = name.isEmpty() ? null : byKey.get(ofFile + OF_FILE + name.toLowerCase(Locale.ROOT));
        if (within != null) {
            return within;
        }
        Candidate plain = byKey.get(plain(wanted));
        Candidate named = plain != null ? plain : byKey.get(ofFile);
        return named == null && byMoment() ? moments.take(day(line), clock(line)).orElse(null) : named;
    }

    /** Whether rows say when they were pulled and not which shot they are. */
    private boolean byMoment() {
        Meaning meaning = headings.get(key).meaning().orElse(null);
        return meaning instanceof EntryHeading.Day || meaning instanceof EntryHeading.TimeOfDay
                || meaning instanceof EntryHeading.Entry entry && entry.field() == RecordField.PULLED_AT;
    }

    private Optional<WrittenMoment> day(Line line) {
        String day = first(EntryHeading.Day.class, line);
        return WrittenMoment.find(day.isEmpty() ? cell(line, key) : day);
    }

    private Optional<LocalTime> clock(Line line) {
        Optional<LocalTime> beside = WrittenMoment.clock(first(EntryHeading.TimeOfDay.class, line));
        return beside.or(() -> day(line).flatMap(WrittenMoment::time));
    }

    /** Without a name, number or file of its own, but with something measured. */
    private boolean tellsOfAShot(Line line) {
        boolean measured = IntStream.range(0, headings.size())
                .filter(i -> !cell(line, i).isEmpty())
                .mapToObj(i -> headings.get(i).meaning().orElse(null))
                .anyMatch(meaning -> meaning instanceof EntryHeading.StrengthReading
                        || meaning instanceof EntryHeading.Entry entry
                                && (entry.field() == RecordField.DOSE || entry.field() == RecordField.BEVERAGE));
        return measured && (cell(line, key).isEmpty() || byMoment() && !moments.several(day(line), clock(line)));
    }

    private void create(Line line) {
        ShotRecord record = ShotRecord.EMPTY;
        for (RecordEdit edit : edits(line, record)) {
            record = edit.apply(record);
        }
        created.add(record);
    }

    private void join(Line line, Candidate shot) {
        ShotRecord record = sheets.getOrDefault(shot.id(), shot.record());
        for (RecordEdit edit : edits(line, record)) {
            if (edit.changes()) {
                edits.add(new Joined(shot.id(), edit));
                replaced += edit.before().isEmpty() ? 0 : 1;
                record = edit.apply(record);
            }
        }
        sheets.put(shot.id(), record);
    }

    private List<RecordEdit> edits(Line line, ShotRecord record) {
        List<RecordEdit> found = new ArrayList<>();
        moment(line, record).ifPresent(found::add);
        readings(line, record).ifPresent(reading -> {
            found.add(reading);
            if (headings.stream().anyMatch(EntryHeading::inBrix)) {
                found.add(RecordEdit.of(record, RecordField.REFRACTOMETER_READS, "brix"));
            }
        });
        for (int i = 0; i < Math.min(table.columns().size(), line.cells().size()); i++) {
            if (i == key || cell(line, i).isEmpty() || table.columns().get(i).isBlank()) {
                continue;
            }
            int column = i;
            attempt(line, table.columns().get(i), () -> edit(record, column, cell(line, column)))
                    .ifPresent(found::add);
        }
        return found;
    }

    private Optional<RecordEdit> edit(ShotRecord record, int column, String cell) {
        Meaning meaning = headings.get(column).meaning().orElse(null);
        if (meaning instanceof EntryHeading.Entry entry) {
            return Optional
                    .of(RecordEdit.of(record, entry.field(), headings.get(column).inUnit(entry.field(), typed(cell))));
        }
        if (meaning == null || meaning instanceof EntryHeading.OwnEntry) {
            String own = table.columns().get(column).replaceAll("[^\\p{L}\\p{N}_. -]", " ").strip();
            return Optional.of(RecordEdit.ofOwn(record, own.replaceAll("\\s+", " "), cell));
        }
        // Day, time and readings are gathered; file and name tell which shot it is.
        return Optional.empty();
    }

    private Optional<RecordEdit> moment(Line line, ShotRecord record) {
        String day = first(EntryHeading.Day.class, line);
        if (day.isEmpty()) {
            return Optional.empty();
        }
        return attempt(line, "date", () -> {
            WrittenMoment moment = WrittenMoment.find(day)
                    .orElseThrow(() -> new RefusedEntry("“" + day + "” is not a date such as 2026-05-14."));
            Optional<LocalTime> clock = WrittenMoment.clock(first(EntryHeading.TimeOfDay.class, line));
            return Optional.of(RecordEdit.of(record, RecordField.PULLED_AT,
                    moment.with(clock.or(moment::time)).entry()));
        });
    }

    private Optional<RecordEdit> readings(Line line, ShotRecord record) {
        String all = IntStream.range(0, headings.size())
                .filter(i -> headings.get(i).meaning().orElse(null) instanceof EntryHeading.StrengthReading)
                .mapToObj(i -> typed(cell(line, i)))
                .filter(text -> !text.isEmpty())
                .collect(Collectors.joining("; "));
        return all.isEmpty() ? Optional.empty()
                : attempt(line, "readings",
                        () -> Optional.of(RecordEdit.of(record, RecordField.READINGS, all)));
    }

    private interface Attempt {
        Optional<RecordEdit> make();
    }

    private Optional<RecordEdit> attempt(Line line, String column, Attempt attempt) {
        try {
            return attempt.make();
        } catch (RefusedEntry impossible) {
            refused.add("line " + line.number() + ", " + column + ": " + impossible.getMessage());
            return Optional.empty();
        }
    }

    private String first(Class<? extends Meaning> wanted, Line line) {
        return IntStream.range(0, headings.size())
                .filter(i -> headings.get(i).meaning().filter(wanted::isInstance).isPresent())
                .mapToObj(i -> cell(line, i))
                .filter(Objects::nonNull)
                .filter(text -> !text.isEmpty())
                .findFirst()
                .orElse("");
    }

    private static String cell(Line line, int column) {
        return column < line.cells().size() ? line.cells().get(column) : "";
    }

    /** A decimal comma in a number is a point. */
    private static String typed(String cell) {
        return cell.matches("[+-]?\\d+,\\d+") ? cell.replace(',', '.') : cell;
    }

    private static String file(String name) {
        String last = name.substring(Math.max(name.lastIndexOf('/'), name.lastIndexOf('\\')) + 1);
        return last.strip().toLowerCase(Locale.ROOT);
    }

    /** A spreadsheet writes the number 3 as 3.0 now and then. */
    private static String plain(String key) {
        OptionalDouble number = DecimalText.parse(key);
        return number.isPresent() && number.getAsDouble() == Math.rint(number.getAsDouble())
                ? Long.toString((long) number.getAsDouble()) : key.toLowerCase(Locale.ROOT);
    }
}
