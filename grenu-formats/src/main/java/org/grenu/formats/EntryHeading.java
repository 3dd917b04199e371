package org.grenu.formats;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Quantity;
import org.grenu.core.quantity.Unit;
import org.grenu.core.record.RecordField;

/**
 * What a heading, or a name before a value, that a person wrote says of a shot's record: the application's own words,
 * and the words in use for the same things in a few languages (common practice, no source).
 *
 * @param heading as written
 * @param meaning empty when it is not understood
 * @param unit    the unit it names, if any
 * @param reason  why it is taken so
 */
public record EntryHeading(String heading, Optional<Meaning> meaning, Optional<Unit> unit, String reason) {

    /** What a value stands for. */
    public sealed interface Meaning {
    }

    /** An entry of the record. */
    public record Entry(RecordField field) implements Meaning {
    }

    /** One of several strength readings. */
    public record StrengthReading() implements Meaning {
    }

    /** A day, to which a time may stand elsewhere. */
    public record Day() implements Meaning {
    }

    /** A time of the day. */
    public record TimeOfDay() implements Meaning {
    }

    /** The file that holds the log. */
    public record LogFile() implements Meaning {
    }

    /** The shot's number or name, alone or within its file. */
    public record ShotName() implements Meaning {
    }

    /** An entry of the user's own, under that heading. */
    public record OwnEntry() implements Meaning {
    }

    /** Nothing that is entered. */
    public record NotEntered() implements Meaning {
    }

    private static final Pattern BRACKETED = Pattern.compile("(.*?)\\s*[\\[(]\\s*([^\\])]*)\\s*[\\])]\\s*");
    private static final Pattern BRIX = Pattern.compile("brix|°bx", Pattern.CASE_INSENSITIVE);
    private static final Pattern MEAN = Pattern.compile("\\b(avg|average|mean|mittel(wert)?)\\b\\.?",
            Pattern.CASE_INSENSITIVE);
    private static final Map<String, Meaning> WORDS = words();

    private static Map<String, Meaning> words() {
        Map<String, Meaning> words = new LinkedHashMap<>();
        say(words, new LogFile(), "file", "log file", "filename", "file name", "log", "datei", "fichier", "archivo");
        say(words, new ShotName(), "run", "run id", "shot", "shot id", "shot no", "shot number", "shot #", "#", "no",
                "nr", "number",
                "id", "name", "versuch", "bezug", "schuss");
        say(words, new Day(), "date", "day", "datum", "tag", "fecha", "data", "brewed on", "pulled on");
        say(words, new TimeOfDay(), "time", "time of day", "clock", "uhrzeit", "zeit", "heure", "hora", "ora");
        say(words, new Entry(RecordField.PULLED_AT), "start", "started", "start time", "started at", "timestamp",
                "datetime", "date time", "date and time", "pulled at", "brewed at", "zeitpunkt", "when");
        say(words, new StrengthReading(), "tds", "strength", "reading", "refractometer reading", "refractometer",
                "konzentration", "staerke",
                "stärke", "tds reading", "strength reading", "beverage tds", "beverage strength",
                "conc", "concentration", "brix", "°brix", "°bx");
        say(words, new Entry(RecordField.STATED_YIELD), "ey", "extraction", "extraction yield", "ext", "ext yield",
                "extraktion",
                "yield percent");
        entries(words);
        for (RecordField field : RecordField.values()) {
            Meaning meaning = field == RecordField.READINGS ? new StrengthReading()
                    : field == RecordField.NAME ? new ShotName()
                            : field == RecordField.FILE ? new LogFile() : new Entry(field);
            words.putIfAbsent(plain(field.title()), meaning);
            words.putIfAbsent(plain(field.key()), meaning);
        }
        return Map.copyOf(words);
    }

