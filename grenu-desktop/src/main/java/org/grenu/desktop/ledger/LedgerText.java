package org.grenu.desktop.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.extraction.Basis;
import org.grenu.core.extraction.ExtractionYield;
import org.grenu.core.extraction.Input;
import org.grenu.core.extraction.StatedYield;
import org.grenu.core.hydraulics.Hydraulics;
import org.grenu.core.hydraulics.WaterBalance;
import org.grenu.core.profile.Exit;
import org.grenu.core.profile.PlannedRun;
import org.grenu.core.profile.StepEnding;
import org.grenu.core.profile.StepRun;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.Assumed;
import org.grenu.core.record.BeverageSource;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.record.Masses;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.StatedYields;
import org.grenu.core.strength.StrengthSeries;
import org.grenu.desktop.desk.OpenShot;

/**
 * The ledger's numbers in words and digits.
 *
 * @param made     the extraction yield
 * @param cup      what is in the cup
 * @param weighed  where the beverage mass comes from
 * @param readings mean, spread and count of the strength readings
 * @param times    the shot's time by each convention
 * @param steps    of the profile, as they went; none without a profile
 */
record LedgerText(Yield made, Cup cup, Beverage weighed, String readings, List<Line> times, List<Step> steps) {

    /**
     * The extraction yield.
     *
     * @param yield      on the chosen basis; empty when it cannot be given
     * @param wanting    what it still needs; empty when it is there
     * @param otherBasis the yield on the other basis, or why there is none
     * @param budget     where the uncertainty comes from, largest first
     * @param stated     what a yield that was stated elsewhere says beside it; empty when none was
     * @param assumed    what the uncertainty rests on and nobody wrote down
     */
    record Yield(Optional<Reported> yield, String wanting, String otherBasis, List<Share> budget, String stated,
            String assumed) {
    }

    /**
     * What is in the cup.
     *
     * @param strength {@code 9.05} and {@code ±0.06}
     * @param ratio    {@code 1:2.24} and its ±
     * @param solids   dissolved solids, g, and their ±
     */
    record Cup(Optional<Reported> strength, Optional<Reported> ratio, Optional<Reported> solids) {
    }

    /**
     * The beverage mass.
     *
     * @param source    where it comes from
     * @param fromCurve the mass that the curve gives, g; empty when it gives none
     * @param curveMass what the cup-mass curve says of it
     */
    record Beverage(String source, String fromCurve, String curveMass) {
    }

    /**
     * A step of the profile as it went: its length, why it ended, how far off it was and its share within
     * tolerance.
     */
    record Step(String name, String length, String ending, boolean alarmed, String off, String inside) {
    }

    /** One input's share of the variance, in [0, 1]. */
    record Share(Input input, double share) {
    }

    /** A name and a value. */
    record Line(String name, String value, Optional<TimeConvention> convention) {

        Line(String name, String value) {
            this(name, value, Optional.empty());
        }

        /** The same of any value. */
        Line head() {
            return new Line(name, "", convention);
        }
    }

    static LedgerText of(OpenShot shot, Basis basis, DisplayUnits units) {
        Masses masses = shot.measures().masses();
        Optional<ExtractionYield> chosen = masses.brew().flatMap(brew -> brew.yield(basis));
        return new LedgerText(
                new Yield(chosen.map(y -> Reported.of(y.percent())), wanting(masses, basis), otherBasis(shot, basis),
                        chosen.map(LedgerText::budget).orElse(List.of()),
                        StatedYields.of(shot.summary().record(), shot.measures())
                                .map(LedgerText::stated)
                                .orElse(""),
                        Assumed.words(Assumed.in(shot.summary().record()))),
                new Cup(masses.strength().map(Reported::of), masses.ratio().map(Reported::of),
                        masses.solids().map(Reported::of)),
                new Beverage(beverage(shot), fromCurve(shot), curveMass(shot)), readings(shot), times(shot, units),
                steps(shot, units));
    }

    /** {@return that those of the fields are assumed of which nothing is known; empty where all are} */
    static String assumed(OpenShot shot, RecordField... fields) {
        List<String> names = shot == null ? List.of()
                : Assumed.in(shot.summary().record())
                        .stream()
                        .filter(one -> List.of(fields).contains(one.field()))
                        // The section says which instrument it is of.
                        .map(one -> one.words().replaceFirst("^(scale|refractometer) ", ""))
                        .toList();
        return names.isEmpty() ? "" : "assumed: " + String.join(", ", names);
    }

