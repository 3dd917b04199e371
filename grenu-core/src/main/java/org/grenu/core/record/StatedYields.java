package org.grenu.core.record;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.extraction.Brew;
import org.grenu.core.extraction.StatedYield;
import org.grenu.core.extraction.StatedYield.Alternatives;
import org.grenu.core.strength.ReadingLine;

/** Extraction yields that came with a shot, held against its own numbers. */
public final class StatedYields {

    private StatedYields() {
    }

    /** {@return the yield stated in that record against the shot's own; empty while either is unknown} */
    public static Optional<StatedYield> of(ShotRecord record, ShotMeasures measures) {
        OptionalDouble stated = record.number(RecordField.STATED_YIELD);
        Optional<Brew> brew = measures.masses().brew();
        return stated.isEmpty() || brew.isEmpty() ? Optional.empty()
                : Optional.of(StatedYield.of(stated.getAsDouble(), brew.get(),
                        alternatives(record, measures, brew.get())));
    }

    private static Alternatives alternatives(ShotRecord record, ShotMeasures measures, Brew brew) {
        Map<String, Double> beverages = new HashMap<>();
        put(beverages, "the beverage mass that was meant", record.number(RecordField.BEVERAGE_TARGET));
        measures.curve().beverage().ifPresent(curve -> beverages.put("the curve's beverage mass", curve.value()));
        put(beverages, "the beverage mass entered", record.number(RecordField.BEVERAGE));
        Map<String, Double> doses = new HashMap<>();
        put(doses, "the dose that was meant", record.number(RecordField.DOSE_TARGET));
        Map<String, Double> strengths = new HashMap<>();
        double[] readings = record.numbers(RecordField.READINGS).stream().mapToDouble(r -> r).sorted().toArray();
        if (readings.length > 0) {
            strengths.put("the mean reading before zero check and calibration", record.strengthSeries().mean());
            strengths.put("the lowest reading alone", readings[0]);
            strengths.put("the highest reading alone", readings[readings.length - 1]);
        }
        strengths.put("the reading taken for °Brix and turned into strength",
                brew.strength().value() * ReadingLine.USUAL_BRIX_FACTOR);
        strengths.put("°Brix taken for strength", brew.strength().value() / ReadingLine.USUAL_BRIX_FACTOR);
        return new Alternatives(beverages, doses, strengths);
    }

    private static void put(Map<String, Double> into, String name, OptionalDouble value) {
        if (value.isPresent()) {
            into.put(name, value.getAsDouble());
        }
    }
}
