package org.grenu.core.response;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.ShotTimes;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.extraction.Basis;
import org.grenu.core.extraction.ExtractionYield;
import org.grenu.core.hydraulics.WaterBalance;
import org.grenu.core.phase.ProfileFeatures;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.TasteNote;
import org.grenu.core.record.Tasting;

/**
 * The responses every shot can have. Margins: extraction yield, strength and times as in the trade (common practice,
 * no
 * source); the others are ours.
 */
public enum StandardResponse implements Response {
    EY_AS_DOSED("EY as dosed", "%", 0.5, shot -> extraction(shot, Basis.AS_DOSED)),
    EY_DRY("EY dry", "%", 0.5, shot -> extraction(shot, Basis.DRY)),
    STRENGTH("Strength", "%", 0.3, shot -> shot.measures().masses().strength()),
    TIME_PUMP_ON_TO_PUMP_OFF(TimeConvention.PUMP_ON_TO_PUMP_OFF),
    TIME_PUMP_ON_TO_LAST_DRIP(TimeConvention.PUMP_ON_TO_LAST_DRIP),
    TIME_FIRST_DRIP_TO_PUMP_OFF(TimeConvention.FIRST_DRIP_TO_PUMP_OFF),
    TIME_FIRST_DRIP_TO_LAST_DRIP(TimeConvention.FIRST_DRIP_TO_LAST_DRIP),
    TIME_PRESSURE_TO_PUMP_OFF(TimeConvention.PRESSURE_TO_PUMP_OFF),
    TIME_PRESSURE_TO_LAST_DRIP(TimeConvention.PRESSURE_TO_LAST_DRIP),
    FIRST_DRIP("First drip, from pump on", "s", 0.5, StandardResponse::firstDrip),
    PEAK_PRESSURE("Peak pressure", "bar", 0.3, shot -> pressure(shot, shot.measures().curve().peakPressure())),
    MEAN_PRESSURE("Mean pressure", "bar", 0.3, shot -> pressure(shot, shot.measures().curve().meanPressure())),
    PEAK_RESISTANCE("Peak resistance, p/q", "bar·s/g", 0.5, shot -> shot.measures().hydraulics().peak()),
    EROSION("Erosion", "%/s", 0.5, shot -> shot.measures().hydraulics().erosion()),
    TEMPERATURE_SHOWN("Temperature shown", "°C", 1, shot -> shown(shot)),
    KEPT_WATER("Retained water", "g/g", 0.1,
            shot -> shot.measures().hydraulics().balance().flatMap(WaterBalance::keptPerGram)),
    SOAK_TIME("Soak", "s", 1, shot -> feature(shot, ProfileFeatures::soakSeconds)),
    SOAK_PRESSURE("Pressure in the soak", "bar", 0.3, shot -> feature(shot, ProfileFeatures::soakBar)),
    PRESSURE_RISE("Pressure rise", "bar/s", 0.3, shot -> feature(shot, ProfileFeatures::riseBarPerSecond)),
    PEAK_TIME("Time near the peak pressure", "s", 2, shot -> feature(shot, ProfileFeatures::peakSeconds)),
    PRESSURE_DECLINE("Pressure decline", "bar/s", 0.05, shot -> feature(shot, ProfileFeatures::declinePerSecond)),
    WATER_BEFORE_DRIP("Water before the first drip", "mL", 2,
            shot -> feature(shot, ProfileFeatures::waterBeforeDrip)),
    BEVERAGE("Beverage mass", "g", 0.5, shot -> shot.measures().masses().beverage()),
    RATIO("Brew ratio, 1 to", "", 0.05, shot -> shot.measures().masses().ratio()),
    SOLIDS("Dissolved solids", "g", 0.1, shot -> shot.measures().masses().solids()),
    LIKING("Liking, 0–10", "", 1, shot -> entered(shot.record().number(RecordField.LIKING))),
    SOURNESS("Sourness, 0–10", TasteNote.SOUR),
    BITTERNESS("Bitterness, 0–10", TasteNote.BITTER),
    ACIDITY("Acidity, 0–10", TasteNote.ACIDIC),
    SWEETNESS("Sweetness, 0–10", TasteNote.SWEET),
    BODY("Body, 0–10", TasteNote.BODY),
    FINISH("Finish, 0–10", TasteNote.FINISH),
    SHARPNESS("Sharpness, 0–10", TasteNote.SHARP),
    DRYNESS("Dryness, 0–10", TasteNote.DRY),
    THINNESS("Thinness, 0–10", TasteNote.THIN),
    SALTINESS("Saltiness, 0–10", TasteNote.SALTY),
    HOLLOWNESS("Hollowness, 0–10", TasteNote.HOLLOW),
    ASHINESS("Ashiness, 0–10", TasteNote.ASHY);

    private final String title;
    private final String unit;
    private final double margin;
    private final Function<MeasuredShot, Optional<Measured>> value;
    private final Optional<TimeConvention> convention;
    private final Optional<TasteNote> note;