    private static void entries(Map<String, Meaning> words) {
        entry(words, RecordField.DOSE, "dose", "dose in", "dry dose", "coffee in", "dose weight", "dose mass",
                "einwaage", "dosis", "dosierung", "in", "ground coffee");
        entry(words, RecordField.BEVERAGE, "yield", "yield out", "beverage", "beverage mass", "beverage weight", "out",
                "output", "cup", "cup mass", "mass out", "weight out", "drink weight", "drink", "final weight",
                "ertrag", "getränk", "getraenk", "auslauf", "bezugsmenge", "espresso");
        entry(words, RecordField.ZERO, "zero", "zero reading", "zero check", "nullpunkt");
        entry(words, RecordField.DOSE_TARGET, "dose target", "target dose", "dose meant");
        entry(words, RecordField.BEVERAGE_TARGET, "target yield", "yield target", "target beverage", "target out",
                "beverage target");
        entry(words, RecordField.GRIND, "grind", "grind setting", "grind size", "grinder setting", "setting", "dial",
                "mahlgrad", "mahlung");
        entry(words, RecordField.GRINDER, "grinder", "mill", "mühle", "muehle");
        entry(words, RecordField.TEMPERATURE, "temp", "temperature", "brew temp", "brew temperature", "water temp",
                "water temperature", "set temp", "boiler", "temperatur", "brühtemperatur");
        entry(words, RecordField.PROFILE, "profile", "pressure profile", "profil");
        entry(words, RecordField.OPERATOR, "who", "operator", "barista", "by", "person", "pulled by", "wer",
                "bediener");
        entry(words, RecordField.NOTE, "note", "notes", "remark", "remarks", "comment", "comments", "bemerkung",
                "bemerkungen", "notiz", "kommentar");
        entry(words, RecordField.TASTE, "taste", "tasting", "tasting notes", "taste notes", "flavour", "flavor",
                "geschmack");
        entry(words, RecordField.COFFEE, "coffee", "bean", "beans", "kaffee", "bohne", "bohnen");
        entry(words, RecordField.BAG, "bag", "lot", "charge");
        entry(words, RecordField.ROASTED_ON, "roasted", "roasted on", "roast date", "röstdatum", "roestdatum");
        entry(words, RecordField.EXPECTED_NOTES, "expected notes", "notes expected");
        entry(words, RecordField.ROAST_LEVEL, "roast", "roast level", "röstgrad");
        entry(words, RecordField.MACHINE, "machine", "rig", "maschine", "espresso machine");
        entry(words, RecordField.WATER, "water", "wasser");
        entry(words, RecordField.BASKET, "basket", "sieb");
        entry(words, RecordField.RECIPE, "recipe", "rezept");
        entry(words, RecordField.SCALE, "scale", "waage");
        entry(words, RecordField.PREPARATION, "prep", "preparation", "puck prep", "vorbereitung");
        entry(words, RecordField.MOISTURE, "moisture", "feuchte");
    }

    private static void entry(Map<String, Meaning> words, RecordField field, String... said) {
        say(words, new Entry(field), said);
    }

    private static void say(Map<String, Meaning> words, Meaning meaning, String... said) {
        Arrays.stream(said).forEach(word -> words.put(word, meaning));
    }

    /** {@return everything that a column of a table about shots may be, in the order of the record} */
    public static List<Meaning> all() {
        List<Meaning> all = new ArrayList<>(List.of(new NotEntered(), new OwnEntry(), new LogFile(), new ShotName(),
                new Day(), new TimeOfDay(), new StrengthReading()));
        Arrays.stream(RecordField.values())
                .filter(field -> field != RecordField.NAME && field != RecordField.FILE
                        && field != RecordField.READINGS)
                .forEach(field -> all.add(new Entry(field)));
        return all;
    }

    /** {@return this heading, understood as the user says} */
    public EntryHeading meaning(Meaning chosen) {
        return new EntryHeading(heading, Optional.of(chosen), unit, "as chosen");
    }

    /** {@return what it is read as, in words} */
    public String use() {
        Meaning said = meaning.orElse(new OwnEntry());
        if (said instanceof Entry entry) {
            return entry.field.title();
        }
        if (said instanceof StrengthReading) {
            return RecordField.READINGS.title();
        }
        if (said instanceof Day) {
            return RecordField.PULLED_AT.title() + ": day";
        }
        if (said instanceof TimeOfDay) {
            return RecordField.PULLED_AT.title() + ": time";
        }
        if (said instanceof LogFile) {
            return RecordField.FILE.title();
        }
        if (said instanceof ShotName) {
            return "Shot number or name";
        }
        return said instanceof NotEntered ? "not entered" : "your own entry";
    }

    /** {@return what the headings of a table say: a mean of readings is one only where it is all there is of them} */
    public static List<EntryHeading> ofTable(List<String> headings) {
        List<EntryHeading> parsed = headings.stream().map(EntryHeading::parse).toList();
        boolean readings = parsed.stream()
                .anyMatch(one -> one.meaning.filter(StrengthReading.class::isInstance).isPresent());
        return readings ? parsed : parsed.stream().map(one -> one.ofMean() ? one.asReading() : one).toList();
    }

