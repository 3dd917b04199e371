package org.grenu.app.settings;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Quantity;
import org.grenu.core.quantity.Unit;
import org.grenu.figures.read.ReadOptions;

/**
 * What the user chose for this library. Kept in it as texts by key, so that one that is not understood, as from a
 * newer
 * version, is passed over.
 *
 * @param convention  how the shot's time is counted where one time is shown
 * @param options     what the strips show
 * @param schools     the schools, and which of them speak
 * @param searches    searches that the user kept, as they are typed
 * @param compare     what comparisons ask and show, as the Compare workspace writes it; empty: as usual
 * @param display     how the window shows whatever it shows
 * @param author      whose the reports are; empty: who pulled the shots is named
 */
public record StudySettings(TimeConvention convention, ReadOptions options, Schools schools,
        List<String> searches, String compare, Display display,
        String author) {

    /** Nothing chosen yet. */
    public static final StudySettings USUAL = new StudySettings(TimeConvention.PUMP_ON_TO_PUMP_OFF, ReadOptions.USUAL,
            Schools.USUAL, List.of(), "", Display.USUAL, "");

    private static final Setting<TimeConvention> CONVENTION = new Setting<>("time_convention", TimeConvention::find,
            TimeConvention::key, USUAL.convention);
    private static final Setting<
            AxisKind> AXIS = new Setting<>("read_axis", AxisKind::find, AxisKind::key, USUAL.options.axis());
    private static final Setting<List<Channel>> STRIPS = new Setting<>("read_strips", StudySettings::channels,
            channels -> channels.stream().map(Channel::key).collect(Collectors.joining(" ")), USUAL.options.channels());
    private static final Setting<List<String>> PACKS = new Setting<>("rule_packs",
            text -> Optional.of(Arrays.stream(text.split(" ")).filter(id -> !id.isEmpty()).toList()),
            ids -> String.join(" ", ids), Schools.USUAL.speaking());
    private static final Setting<List<String>> SEARCHES = new Setting<>("searches",
            text -> Optional.of(text.lines().filter(line -> !line.isBlank()).toList()),
            searches -> String.join("\n", searches), List.of());
    private static final Setting<String> COMPARE = new Setting<>("compare", Optional::of, text -> text, "");
    private static final Setting<String> AUTHOR = new Setting<>("report_author", Optional::of, text -> text, "");
    private static final Setting<Integer> TEXT_SIZE = new Setting<>("text_size",
            text -> Display.TEXT_SIZES.stream().filter(size -> size.toString().equals(text)).findFirst(),
            String::valueOf,
            Display.USUAL.textSize());
    private static final Setting<Unit> TEMPERATURES = new Setting<>("temperature_unit",
            text -> Unit.find(text, Quantity.TEMPERATURE), Unit::symbol, DisplayUnits.CANONICAL.temperature());
    private static final Setting<Unit> PRESSURES = new Setting<>("pressure_unit",
            text -> Unit.find(text, Quantity.PRESSURE), Unit::symbol, DisplayUnits.CANONICAL.pressure());
    /** Before the id of a school that was edited or written here. */
    private static final String PACK = "rule_pack.";

    public StudySettings {
        searches = List.copyOf(searches);
    }

    /**
     * {@return the settings kept so; what an older or newer version kept and this one does not understand is as
     * usual}
     */
    public static StudySettings of(Map<String, String> kept) {
        Map<String, String> edited = new LinkedHashMap<>();
        kept.forEach((key, value) -> {
            if (key.startsWith(PACK) && !value.isBlank()) {
                edited.put(key.substring(PACK.length()), value);
            }
        });
        DisplayUnits units = new DisplayUnits(TEMPERATURES.in(kept), PRESSURES.in(kept));
        return new StudySettings(CONVENTION.in(kept), new ReadOptions(AXIS.in(kept), STRIPS.in(kept), units),
                new Schools(PACKS.in(kept), edited),
                SEARCHES.in(kept), COMPARE.in(kept), new Display(units, TEXT_SIZE.in(kept)), AUTHOR.in(kept));
    }

    private static Optional<List<Channel>> channels(String keys) {
        List<Channel> known = Arrays.stream(keys.split(" "))
                .flatMap(key -> Arrays.stream(Channel.values()).filter(channel -> channel.key().equals(key)))
                .distinct()
                .toList();
        return known.isEmpty() ? Optional.empty() : Optional.of(known);
    }

    /** {@return as they are kept} */
    public Map<String, String> kept() {
        Map<String, String> kept = new LinkedHashMap<>();
        CONVENTION.put(kept, convention);
        AXIS.put(kept, options.axis());
        STRIPS.put(kept, options.channels());
        COMPARE.put(kept, compare);
        AUTHOR.put(kept, author);
        TEXT_SIZE.put(kept, display.textSize());
        TEMPERATURES.put(kept, display.units().temperature());
        PRESSURES.put(kept, display.units().pressure());
        SEARCHES.put(kept, searches);
        PACKS.put(kept, schools.speaking());
        schools.texts().forEach((id, text) -> kept.put(PACK + id, text));
        return kept;
    }

    /** {@return as they are kept after others: what those kept and these do not is blank, and so forgotten} */
    public Map<String, String> keptAfter(StudySettings others) {
        Map<String, String> kept = new LinkedHashMap<>();
        others.kept().keySet().forEach(key -> kept.put(key, ""));
        kept.putAll(kept());
        return kept;
    }

    /** {@return the packs that speak} */
    public List<RulePack> packs() {
        return schools.spoken();
    }

    /** {@return these settings with another convention} */
    public StudySettings with(TimeConvention other) {
        return new StudySettings(other, options, schools, searches, compare, display, author);
    }

    /** {@return these settings with that search kept, or forgotten} */
    public StudySettings withSearch(String query, boolean kept) {
        List<String> others = new ArrayList<>(searches);
        others.remove(query);
        if (kept) {
            others.add(query);
        }
        return new StudySettings(convention, options, schools, others, compare, display, author);
    }

    /** {@return these settings with other choices for comparing} */
    public StudySettings withCompare(String other) {
        return new StudySettings(convention, options, schools, searches, other, display, author);
    }

    /** {@return these settings with reports by that name} */
    public StudySettings withAuthor(String other) {
        return new StudySettings(convention, options, schools, searches, compare, display,
                other.strip());
    }

    /** {@return these settings shown otherwise} */
    public StudySettings with(Display other) {
        return new StudySettings(convention, options.in(other.units()), schools, searches, compare,
                other, author);
    }

    /** {@return the units of temperatures and pressures} */
    public DisplayUnits units() {
        return display.units();
    }

    /** {@return these settings with other strips} */
    public StudySettings with(ReadOptions other) {
        return new StudySettings(convention, other, schools, searches, compare, display, author);
    }

    /** {@return these settings with other schools} */
    public StudySettings with(Schools other) {
        return new StudySettings(convention, options, other, searches, compare, display, author);
    }
}