    /** Each explanation on a line of its own. */
    private static String stated(StatedYield stated) {
        return stated.verdict() + stated.explanations()
                .stream()
                .map(one -> "\n· " + one.words())
                .collect(Collectors.joining());
    }

    private static String wanting(Masses masses, Basis basis) {
        List<String> missing = new ArrayList<>();
        for (Input input : masses.missing()) {
            missing.add(named(input));
        }
        if (missing.isEmpty() && basis == Basis.DRY && masses.moisture().isEmpty()) {
            missing.add("the coffee's moisture");
        }
        return missing.isEmpty() ? "" : "Unknown. Enter " + listed(missing) + " below.";
    }

    private static String named(Input input) {
        return switch (input) {
            case DOSE -> "the dose";
            case BEVERAGE -> "the beverage mass";
            case STRENGTH -> "a strength reading";
            case MOISTURE -> "the coffee's moisture";
            case SCALE -> "the scale's bias limit";
        };
    }

    private static String listed(List<String> things) {
        int last = things.size() - 1;
        return last == 0 ? things.get(0) : String.join(", ", things.subList(0, last)) + " and " + things.get(last);
    }

    private static String otherBasis(OpenShot shot, Basis basis) {
        Masses masses = shot.measures().masses();
        Basis other = basis == Basis.AS_DOSED ? Basis.DRY : Basis.AS_DOSED;
        Optional<ExtractionYield> yield = masses.brew().flatMap(brew -> brew.yield(other));
        if (yield.isPresent()) {
            String moisture = masses.moisture().map(w -> "moisture " + Reported.of(w).text() + " %").orElse("");
            return Reported.of(yield.get().percent()).text() + " % " + other.title()
                    + (moisture.isEmpty() ? "" : " · " + moisture);
        }
        return masses.brew().isPresent() ? "dry basis: moisture unknown" : "";
    }

    private static List<Share> budget(ExtractionYield yield) {
        List<Share> shares = new ArrayList<>();
        yield.budget().shares().forEach((input, share) -> {
            if (share > 0) {
                shares.add(new Share(input, share));
            }
        });
        shares.sort((a, b) -> Double.compare(b.share(), a.share()));
        return shares;
    }

    private static String beverage(OpenShot shot) {
        BeverageSource source = shot.measures().masses().beverageSource();
        return switch (source) {
            case WEIGHED -> "g, weighed";
            case SLICES, CURVE -> "g, " + source.title();
            case ESTIMATED -> "g, estimated: volume × 1.0 g/mL ±10 %, foam";
            case UNKNOWN -> "g, unknown";
        };
    }

    private static String fromCurve(OpenShot shot) {
        return shot.measures().curve().beverage().map(b -> Reported.fixed(b.value(), 1)).orElse("");
    }

    private static String curveMass(OpenShot shot) {
        CurveMeasures curve = shot.measures().curve();
        return curve.beverage()
                .map(b -> "curve ends at " + Reported.of(b).text() + " g")
                .orElse(curve.beverageWithheld() ? "curve: withheld, the end is not in it" : "no cup-mass curve");
    }

    private static String readings(OpenShot shot) {
        ShotRecord record = shot.summary().record();
        StrengthSeries series = record.strengthSeries();
        int n = series.readings().size();
        int others = record.samples().size();
        String beside = others == 0 ? "" : others == 1 ? " · 1 other sample" : " · " + others + " other samples";
        if (n == 0) {
            return withoutReadings(shot, beside);
        }
        String mean = "mean " + Reported.fixed(series.mean(), 2) + " %";
        return (n == 1 ? "1 reading" : n + " readings · " + mean + " · s " + Reported.fixed(series.deviation(), 3))
                + beside;
    }

    private static String withoutReadings(OpenShot shot, String beside) {
        return switch (shot.measures().masses().strengthSource()) {
            case SLICES -> "by the slices together";
            case AGAIN -> "by the cup read again";
            case DILUTED -> "by the diluted sample";
            case OWN, NONE -> "none yet" + beside;
        };
    }

