package org.grenu.core.compare;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.grenu.core.extraction.Basis;
import org.grenu.core.extraction.Brew;
import org.grenu.core.extraction.ExtractionYield;
import org.grenu.core.model.RandomInterceptFit;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.record.RecordField;

/**
 * Where the spread of a response comes from, as variances in its unit squared. Reading and weighing are what the
 * instruments are known for; what is left of the spread between alike shots is the shots' own.
 *
 * @param reading    of strength readings
 * @param weighing   of dose and beverage, or of reading the value off its curve
 * @param shotToShot of alike shots on one day, less the two above; 0 when those explain more than there is
 * @param dayToDay   of days; 0 where days were not told apart or entered as themselves
 * @param offCurve   whether the value is read off a curve rather than weighed
 * @param readings   mean number of readings a shot
 */
public record SpreadSources(double reading, double weighing, double shotToShot, double dayToDay, boolean offCurve,
        double readings) {

    private static final int MORE = 4;
    private static final Set<
            Response> WEIGHED = Set.of(StandardResponse.EY_AS_DOSED, StandardResponse.EY_DRY, StandardResponse.STRENGTH,
                    StandardResponse.BEVERAGE, StandardResponse.RATIO, StandardResponse.SOLIDS);

    /** {@return the sources; empty when the shots leave nothing to judge by} */
    static Optional<SpreadSources> of(ResponseModel model) {
        if (!model.judges()) {
            return Optional.empty();
        }
        double reading = 0;
        double weighing = 0;
        double readings = 0;
        int n = model.shots().size();
        for (int i = 0; i < n; i++) {
            double variance = model.values().get(i).independent() * model.values().get(i).independent();
            double share = readingShare(model.response(), model.shots().get(i));
            reading += variance * share / n;
            weighing += variance * (1 - share) / n;
            readings += (double) model.shots().get(i).record().numbers(RecordField.READINGS).size() / n;
        }
        double residual = model.fit().deviation() * model.fit().deviation();
        double days = model.fit() instanceof RandomInterceptFit random
                ? random.groupDeviation() * random.groupDeviation() : 0;
        return Optional.of(new SpreadSources(reading, weighing, Math.max(0, residual - reading - weighing), days,
                !WEIGHED.contains(model.response()), readings));
    }

    /** Share of the shot's own variance that its strength readings make. */
    private static double readingShare(Response response, MeasuredShot shot) {
        if (response == StandardResponse.STRENGTH) {
            return 1;
        }
        if (response != StandardResponse.EY_AS_DOSED && response != StandardResponse.EY_DRY) {
            return 0;
        }
        Basis basis = response == StandardResponse.EY_DRY ? Basis.DRY : Basis.AS_DOSED;
        Optional<Brew> brew = shot.measures().masses().brew();
        Optional<ExtractionYield> yield = brew.flatMap(b -> b.yield(basis));
        if (yield.isEmpty()) {
            return 0;
        }
        double strength = ratio(brew.get().strength().independent(), brew.get().strength().value());
        double own = ratio(yield.get().percent().independent(), yield.get().percent().value());
        return own == 0 ? 0 : Math.min(1, strength / own);
    }

    private static double ratio(double u, double value) {
        return value == 0 ? 0 : u * u / (value * value);
    }

    /** {@return the variance of one shot's result on one day} */
    public double withinDay() {
        return reading + weighing + shotToShot;
    }

    /** {@return the sources by name, largest first} */
    public Map<String, Double> byName() {
        Map<String, Double> sources = new LinkedHashMap<>();
        Map<String, Double> all = Map.of("reading strength", reading, offCurve ? "reading the curve" : "weighing",
                weighing, "shot to shot", shotToShot, "day to day", dayToDay);
        all.entrySet()
                .stream()
                .filter(e -> e.getValue() > 0)
                .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
                .forEach(e -> sources.put(e.getKey(), e.getValue()));
        return sources;
    }

    /** {@return the sources as standard deviations in that unit, largest first, in words} */
    public String words(String unit) {
        return byName().entrySet()
                .stream()
                .map(e -> e.getKey() + " " + Wording.digits(Math.sqrt(e.getValue())))
                .collect(Collectors.joining(", ")) + " " + unit + " (standard deviations).";
    }

    /** {@return what another reading of each of n shots would gain, and what a few more shots like them} */
    public String gains(int n) {
        String byReading = gainOfAReading() > 0 ? String.format(Locale.ROOT,
                "Another strength reading of every shot narrows the intervals by %.0f %%, ", 100 * gainOfAReading())
                : "";
        return byReading + String.format(Locale.ROOT, "four more shots like these narrow the intervals by %.0f %%.",
                100 * gainOfShots(n, MORE));
    }

    /** {@return by how much of itself the interval of an effect narrows when every shot is read once more} */
    public double gainOfAReading() {
        return readings < 1 ? 0 : 1 - Math.sqrt((withinDay() - reading / (readings + 1)) / withinDay());
    }

    /** {@return by how much of itself it narrows with so many more shots to n like them} */
    public static double gainOfShots(int n, int more) {
        return 1 - Math.sqrt(n / (double) (n + more));
    }
}
