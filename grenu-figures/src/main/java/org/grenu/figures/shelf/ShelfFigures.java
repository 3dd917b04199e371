package org.grenu.figures.shelf;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.grenu.core.diagnosis.RestWindow;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Measured;
import org.grenu.core.shelf.BagEvent;
import org.grenu.core.shelf.BagLife;
import org.grenu.core.shelf.BagStock;
import org.grenu.core.shelf.Calibrations;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.ShelfVersion;
import org.grenu.core.shelf.SiteHeat;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;

/**
 * Makes the pictures of things on the shelf.
 *
 * @param shots of the whole library, in the order of their numbers
 * @param rest  days of rest that the chosen school asks for
 * @param today the day it is
 * @param units of temperatures and pressures
 */
public record ShelfFigures(List<ShelfShot> shots, Optional<RestWindow> rest, LocalDate today,
        DisplayUnits units) {

    private static final List<Field> LARGE = List.of(RecordField.DOSE_TARGET, RecordField.BEVERAGE_TARGET,
            ShelfField.TIME_MEANT, RecordField.GRIND,
            RecordField.TEMPERATURE, ShelfField.STRENGTH_MEANT, ShelfField.YIELD_MEANT);

    public ShelfFigures {
        shots = List.copyOf(shots);
    }

    /** {@return the picture of that version of the thing} */
    public ShelfFigure of(ShelfItem item, ShelfVersion version) {
        Entries entries = version.entries();
        List<ShotRecord> used = shots.stream().map(ShelfShot::record).filter(record -> names(record, item)).toList();
        return switch (item.kind()) {
            case COFFEE -> coffee(entries, used.size());
            case BAG -> bag(entries, used);
            case GRINDER -> grinder(entries, used);
            case BASKET ->
                    new BasketFigure(entries.number(ShelfField.CAPACITY_FROM), entries.number(ShelfField.CAPACITY_TO),
                            entries.number(ShelfField.DIAMETER), entries.number(ShelfField.DEPTH),
                            numbers(used, RecordField.DOSE));
            case MACHINE -> machine(entries);
            case SCALE -> new ScaleFigure(
                    entries.rows(ShelfField.CHECK_WEIGHTS)
                            .stream()
                            .map(row -> new ScaleFigure.Check(row.day(0).orElseThrow(), row.needed(1),
                                    row.needed(2) - row.needed(1)))
                            .toList(),
                    entries.number(ShelfField.SCALE_STEP), entries.number(ShelfField.SCALE_BIAS),
                    entries.number(ShelfField.SCALE_REPEATABILITY),
                    entries.number(ShelfField.SCALE_LAG));
            case REFRACTOMETER -> refractometer(entries);
            case WATER ->
                    new WaterFigure(entries.text(ShelfField.MINERALS).orElse(""), entries.number(ShelfField.HARDNESS),
                            entries.number(ShelfField.ALKALINITY), entries.number(ShelfField.BLANK));
            case SITE -> new SiteFigure(entries.number(ShelfField.ALTITUDE),
                    entries.number(ShelfField.ALTITUDE).isEmpty() ? Optional.empty()
                            : Optional.of(SiteHeat.at(entries.number(ShelfField.ALTITUDE).getAsDouble())),
                    numbers(used, RecordField.TEMPERATURE));
            case RECIPE -> recipe(version);
            case STUDY -> study(entries, item.name());
        };
    }

    private static boolean names(ShotRecord record, ShelfItem item) {
        if (item.kind() == ShelfKind.STUDY) {
            return record.studies().contains(item.name());
        }
        return record.text(item.kind().named()).filter(name -> name.strip().equalsIgnoreCase(item.name())).isPresent();
    }

    private static List<Double> numbers(List<ShotRecord> sheets, RecordField field) {
        return sheets.stream().flatMap(record -> record.number(field).stream().boxed()).toList();
    }

    private static CoffeeFigure coffee(Entries entries, int shots) {
        List<String> facts = new ArrayList<>();
        entries.text(ShelfField.LOT).ifPresent(lot -> facts.add("lot " + lot));
        entries.text(ShelfField.PROCESS).ifPresent(facts::add);
        entries.text(ShelfField.ORIGIN).ifPresent(facts::add);
        OptionalDouble moisture = entries.number(ShelfField.MOISTURE);
        List<String> notes = entries.text(ShelfField.EXPECTED_NOTES)
                .map(text -> Arrays.stream(text.split("[,;]"))
                        .map(String::strip)
                        .filter(note -> !note.isEmpty())
                        .toList())
                .orElse(List.of());
        return new CoffeeFigure(entries.text(ShelfField.ROAST_LEVEL).orElse(""),
                entries.number(ShelfField.COLOUR_WHOLE),
                entries.number(ShelfField.COLOUR_GROUND), entries.text(ShelfField.COLOUR_SCALE).orElse(""),
                entries.number(ShelfField.DENSITY),
                moisture.isEmpty() ? Optional.empty() : Optional.of(Measured.independent(moisture.getAsDouble(),
                        entries.number(ShelfField.MOISTURE_U).orElse(ShotRecord.USUAL_MOISTURE_U))),
                notes, String.join(" · ", facts), shots);
    }

    private BagFigure bag(Entries entries, List<ShotRecord> used) {
        BagLife life = BagLife.of(entries);
        List<LocalDate> days = used.stream()
                .flatMap(record -> record.pulledAt().stream())
                .map(moment -> moment.toLocalDate())
                .sorted()
                .toList();
        LocalDate end = life.first(BagEvent.Kind.USED_UP).orElse(today);
        return new BagFigure(life, BagStock.of(entries, used), rest, days, today, life.ageDays(end));
    }

    private static GrinderFigure grinder(Entries entries, List<ShotRecord> used) {
        Map<String, List<Double>> settings = new LinkedHashMap<>();
        used.forEach(record -> record.number(RecordField.GRIND)
                .ifPresent(
                        grind -> settings
                                .computeIfAbsent(record.text(RecordField.COFFEE).orElse("coffee unknown"),
                                        key -> new ArrayList<>())
                                .add(grind)));
        return new GrinderFigure(entries.number(ShelfField.FINEST), entries.number(ShelfField.COARSEST),
                entries.number(ShelfField.STEP),
                entries.number(ShelfField.ZERO_POINT), entries.text(ShelfField.SETTING_WORDS).orElse(""), settings);
    }

    private MachineFigure machine(Entries entries) {
        List<String> controls = entries.text(ShelfField.CONTROLS)
                .map(text -> Arrays.stream(text.split("[,;]")).map(String::strip).toList())
                .orElse(List.of());
        return new MachineFigure(entries.text(ShelfField.PUMP).orElse(""),
                entries.text(ShelfField.SENSOR_PLACE).orElse(""),
                entries.text(ShelfField.SENSOR_STATE).orElse(""), shown(entries, ShelfField.SENSOR_OFFSET),
                entries.number(ShelfField.WARM_UP), controls,
                Calibrations.valve(entries), entries.text(ShelfField.VALVE_WORDS).orElse("position"),
                Calibrations.schedule(entries));
    }

    private RefractometerFigure refractometer(Entries entries) {
        return new RefractometerFigure(
                entries.rows(ShelfField.ZERO_LOG)
                        .stream()
                        .map(row -> new RefractometerFigure.Zero(row.moment(0).orElseThrow(), row.needed(1)))
                        .toList(),
                Calibrations.dried(entries),
                Calibrations.readingLine(entries), entries.text(ShelfField.READS).filter("brix"::equals).isPresent(),
                shown(entries, ShelfField.COMPENSATED_FROM), shown(entries, ShelfField.COMPENSATED_TO),
                entries.number(ShelfField.READING_REPEATABILITY));
    }

    /** The number with its unit; empty where it is unknown. */
    private Optional<String> shown(Entries entries, ShelfField field) {
        return entries.entry(field)
                .map(text -> (units.shown(field.unit(), text) + " " + units.symbol(field.unit())).replace('-',
                        '\u2212'));
    }

    /** A title within a line of words; abbreviations stay as they are. */
    private static String inside(String title) {
        return Character.isUpperCase(title.charAt(1)) ? title
                : Character.toLowerCase(title.charAt(0)) + title.substring(1);
    }

    private RecipeFigure recipe(ShelfVersion version) {
        Entries entries = version.entries();
        List<RecipeFigure.Number> numbers = new ArrayList<>();
        for (Field field : LARGE) {
            entries.entry(field)
                    .ifPresent(text -> numbers.add(new RecipeFigure.Number(units.shown(field.unit(), text),
                            units.symbol(field.unit()), inside(field.title()))));
        }
        List<RecipeFigure.Line> lines = new ArrayList<>();
        for (Field field : ShelfKind.RECIPE.fields()) {
            boolean shown = !LARGE.contains(field) && field.kind() != FieldKind.ROWS && field != ShelfField.FROM_SHOT;
            entries.entry(field)
                    .filter(text -> shown)
                    .ifPresent(text -> lines
                            .add(new RecipeFigure.Line(field.title(),
                                    (units.shown(field.unit(), text) + " " + units.symbol(field.unit())).strip())));
        }
        List<double[]> pressure = entries.rows(ShelfField.PRESSURE_CORRIDOR)
                .stream()
                .map(row -> new double[] {row.needed(0), row.needed(1)})
                .toList();
        String from = entries.entry(ShelfField.FROM_SHOT).map(shot -> ", from shot " + shot).orElse("");
        return new RecipeFigure("version " + version.number() + from, numbers, lines, pressure, units);
    }

    private StudyFigure study(Entries entries, String name) {
        Map<String, Map<String, Integer>> counts = new TreeMap<>();
        TreeMap<String, Integer> days = new TreeMap<>();
        for (ShelfShot shot : shots) {
            if (shot.record().studies().contains(name)) {
                String day = shot.record().pulledAt().map(moment -> moment.toLocalDate().toString()).orElse("unknown");
                days.merge(day, 1, Integer::sum);
                counts.computeIfAbsent(shot.record().armIn(name).orElse("no arm named"), key -> new TreeMap<>())
                        .merge(day, 1, Integer::sum);
            }
        }
        entries.rows(ShelfField.ARMS).forEach(row -> row.words(0).ifPresent(arm -> counts.putIfAbsent(arm, Map.of())));
        Map<String, int[]> arms = new LinkedHashMap<>();
        counts.forEach((arm, byDay) -> arms.put(arm,
                days.keySet().stream().mapToInt(day -> byDay.getOrDefault(day, 0)).toArray()));
        return new StudyFigure(entries.text(ShelfField.QUESTION).orElse(""), List.copyOf(days.keySet()), arms);
    }
}