    private static List<Line> times(OpenShot shot, DisplayUnits units) {
        List<Line> lines = new ArrayList<>();
        for (TimeConvention convention : TimeConvention.values()) {
            OptionalDouble time = convention.of(shot.measures().curve().times());
            double u = convention.uncertainty(shot.measures().curve().times()).orElse(0);
            lines.add(new Line(convention.title(),
                    time.isPresent()
                            ? Reported.of(Measured.independent(time.getAsDouble(), Math.max(u, 0.03))).text() + " s"
                            : "unknown",
                    Optional.of(convention)));
        }
        shot.measures()
                .curve()
                .times()
                .firstDrip()
                .ifPresent(drip -> lines.add(new Line("first drip, on the log's clock",
                        Reported.of(Measured.independent(drip.seconds(), drip.u())).text() + " s")));
        OptionalDouble peak = shot.measures().curve().peakPressure();
        OptionalDouble mean = shot.measures().curve().meanPressure();
        if (peak.isPresent()) {
            lines.add(new Line("peak pressure", units.text(peak.getAsDouble(), "bar", 2)));
        }
        if (mean.isPresent()) {
            lines.add(new Line("mean pressure while pumping", units.text(mean.getAsDouble(), "bar", 2)));
        }
        puck(shot, lines);
        return lines;
    }

    private static List<Step> steps(OpenShot shot, DisplayUnits units) {
        return shot.measures().planned().stream().flatMap(run -> run.steps().stream()).map(run -> {
            String unit = run.step().target().channel().unit().symbol();
            String ending = ending(run);
            boolean known = Double.isFinite(run.distance());
            return new Step(run.step().name(), Reported.fixed(run.seconds(), 1) + " s", ending,
                    run.ending() == StepEnding.TIME_LIMIT,
                    known ? units.textOfDifference(run.distance(), unit, 2) : "unknown",
                    known ? Reported.fixed(100 * run.inside(), 0) + " %" : "");
        }).toList();
    }

    private static String ending(StepRun run) {
        return switch (run.ending()) {
            case CONDITION -> run.exit().map(Exit::told).orElse("");
            case TIME_LIMIT -> "time limit " + run.exit().map(Exit::told).orElse("");
            case PUMP_OFF -> "pump off";
            case OPERATOR -> "by hand, or not shown";
        };
    }

    private static void puck(OpenShot shot, List<Line> lines) {
        Hydraulics puck = shot.measures().hydraulics();
        puck.peak()
                .ifPresent(peak -> lines.add(new Line("peak resistance p/q", Reported.of(peak).text() + " bar·s/g")));
        puck.erosion()
                .ifPresent(erosion -> lines.add(new Line("resistance falls by", Reported.of(erosion).text() + " %/s")));
        puck.permeability()
                .ifPresent(k -> lines.add(new Line("permeability", Reported.of(k.times(1e15)).text() + " ·10⁻¹⁵ m²")));
        puck.balance()
                .flatMap(WaterBalance::keptPerGram)
                .ifPresent(
                        kept -> lines.add(new Line("water kept by the puck", Reported.of(kept).text() + " g per g")));
        corridor(shot, lines);
    }

    private static void corridor(OpenShot shot, List<Line> lines) {
        shot.measures()
                .planned()
                .map(PlannedRun::inside)
                .ifPresent(share -> share.ifPresent(
                        s -> lines.add(new Line("time within the corridor", Reported.fixed(100 * s, 0) + " %"))));
    }

    /**
     * {@return the entry as the field shows it: masses with one decimal, strengths with two, or more where entered}
     */
    static String shown(OpenShot shot, RecordField field) {
        return written(shot == null ? "" : shot.summary().written().entry(field).orElse(""), field);
    }

    /** {@return what coffee and gear tell of an entry that the record leaves open; empty when they tell nothing} */
    static String told(OpenShot shot, RecordField field) {
        return shot == null || shot.summary().written().has(field) ? ""
                : written(shot.summary().record().entry(field).orElse(""), field);
    }

    /** {@return an entry as it is shown} */
    static String written(String text, RecordField field) {
        int decimals = switch (field) {
            case DOSE, BEVERAGE, MOISTURE, MOISTURE_U -> 1;
            case ZERO -> 2;
            default -> 0;
        };
        if (field.kind() == FieldKind.MOMENT) {
            return text.replace('T', ' ');
        }
        return DecimalText.padded(text, decimals).replace('-', field.kind() == FieldKind.NUMBER ? '\u2212' : '-');
    }
}