    StandardResponse(TimeConvention convention) {
        this.title = "Time, " + convention.title();
        this.unit = "s";
        this.margin = 2;
        this.convention = Optional.of(convention);
        this.note = Optional.empty();
        this.value = shot -> time(shot, convention);
    }

    StandardResponse(String title, TasteNote note) {
        this.title = title;
        this.unit = "";
        this.margin = 1;
        this.value = shot -> entered(Tasting.of(shot.record()).intensity(note));
        this.convention = Optional.empty();
        this.note = Optional.of(note);
    }

    StandardResponse(String title, String unit, double margin, Function<MeasuredShot, Optional<Measured>> value) {
        this.title = title;
        this.unit = unit;
        this.margin = margin;
        this.value = value;
        this.convention = Optional.empty();
        this.note = Optional.empty();
    }

    /** {@return the response with that name in files and commands} */
    public static Optional<Response> find(String key) {
        return Arrays.stream(values())
                .filter(response -> response.key().equals(key))
                .map(Response.class::cast)
                .findFirst();
    }

    /** {@return the shot's time by that convention} */
    public static StandardResponse time(TimeConvention convention) {
        return Arrays.stream(values())
                .filter(response -> response.convention.equals(Optional.of(convention)))
                .findFirst()
                .orElseThrow();
    }

    /** {@return what makes a profile what it is, as a shot's curves show it} */
    public static List<StandardResponse> profileFeatures() {
        return List.of(SOAK_TIME, SOAK_PRESSURE, PRESSURE_RISE, PEAK_PRESSURE, PEAK_TIME, PRESSURE_DECLINE,
                MEAN_PRESSURE, WATER_BEFORE_DRIP);
    }

    /** {@return how strong that note is} */
    public static Optional<StandardResponse> of(TasteNote note) {
        return Arrays.stream(values()).filter(response -> response.note.equals(Optional.of(note))).findFirst();
    }

    /** {@return what a taster says of a shot} */
    public static List<StandardResponse> tasted() {
        return Arrays.stream(values()).filter(response -> response.compareTo(LIKING) >= 0).toList();
    }

    /** {@return whether a taster says it, rather than an instrument} */
    public static boolean isTasted(Response response) {
        return tasted().stream().anyMatch(one -> one.key().equals(response.key()));
    }

    /** {@return the responses a comparison begins with} */
    public static List<Response> usual(TimeConvention convention) {
        return List.of(EY_AS_DOSED, STRENGTH, time(convention), FIRST_DRIP, PEAK_RESISTANCE);
    }

    /** {@return how the time is counted, when this is a shot time} */
    public Optional<TimeConvention> convention() {
        return convention;
    }

    @Override
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    @Override
    public String title() {
        return title;
    }

    @Override
    public String unit() {
        return unit;
    }

    @Override
    public double usualMargin() {
        return margin;
    }

    @Override
    public Optional<Measured> of(MeasuredShot shot) {
        return value.apply(shot);
    }

    @Override
    public Response in(DisplayUnits units) {
        return units.symbol(unit).equals(unit) ? this : new ShownResponse(this, units);
    }

    private static Optional<Measured> extraction(MeasuredShot shot, Basis basis) {
        return shot.measures().masses().brew().flatMap(brew -> brew.yield(basis)).map(ExtractionYield::percent);
    }

    private static Optional<Measured> time(MeasuredShot shot, TimeConvention convention) {
        ShotTimes times = shot.measures().curve().times();
        OptionalDouble seconds = convention.of(times);
        return seconds.isPresent()
                ? Optional.of(Measured.independent(seconds.getAsDouble(), convention.uncertainty(times).orElse(0)))
                : Optional.empty();
    }

    private static Optional<Measured> firstDrip(MeasuredShot shot) {
        ShotTimes times = shot.measures().curve().times();
        return times.pumpOn()
                .flatMap(on -> times.firstDrip()
                        .map(drip -> Measured.independent(drip.seconds() - on.seconds(),
                                Math.hypot(on.u(), drip.u()))));
    }

    private static Optional<Measured> feature(MeasuredShot shot, Function<ProfileFeatures, OptionalDouble> which) {
        return entered(which.apply(shot.measures().features()));
    }

    private static Optional<Measured> entered(OptionalDouble number) {
        return number.isPresent() ? Optional.of(Measured.exact(number.getAsDouble())) : Optional.empty();
    }

    private static Optional<Measured> shown(MeasuredShot shot) {
        OptionalDouble celsius = ShotMeasures.measuredTemperature(shot.measures().curve());
        return celsius.isPresent() ? Optional.of(Measured.independent(celsius.getAsDouble(),
                shot.measures().curve().noise().getOrDefault(Channel.TEMPERATURE, 0.0))) : Optional.empty();
    }

    private static Optional<Measured> pressure(MeasuredShot shot, OptionalDouble bar) {
        CurveMeasures curve = shot.measures().curve();
        return bar.isPresent()
                ? Optional
                        .of(Measured.independent(bar.getAsDouble(), curve.noise().getOrDefault(Channel.PRESSURE, 0.0)))
                : Optional.empty();
    }
}
