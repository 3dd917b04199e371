package org.grenu.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.diagnosis.ShotContext;
import org.grenu.core.diagnosis.StartEntry;
import org.grenu.core.diagnosis.StartRule;
import org.grenu.core.entry.Field;
import org.grenu.core.extraction.TargetWindow;
import org.grenu.core.learn.AimRange;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.recipe.Proposed.Source;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.SiteHeat;
import org.grenu.core.recipe.SchoolVoices.Said;

/** Looks for what to begin with, entry by entry. */
final class StartSearch {

    private static final double USUAL_DOSE = 18;
    private static final double USUAL_RATIO = 2;
    private static final double USUAL_CELSIUS = 93;
    private static final double[] USUAL_SECONDS = {25, 30};

    private final StartRecipe.Asked asked;
    private final SchoolVoices schools;
    private final List<Proposed> entries = new ArrayList<>();
    private final List<String> warnings = new ArrayList<>();

    StartSearch(StartRecipe.Asked asked) {
        this.asked = asked;
        this.schools = new SchoolVoices(new ShotContext(asked.setUp(),
                ShotMeasures.of(new Shot(asked.setUp(), ShotLog.NONE)), Optional.empty()), asked.speaking(),
                asked.all());
    }

    StartRecipe found() {
        carryOver();
        double dose = dose();
        double ratio = ratio(dose);
        temperature();
        grind();
        profile();
        time();
        windows(ratio);
        return new StartRecipe(entries, warnings);
    }

    /** The set-up itself. */
    private void carryOver() {
        for (RecordField field : List.of(RecordField.COFFEE, RecordField.BAG, RecordField.GRINDER,
                RecordField.BASKET, RecordField.MACHINE, RecordField.WATER, RecordField.SITE, RecordField.SERVED)) {
            asked.setUp()
                    .entry(field)
                    .ifPresent(value -> entries.add(new Proposed(field, value, "the set-up", Source.HISTORY,
                            List.of())));
        }
    }

    private double dose() {
        OptionalDouble from = number(RecordField.BASKET_FROM);
        OptionalDouble to = number(RecordField.BASKET_TO);
        boolean basket = from.isPresent() && to.isPresent();
        List<Proposed.Other> others = basket
                ? schools.others(StartEntry.BASKET_SHARE, share -> grams(from.getAsDouble(), to.getAsDouble(), share))
                : List.of();
        Optional<LikeShots> own = own(RecordField.DOSE);
        if (own.isPresent()) {
            double dose = half(own.get().median(RecordField.DOSE).orElseThrow());
            return put(RecordField.DOSE_TARGET, dose, 1, own.get().told(RecordField.DOSE, 1), Source.HISTORY,
                    others);
        }
        Optional<Said> school = schools.said(StartEntry.BASKET_SHARE);
        if (basket && school.isPresent()) {
            double dose = half(from.getAsDouble()
                    + school.get().rule().middle() * (to.getAsDouble() - from.getAsDouble()));
            return put(RecordField.DOSE_TARGET, dose, 1, school.get().words(), Source.SCHOOL, others);
        }
        return put(RecordField.DOSE_TARGET, USUAL_DOSE, 1,
                "usual for a double; no basket on the shelf says what it is made for", Source.PRACTICE,
                others);
    }

    private static String grams(double from, double to, StartRule share) {
        return Reported.fixed(half(from + share.middle() * (to - from)), 1) + " g";
    }

    private static double half(double grams) {
        return Math.rint(grams * 2) / 2;
    }

    private double ratio(double dose) {
        List<Proposed.Other> others = schools.others(StartEntry.RATIO,
                rule -> "1:" + DecimalText.exact(rule.middle()) + ", "
                        + Reported.fixed(Math.rint(rule.middle() * dose), 0) + " g");
        Optional<LikeShots> own = own(RecordField.BEVERAGE_TARGET);
        if (own.isPresent()) {
            double beverage = own.get().median(RecordField.BEVERAGE_TARGET).orElseThrow();
            put(RecordField.BEVERAGE_TARGET, beverage, 1, own.get().told(RecordField.BEVERAGE_TARGET, 1),
                    Source.HISTORY, others);
            return beverage / dose;
        }
        Optional<Said> school = schools.said(StartEntry.RATIO);
        double ratio = school.map(said -> said.rule().middle()).orElse(USUAL_RATIO);
        put(RecordField.BEVERAGE_TARGET, Math.rint(ratio * dose), 0,
                school.map(said -> "1:" + DecimalText.exact(ratio) + ", " + said.words())
                        .orElse("1:2 for a straight shot"),
                school.isPresent() ? Source.SCHOOL : Source.PRACTICE, others);
        return ratio;
    }