    /** {@return what that heading says} */
    public static EntryHeading parse(String heading) {
        for (Split split : splits(heading)) {
            String plain = plain(split.name);
            Meaning meaning = WORDS.get(plain);
            // “TDS 2” and “reading 3” are one of several.
            Meaning numbered = meaning != null ? meaning : WORDS.get(plain.replaceAll("\\s*#?\\d{1,2}$", ""));
            boolean several = meaning == null && numbered instanceof StrengthReading;
            Meaning found = meaning != null ? meaning : several ? numbered : null;
            if (found != null) {
                Optional<Unit> unit = Unit.find(split.unit);
                Meaning byUnit = byUnit(found, split.unit, unit);
                return new EntryHeading(heading, Optional.of(byUnit), unit, several ? "one of several readings"
                        : split.unit.isEmpty() ? "its heading says so" : "its heading says so, with “" + split.unit
                                + "”");
            }
        }
        return new EntryHeading(heading, Optional.empty(), Optional.empty(), "its heading is not understood");
    }

    /** A time in seconds is how long it took, not when. */
    private static Meaning byUnit(Meaning meaning, String written, Optional<Unit> unit) {
        boolean length = meaning instanceof TimeOfDay
                && unit.filter(of -> of.quantity() == Quantity.TIME).isPresent();
        return length ? new OwnEntry() : written.equals("%") ? inPercent(meaning) : meaning;
    }

    /** {@return a number of that field as it is typed with its unit: alone it is in the unit that the heading names} */
    public String inUnit(RecordField field, String typed) {
        boolean plain = field.kind() == FieldKind.NUMBER && !field.unit().isEmpty()
                && DecimalText.parse(typed).isPresent();
        return plain ? unit.filter(of -> of != Unit.NUMBER).map(of -> typed + " " + of.symbol()).orElse(typed) : typed;
    }

    /** {@return whether its readings are in °Brix, which is no strength yet} */
    public boolean inBrix() {
        return meaning.filter(StrengthReading.class::isInstance).isPresent() && BRIX.matcher(heading).find();
    }

    /** {@return whether it names the mean of readings} */
    boolean ofMean() {
        return MEAN.matcher(heading).find() && parse(MEAN.matcher(heading).replaceAll(" ").strip()).meaning()
                .filter(StrengthReading.class::isInstance)
                .isPresent();
    }

    /** {@return this heading as the only reading there is} */
    EntryHeading asReading() {
        return new EntryHeading(heading, Optional.of(new StrengthReading()), unit,
                "a mean, and the only reading there is");
    }

    /** A yield in percent is no mass; and it is no result of Grenu's. */
    private static Meaning inPercent(Meaning meaning) {
        return meaning instanceof Entry entry && entry.field == RecordField.BEVERAGE
                ? new Entry(RecordField.STATED_YIELD)
                : meaning;
    }

    private record Split(String name, String unit) {
    }

    /** The whole as a name, a unit in brackets, and a unit after the last blank or underscore. */
    private static List<Split> splits(String heading) {
        List<Split> splits = new ArrayList<>(List.of(new Split(heading, "")));
        Matcher bracketed = BRACKETED.matcher(heading);
        if (bracketed.matches()) {
            splits.add(new Split(bracketed.group(1), bracketed.group(2).strip()));
        }
        String plain = heading.strip();
        if (plain.endsWith("%") && plain.length() > 1) {
            splits.add(new Split(plain.substring(0, plain.length() - 1), "%"));
        }
        int last = Math.max(Math.max(plain.lastIndexOf(' '), plain.lastIndexOf('_')), plain.lastIndexOf('/'));
        if (last > 0) {
            String end = plain.substring(last + 1);
            boolean isUnit = end.equals("%") || end.equalsIgnoreCase("pct") || Unit.find(end).isPresent();
            if (isUnit) {
                splits.add(new Split(plain.substring(0, last), end.equalsIgnoreCase("pct") ? "%" : end));
            }
        }
        return splits;
    }

    private static String plain(String name) {
        return name.replaceAll("(\\p{Ll})(\\p{Lu})", "$1 $2")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[_\\s.:,;/-]+", " ")
                .strip();
    }
}