    private void temperature() {
        List<Proposed.Other> others = schools.others(StartEntry.TEMPERATURE_C,
                rule -> DecimalText.exact(rule.middle()) + " °C");
        Optional<LikeShots> own = own(RecordField.TEMPERATURE);
        Optional<Said> school = schools.said(StartEntry.TEMPERATURE_C);
        double wanted = own.map(shots -> shots.median(RecordField.TEMPERATURE).orElseThrow())
                .orElseGet(() -> school.map(said -> said.rule().middle()).orElse(USUAL_CELSIUS));
        String because = own.map(shots -> shots.told(RecordField.TEMPERATURE, 0))
                .orElseGet(() -> school.map(Said::words).orElse("the middle of what is usual"));
        OptionalDouble altitude = number(RecordField.ALTITUDE);
        double highest = SiteHeat.at(altitude.orElse(0)).highestSet();
        if (wanted > highest) {
            warnings.add("Water boils at " + Reported.fixed(SiteHeat.at(altitude.orElse(0)).boilingCelsius(), 1)
                    + " °C here: " + DecimalText.exact(wanted) + " °C would flash to steam, " + highest
                    + " °C is the highest to set.");
            because += "; lowered to what the altitude allows";
        }
        put(RecordField.TEMPERATURE, Math.min(wanted, highest), 1, because,
                own.isPresent() ? Source.HISTORY : school.isPresent() ? Source.SCHOOL : Source.PRACTICE, others);
    }

    private void grind() {
        Optional<LikeShots> like = LikeShots.telling(RecordField.GRIND, asked.setUp(), asked.shots());
        if (like.isEmpty()) {
            warnings.add("No shot on this grinder yet: where to set it only the first shot can tell.");
            return;
        }
        double middle = like.get().median(RecordField.GRIND).orElseThrow();
        double nearest = like.get()
                .shots()
                .stream()
                .mapToDouble(shot -> shot.record().number(RecordField.GRIND).orElseThrow())
                .boxed()
                .min((a, b) -> Double.compare(Math.abs(a - middle), Math.abs(b - middle)))
                .orElseThrow();
        entries.add(new Proposed(RecordField.GRIND, DecimalText.exact(nearest),
                like.get().told(RecordField.GRIND, 1), Source.HISTORY, List.of()));
    }

    /** Where no shot has a profile, the steady pressure that a speaking school asks for. */
    private void profile() {
        Optional<LikeShots> like = LikeShots.telling(RecordField.PROFILE, asked.setUp(), asked.shots());
        if (like.isEmpty()) {
            schools.said(StartEntry.PRESSURE_BAR).ifPresent(school -> {
                String bar = DecimalText.exact(school.rule().middle());
                List<Proposed.Other> others = schools.others(StartEntry.PRESSURE_BAR,
                        rule -> DecimalText.exact(rule.middle()) + " bar");
                entries.add(new Proposed(RecordField.PROFILE, bar + " bar straight", school.words(),
                        Source.SCHOOL, others));
                entries.add(new Proposed(RecordField.PROFILE_STEPS, "main: pressure " + bar + " ±0.5",
                        school.words(), Source.SCHOOL, List.of()));
            });
            return;
        }
        like.ifPresent(shots -> shots.usual(RecordField.PROFILE).ifPresent(profile -> {
            List<MeasuredShot> by = shots.shots()
                    .stream()
                    .filter(shot -> shot.record().text(RecordField.PROFILE).orElse("").equals(profile))
                    .toList();
            entries.add(new Proposed(RecordField.PROFILE, profile,
                    by.size() + " of " + shots.shots().size() + " shots " + shots.words(), Source.HISTORY,
                    List.of()));
            by.stream()
                    .flatMap(shot -> shot.record().entry(RecordField.PROFILE_STEPS).stream())
                    .reduce((first, second) -> second)
                    .ifPresent(steps -> entries.add(new Proposed(RecordField.PROFILE_STEPS, steps,
                            "as it was last pulled", Source.HISTORY, List.of())));
        }));
    }

    private void time() {
        List<Proposed.Other> others = schools.others(StartEntry.TIME_S,
                rule -> DecimalText.exact(rule.low()) + "–" + DecimalText.exact(rule.high()) + " s");
        Optional<KeptWindows> kept = asked.windows().filter(one -> one.time().isPresent());
        if (kept.isPresent()) {
            String words = kept.get().words(asked.setUp());
            put(ShelfField.AIM_TIME_FROM, kept.get().time().get().low(), 0, words, Source.HISTORY, others);
            put(ShelfField.AIM_TIME_TO, kept.get().time().get().high(), 0, words, Source.HISTORY, List.of());
            return;
        }
        Optional<Said> school = schools.said(StartEntry.TIME_S);
        double low = school.map(said -> said.rule().low()).orElse(USUAL_SECONDS[0]);
        double high = school.map(said -> said.rule().high()).orElse(USUAL_SECONDS[1]);
        String because = school.map(Said::words).orElse("one school’s window; none is chosen in the settings");
        Source source = school.isPresent() ? Source.SCHOOL : Source.PRACTICE;
        put(ShelfField.AIM_TIME_FROM, low, 0, because, source, others);
        put(ShelfField.AIM_TIME_TO, high, 0, because, source, List.of());
    }

    /** Yield and strength meet only at some ratios, since strength is yield over ratio. */
    private void windows(double ratio) {
        WantedWindows wanted = WantedWindows.of(asked, schools);
        TargetWindow window = wanted.window();
        String at = "1:" + Reported.fixed(ratio, 1);
        if (window.yieldHighAt(ratio) > window.yieldLowAt(ratio)) {
            put(wanted, new AimRange(window.yieldLowAt(ratio), window.yieldHighAt(ratio)), ratio,
                    "what of " + wanted.words() + " can hold together at " + at);
            return;
        }
        double nearest = ratio < window.smallestRatio() ? window.smallestRatio() : window.largestRatio();
        double middle = (window.yieldLow() + window.yieldHigh()) / 2;
        warnings.add(String.format(Locale.ROOT,
                "At %s no shot can have EY %s–%s %% and strength %s–%s %% at once: %s %% would be %.1f %% strong. The "
                        + "nearest ratio at which both can hold is 1:%.1f, %.0f g in the cup.",
                at, DecimalText.exact(window.yieldLow()), DecimalText.exact(window.yieldHigh()),
                DecimalText.exact(window.strengthLow()), DecimalText.exact(window.strengthHigh()),
                DecimalText.exact(middle), middle / ratio, nearest, nearest * doseOf()));
        put(wanted, new AimRange(window.yieldLow(), window.yieldHigh()), ratio,
                wanted.yieldWords() + ", and the strength that this is at " + at);
    }

    private double doseOf() {
        return entries.stream()
                .filter(entry -> entry.field() == RecordField.DOSE_TARGET)
                .findFirst()
                .flatMap(entry -> DecimalText.parse(entry.value()).stream().boxed().findFirst())
                .orElse(USUAL_DOSE);
    }

    private void put(WantedWindows wanted, AimRange yield, double ratio, String because) {
        Source source = wanted.source();
        put(ShelfField.AIM_YIELD_FROM, yield.low(), 1, because, source, wanted.others());
        put(ShelfField.AIM_YIELD_TO, yield.high(), 1, because, source, List.of());
        put(ShelfField.AIM_STRENGTH_FROM, yield.low() / ratio, 1, because, source, List.of());
        put(ShelfField.AIM_STRENGTH_TO, yield.high() / ratio, 1, because, source, List.of());
    }

    private double put(Field field, double value, int decimals, String because, Source source,
            List<Proposed.Other> others) {
        entries.add(new Proposed(field, Reported.fixed(value, decimals), because, source, others));
        return value;
    }

    private OptionalDouble number(RecordField field) {
        return asked.setUp().number(field);
    }

    /** Shots of this very coffee: of others the schools know as much. */
    private Optional<LikeShots> own(RecordField field) {
        return LikeShots.telling(field, asked.setUp(), asked.shots())
                .filter(shots -> asked.setUp().has(RecordField.COFFEE) && shots.shots()
                        .get(0)
                        .record()
                        .text(RecordField.COFFEE)
                        .equals(asked.setUp().text(RecordField.COFFEE)));
    }
}
